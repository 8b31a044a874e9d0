import { useState } from 'react'
import { bikeHas } from '../../core/checks/bike-has.ts'
import {
  NM_PER,
  torqueOf,
  TORQUE_UNITS,
  USUAL_FASTENERS,
  usualMostNm,
  type TorqueUnit,
} from '../../core/checks/torque.ts'
import type { EntryDraft } from '../../core/log/entries.ts'
import type { FastenerEntry, TightenedEntry } from '../../core/log/kinds/fastener.ts'
import type { BikeReport } from '../../core/strategy/facts/bike-report.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { Choice } from '../../ui/parts/fields.tsx'
import { Section } from '../../ui/parts/Section.tsx'
import { Sheet } from '../../ui/parts/Sheet.tsx'
import { useInTurn } from '../../ui/use-in-turn.ts'
import { FASTENER_NAMES, JOINT_NAMES, sayTorque, TORQUE_UNIT_NAMES } from '../../words/checks/torque-words.ts'
import { sayAgo } from '../../words/numbers.ts'
import { FastenerForm } from './FastenerForm.tsx'
import { thisMoment } from './round-writing.ts'
import { words } from '../../words/stations/checks/torque-book.ts'
import { sayDecimal } from '../../words/grouped-number.ts'
import { newId } from '../../session/new-id.ts'

interface Line {
  readonly bolt: FastenerEntry
  readonly last?: TightenedEntry
}

function useBook({ bike: { entry } }: BikeReport): readonly Line[] {
  const { garage } = useOpenLog()
  return [...garage.listed.fastener.values()].flatMap((list): Line[] => {
    const bolt = list.at(-1)
    if (!bolt || bolt.bike !== entry.bike || bolt.isGone) return []
    const last = garage.listed.tightened.get(`${bolt.bike} ${bolt.fastener}`)?.at(-1)
    return [{ bolt, ...(last && { last }) }]
  })
}

/** A bolt that nobody entered yet. */
export const newBolt = (bike: string): Omit<FastenerEntry, 'id' | 'format' | 'action'> => ({
  kind: 'fastener',
  at: thisMoment(),
  bike,
  fastener: newId(),
  name: '',
  valuesNm: [],
  joint: 'grease',
})

function BoltLine({
  line: { bolt, last },
  unit,
  onEdit,
}: {
  readonly line: Line
  readonly unit: TorqueUnit
  readonly onEdit: () => void
}) {
  const { now, record } = useOpenLog()
  const { name, size, valuesNm, joint, isCarbon, bike, fastener } = bolt
  const nm = torqueOf(valuesNm)
  const tighten = useInTurn(async (wasLoose: boolean) => {
    const draft: EntryDraft = {
      kind: 'tightened',
      at: thisMoment(),
      bike,
      fastener,
      ...(nm !== undefined && { nm }),
      ...(wasLoose && { wasLoose }),
    }
    await record(
      [draft],
      words.tightened(name, nm === undefined ? words.byFeel : words.to(sayTorque(nm, unit))),
    )
  })
  const most = size === undefined ? undefined : usualMostNm(size)
  return (
    <li className="grid grid-cols-[minmax(0,1.3fr)_minmax(0,1.2fr)_auto] items-center gap-x-6 gap-y-1 border-t border-hairline py-2 max-sm:grid-cols-1">
      <span>
        <strong className="font-semibold">{name}</strong>
        {size && ` ${size}`}
        <span className="block text-sm text-steel">
          {JOINT_NAMES[joint]}
          {isCarbon && words.carbonNoMoreThan}
          {last && words.tightened2(sayAgo(last.at, now), last.wasLoose ? words.itWasLoose : '')}
        </span>
      </span>
      <span>
        <span className="font-mono text-[1.15rem] font-semibold">
          {nm === undefined ? words.byFeel2 : sayTorque(nm, unit)}
        </span>
        {valuesNm.length > 1 && (
          <span className="ml-2 text-sm text-steel">
            {words.theLowerOf(valuesNm.map((one) => sayTorque(one, unit)).join(' and '))}
          </span>
        )}
        {nm !== undefined && most !== undefined && nm > most && (
          <span className="block text-sm text-rust">
            {words.moreThanIsUnusual(sayTorque(most, unit))} {size}
            {words.checkTheFigure}
          </span>
        )}
      </span>
      <span className="flex flex-wrap gap-x-3">
        <Button className="text-sm" onClick={() => tighten(false)}>
          {words.tight}
          <span className="sr-only"> {name}</span>
        </Button>
        <Button className="text-sm" onClick={() => tighten(true)}>
          {words.itWasLoose2}
          <span className="sr-only"> {name}</span>
        </Button>
        <Button look="link" className="min-h-11 text-sm" onClick={onEdit}>
          {words.change}
          <span className="sr-only"> {name}</span>
        </Button>
      </span>
    </li>
  )
}

