import { useState } from 'react'
import type { WashMethod } from '../../core/log/kinds/wash.ts'
import { LUBES, type Lube } from '../../core/lube/lubes.ts'
import type { BikeReport, ChainReport } from '../../core/strategy/facts/bike-report.ts'
import { crankTurnsPerChain } from '../../core/gearing/ratio.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { WorkSection } from '../../ui/parts/WorkSection.tsx'
import { dayOf, faultOfDay, momentOf } from '../../ui/parts/day.ts'
import { CautionNote } from '../../ui/parts/Empty.tsx'
import { Choice, TextField } from '../../ui/parts/fields.tsx'
import { LUBE_NAMES, WASH_NAMES } from '../../ui/words/names.ts'
import { useOnce } from '../../ui/use-once.ts'

const METHODS: readonly WashMethod[] = ['wipe', 'on-bike', 'off-bike', 'none']

/** How it is put on, in the field's own order. */
function howTo(lube: Lube | undefined, links: number, turns: string): string | undefined {
  switch (lube) {
    case 'dry-lube':
    case 'wet-lube':
    case 'drip-wax':
      return `One drop to each of the ${links} rollers, on the inner side of the lower run, back-pedalling from the joining link: once round is ${turns} crank turns. Let it work in for a quarter of an hour, then wipe until the outside is nearly dry.`
    case 'immersion-wax':
      return 'Clean and fully dry chain, joining link left out. Swish half a minute, rest ten, swish again, hang ten to fifteen, break the links free, refit.'
    case 'none':
      return 'A bare chain wears about three times as fast. Lubricate it before it is ridden.'
    case undefined:
      return undefined
  }
}

function cautionsFor(method: WashMethod, lube: Lube | undefined, motor: boolean): string[] {
  return [
    ...(lube === 'immersion-wax'
      ? [
          'Hot wax burns and can catch fire: a thermostatic pot, never a flame, never unattended. A chain with water in it makes hot wax spit.',
        ]
      : []),
    ...(method === 'on-bike' || method === 'off-bike'
      ? [
          'Solvents: air the room, wear gloves, no flame. Keep every spray off rotor, pads, hub and bottom-bracket bearings. Some chain makers forbid solvents: their word comes first.',
        ]
      : []),
    ...(motor ? ['Power off and battery out before you begin.'] : []),
    ...(lube !== undefined && lube !== 'none'
      ? [
          'Oil on a rotor or pad ruins the brake. Oily rags can heat up by themselves: dry them flat outside or keep them in a closed metal tin.',
        ]
      : []),
  ]
}

type Put = Lube | 'unchanged'

interface Props {
  readonly report: BikeReport
  readonly chain: ChainReport
}

/** Logs a wash: how it was cleaned, what was put on, when. */
export function LogWash({ report, chain }: Props) {
  const { record, now } = useOpenLog()
  const { spec, part } = chain.part.entry
  const links = spec.type === 'chain' ? spec.links : 114
  const ring = report.sprockets.find(({ role }) => role === 'ring')?.teeth ?? 40
  const [method, setMethod] = useState<WashMethod>('wipe')
  const [put, setPut] = useState<Put>(chain.story.lube.lube ?? 'wet-lube')
  const [day, setDay] = useState(dayOf(now))
  const [fault, setFault] = useState<string>()
  const lube = put === 'unchanged' ? undefined : put

  const [save, saving] = useOnce(async () => {
    const wrong =
      faultOfDay(day, now) ??
      (method === 'none' && lube === undefined
        ? 'Neither cleaned nor lubricated: there is nothing to log.'
        : undefined)
    setFault(wrong)
    if (wrong) return
    await record(
      [{ kind: 'wash', at: momentOf(day, now), chain: part, method, ...(lube && { lube }) }],
      `Logged: ${WASH_NAMES[method]}${lube ? `, ${LUBE_NAMES[lube]}` : ''}.`,
    )
  })
  const how = howTo(lube, links, crankTurnsPerChain(links, ring).toFixed(1))
  return (
    <WorkSection id="log" title="What was done">
      <Choice
        legend="Cleaned"
        value={method}
        onPick={setMethod}
        options={METHODS.map((value) => ({ value, label: WASH_NAMES[value] }))}
      />
      <Choice<Put>
        legend="Put on"
        value={put}
        onPick={setPut}
        options={[
          ...LUBES.map((value) => ({ value, label: LUBE_NAMES[value] })),
          { value: 'unchanged', label: 'not lubed' },
        ]}
      />
      {how && <p className="text-[0.95rem] text-steel">{how}</p>}
      {cautionsFor(method, lube, report.bike.entry.motor !== 'none').map((caution) => (
        <CautionNote key={caution}>{caution}</CautionNote>
      ))}
      <TextField
        label="Day"
        type="date"
        max={dayOf(now)}
        value={day}
        onChange={(event) => setDay(event.target.value)}
        fault={fault}
        className="max-w-48"
      />
      <Button look="firm" className="self-start" disabled={saving} onClick={save}>
        Log it
      </Button>
    </WorkSection>
  )
}
