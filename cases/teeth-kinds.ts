import { resolve } from 'node:path'
import { array, number, object, string } from 'yup'
import { believedCogs } from '../src/core/teeth/believed.ts'
import { conformed, followRate, loadOf } from '../src/core/teeth/conform.ts'
import type { ToothEvidence } from '../src/core/teeth/evidence.ts'
import { sprocketGeometry } from '../src/core/teeth/geometry.ts'
import { seenOf } from '../src/core/teeth/picture/ends.ts'
import { measurePicture, type PictureFault } from '../src/core/teeth/picture/measure.ts'
import { pictureAt } from './picture-at.ts'
import { skipRisk } from '../src/core/teeth/skip.ts'
import type { WearWord } from '../src/core/log/entry.ts'
import { figure, kind, type Runner } from './kind.ts'

const teeth = () => figure().integer().min(5).max(120)
const evidence = object({
  cog: teeth(),
  look: string().oneOf(['fresh', 'good', 'watch', 'swap', 'spent']),
  pictureMm: number().strict().min(-5).max(20),
  tool: string().oneOf(['pass', 'condemn']),
  ride: string().oneOf(['held', 'skipped']),
  chain: number().strict().min(-1).max(10),
})

function evidenceOf({
  look,
  pictureMm,
  tool,
  ride,
  chain,
}: (typeof evidence)['__outputType']): ToothEvidence {
  if (look !== undefined) return { kind: 'look', word: look as WearWord }
  if (pictureMm !== undefined) return { kind: 'picture', mm: pictureMm }
  if (tool !== undefined) return { kind: 'tool', result: tool as 'pass' | 'condemn' }
  if (ride === undefined) throw new RangeError('What was found out about the cog is missing.')
  if (chain === undefined) throw new RangeError('A ride needs the elongation of the chain that was on.')
  return { kind: 'ride', result: ride as 'held' | 'skipped', chain }
}

/** Why a picture gives no measurement, in a sentence. */
const FAULTS: Readonly<Record<PictureFault, string>> = {
  'none-found': 'No sprocket of so many teeth is to be seen in the picture.',
  'other-count': 'The sprocket in the picture has another number of teeth.',
  several: 'More than one sprocket of that size is in the picture.',
  blurred: 'The picture is blurred.',
  tilted: 'The part is tilted too far away from the camera.',
  'cut-off': 'A part of the sprocket is outside the picture.',
  'too-small': 'The sprocket is too small in the picture.',
}

/** Cases about teeth. */
export const TEETH_KINDS: Readonly<Record<string, Runner>> = {
  'teeth.picture': kind(
    object({ path: string().required(), teeth: teeth(), part: string().oneOf(['cog', 'ring']).required() }),
    ({ path, teeth: count }, folder) => {
      const found = measurePicture(pictureAt(resolve(folder, path)), count)
      if ('fault' in found) throw new RangeError(FAULTS[found.fault])
      const { valleyExcessMm, leanDeg, landMm, teeth: seen } = found.measured
      return {
        valleyExcessMm,
        leanDeg,
        landMm,
        teethSeen: seenOf(seen).seen,
        setAside: seenOf(seen).aids,
      }
    },
  ),
  'teeth.geometry': kind(
    object({ teeth: figure(), elongation: number().strict() }),
    ({ teeth: count, elongation }) => ({ ...sprocketGeometry(count, elongation) }),
  ),
  'teeth.conform': kind(
    object({
      cogs: array(
        object({
          teeth: teeth(),
          share: figure().min(0),
          material: string().oneOf(['steel', 'aluminium']).required(),
        }),
      )
        .min(1)
        .required(),
      chains: array(object({ ratePer1000: figure().positive(), until: figure().min(0).max(10) })).required(),
      probe: number().strict().min(-1).max(10),
    }),
    ({ cogs, chains, probe = 0 }) => {
      const total = cogs.reduce((sum, { share }) => sum + share, 0)
      if (total <= 0) throw new RangeError('One cog at least must bear a share of the energy.')
      const counts = cogs.map((cog) => cog.teeth)
      const worn = cogs.map((cog) => {
        const load = loadOf(cog.share / total, cog.teeth, counts)
        const follow = followRate('cog', cog.material)
        return chains.reduce(
          (w, { ratePer1000, until }) =>
            conformed(w, { wearKm: (1000 * until) / ratePer1000, from: 0, to: until }, load, follow),
          0,
        )
      })
      const by = (of: (w: number, count: number) => number) =>
        Object.fromEntries(counts.map((count, i) => [String(count), of(worn[i] ?? 0, count)]))
      return { w: by((w) => w), skip: by((w, count) => skipRisk(w, probe, count)) }
    },
  ),
  'teeth.evidence': kind(
    object({
      cogs: array(object({ teeth: teeth(), mean: figure(), sd: figure().positive() }))
        .min(1)
        .required(),
      evidence: array(evidence).required(),
      probe: number().strict().min(-1).max(10),
    }),
    ({ cogs, evidence: found, probe = 0 }) => {
      for (const { cog } of found)
        if (!cogs.some((one) => one.teeth === cog)) throw new RangeError(`There is no cog of ${cog} teeth.`)
      const { worn, skip } = believedCogs(
        cogs.map((cog) => ({
          ...cog,
          evidence: found.filter((one) => one.cog === cog.teeth).map(evidenceOf),
        })),
        probe,
      )
      return { w: worn, skip }
    },
  ),
}