/** The bolts of a bike: size, what both makers say, the lower one; when each was tightened. */
export function TorqueBook({ report }: { readonly report: BikeReport }) {
  const { record } = useOpenLog()
  const lines = useBook(report)
  const [unit, setUnit] = useState<TorqueUnit>('N m')
  const [editing, setEditing] = useState<Omit<FastenerEntry, 'id' | 'format' | 'action'>>()
  const { entry } = report.bike
  const fill = useInTurn(async () => {
    const has = bikeHas(entry)
    const at = thisMoment()
    const isCarbon = has.carbon === true
    await record(
      USUAL_FASTENERS.filter(
        ({ id, needs }) =>
          (needs === undefined || has[needs] !== false) && !lines.some(({ bolt }) => bolt.fastener === id),
      ).map(({ id, size, nm, joint }): EntryDraft => ({
        kind: 'fastener',
        at,
        bike: entry.bike,
        fastener: id,
        name: FASTENER_NAMES[id] ?? id,
        ...(size !== undefined && { size }),
        valuesNm: nm === undefined ? [] : [nm],
        joint: isCarbon && id === 'seat-clamp' ? 'carbon-paste' : joint,
        ...(isCarbon &&
          ['seat-clamp', 'steerer-clamp', 'faceplate', 'lever-clamp'].includes(id) && {
            isCarbon: true as const,
          }),
      })),
      words.theUsualBoltsAre(entry.name),
    )
  })
  return (
    <Section id="torque" title={words.torqueBook} note={words.whereTwoPartsGive}>
      <div className="flex flex-wrap items-end gap-x-6 gap-y-3">
        <Choice<TorqueUnit>
          legend={words.unit}
          value={unit}
          onPick={setUnit}
          options={TORQUE_UNITS.map((value) => ({ value, label: TORQUE_UNIT_NAMES[value] }))}
        />
        <span className="pb-2 text-sm text-steel">
          {words.n1NMInLbf(sayDecimal(1 / NM_PER['in lbf'], 2), sayDecimal(1 / NM_PER['kgf cm'], 1))}
        </span>
        <Button onClick={() => setEditing(newBolt(entry.bike))}>{words.addABolt}</Button>
        {lines.length === 0 && <Button onClick={fill}>{words.startWithTheUsual}</Button>}
      </div>
      {lines.length > 0 && (
        <ul aria-label={words.torqueBook} className="mt-3 border-b border-hairline">
          {lines.map((line) => (
            <BoltLine
              key={line.bolt.fastener}
              line={line}
              unit={unit}
              onEdit={() => {
                const {
                  id: _id,
                  format: _format,
                  action: _action,
                  supersedes: _supersedes,
                  ...held
                } = line.bolt
                setEditing({ ...held, at: thisMoment() })
              }}
            />
          ))}
        </ul>
      )}
      <Sheet
        open={editing !== undefined}
        onClose={() => setEditing(undefined)}
        title={editing?.name || words.aBolt}
      >
        {editing && <FastenerForm bolt={editing} unit={unit} onSaved={() => setEditing(undefined)} />}
      </Sheet>
    </Section>
  )
}
