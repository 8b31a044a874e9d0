import { array, number, object, string } from 'yup'
import type { LinkCheckEntry } from '../../../core/log/kinds/link-check.ts'
import { LUBES } from '../../../core/lube/lubes.ts'
import { KIT_TOOLS, WASH_WAYS } from '../../../core/lube/wash-ways.ts'
import { STEP_KINDS } from '../../../core/session/step-kinds.ts'
import type { WashJob } from '../../../core/session/wash-steps.ts'
import { planRest, type WashRun } from '../../../core/session/run.ts'
import type { World } from '../../../session/log-context.ts'
import { forgetText, recallText, rememberText } from '../../../ui/local-memory.ts'

/** A wash that is going on, of which bike, as it is kept between two visits. */
export interface KeptRun {
  readonly bike: string
  readonly job: WashJob
  readonly run: WashRun
  /** Bad links that were marked and not saved yet, by chain. */
  readonly links?: Readonly<Record<string, LinkCheckEntry['found']>>
}

const keyOf = (world: World): string => `jolt-mile-wash-${world}`

const texts = () => array(string().strict().required())
/** What a kept run must at least be, so that nothing of an older form, or of another hand, brings the station down. */
const SCHEMA = object({
  bike: string().strict().required(),
  job: object({
    way: string()
      .oneOf([...WASH_WAYS])
      .required(),
    lube: string()
      .oneOf([...LUBES])
      .required(),
    fits: string().strict().required(),
    chains: array(object({ id: string().strict().required() }))
      .min(1)
      .required(),
    kit: array(
      string()
        .oneOf([...KIT_TOOLS])
        .required(),
    ).required(),
  }).required(),
  run: object({
    startedMs: number().strict().required(),
    steps: array(
      object({
        id: string().strict().required(),
        kind: string()
          .oneOf([...STEP_KINDS])
          .required(),
        handsMin: number().strict().min(0).required(),
        times: number().strict().positive().required(),
        waitMin: number().strict().min(0),
        after: texts(),
        afterHands: texts(),
      }),
    )
      .min(1)
      .required(),
    begun: object().required(),
    skipped: texts().required(),
    later: object().required(),
  }).required(),
})

/** The wash that was going on when the page was last open; undefined where there was none, or it cannot be read. */
export function recallRun(world: World): KeptRun | undefined {
  try {
    const held: unknown = JSON.parse(recallText(keyOf(world)) ?? 'null')
    if (held === null) return undefined
    const kept = SCHEMA.validateSync(held, { strict: true }) as unknown as KeptRun
    // What cannot be planned any further would stop the station each time it is opened.
    planRest(kept.run, kept.run.startedMs)
    return kept
  } catch {
    forgetText(keyOf(world))
    return undefined
  }
}

/** Keeps a wash that is going on, or forgets it. */
export function keepRun(world: World, kept: KeptRun | undefined): void {
  if (kept) rememberText(keyOf(world), JSON.stringify(kept))
  else forgetText(keyOf(world))
}
