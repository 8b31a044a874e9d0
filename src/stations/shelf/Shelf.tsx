import { useState } from 'react'
import { useSearchParams } from 'react-router'
import { chainStory } from '../../core/exposure/chain-story.ts'
import { partDistances } from '../../core/exposure/distance.ts'
import { fittedParts, openFitting, type PartState } from '../../core/log/garage.ts'
import { useBikeReport, useOpenLog } from '../../store/log-context.ts'
import { Answer } from '../../ui/parts/Answer.tsx'
import { Button } from '../../ui/parts/Button.tsx'
import { NoBike } from '../../ui/parts/NoBike.tsx'
import { Section } from '../../ui/parts/Section.tsx'
import { Sheet } from '../../ui/parts/Sheet.tsx'
import { useUnits } from '../../ui/screen-state.ts'
import { useBikeId } from '../../ui/use-bike-id.ts'
import { sayCount, sayDay, sayKm } from '../../ui/words/numbers.ts'
import { EditBikeForm, NewBikeForm } from './BikeForm.tsx'
import { FitChain } from './FitChain.tsx'

function PartLine({ part }: { readonly part: PartState }) {
  const { garage, now } = useOpenLog()
  const units = useUnits()
  const rides = new Map([...garage.bikes].map(([id, bike]) => [id, bike.rides]))
  const km = partDistances(rides, part.fittings).get(part.entry.part) ?? 0
  const since = openFitting(part)?.from
  return (
    <li className="grid grid-cols-[minmax(0,1fr)_auto_11.5rem] gap-4 py-2 text-[0.95rem]">
      <span>
        <strong className="font-semibold">{part.entry.name}</strong>
        {part.entry.note && <span className="block text-sm text-steel">{part.entry.note}</span>}
      </span>
      <span>{sayKm(km, units)}</span>
      <span className="text-right text-steel">
        {since === undefined ? (part.retired ? 'gone' : 'on the shelf') : `since ${sayDay(since, now)}`}
      </span>
    </li>
  )
}

function PartList({ title, parts }: { readonly title: string; readonly parts: readonly PartState[] }) {
  if (parts.length === 0) return null
  return (
    <Section title={title}>
      <ul className="divide-y divide-hairline border-y border-hairline">
        {parts.map((part) => (
          <PartLine key={part.entry.part} part={part} />
        ))}
      </ul>
    </Section>
  )
}

/** Shelf: the bikes, what is on each, and what hangs beside. */
export default function Shelf() {
  const { garage } = useOpenLog()
  const units = useUnits()
  const report = useBikeReport(useBikeId(garage))
  const [search, setSearch] = useSearchParams()
  const [editing, setEditing] = useState(false)
  const adding = search.get('new') === 'bike'
  const newBike = (
    <Sheet
      open={adding}
      onClose={() => setSearch({})}
      title="A new bike"
      note="Cogs and rings by their teeth: they are drawn to scale, and the limit follows from them."
    >
      <NewBikeForm onDone={() => setSearch({})} />
    </Sheet>
  )
  if (!report)
    return (
      <>
        <NoBike what="Everything begins with a bike: its name, its rings and cogs, and the chain on it." />
        {newBike}
      </>
    )
  const { entry } = report.bike
  const order = ['chain', 'cassette', 'ring', 'pulley']
  const on = [...fittedParts(garage, entry.bike)].sort(
    (a, b) => order.indexOf(a.entry.spec.type) - order.indexOf(b.entry.spec.type),
  )
  const off = [...garage.parts.values()].filter(
    (part) =>
      !openFitting(part) &&
      (part.fittings.length === 0 || part.fittings.some(({ bike }) => bike === entry.bike)),
  )
  const chain = report.chain && chainStory(garage, report.chain.part.entry.part)
  return (
    <div className="flex flex-col gap-8">
      <Answer
        detail={`${sayCount(on.length, 'part')} on it${off.length > 0 ? `, ${off.length} off it` : ''}. ${sayCount(garage.bikes.size, 'bike')} in the log.`}
        action={
          <>
            <Button look="next" onClick={() => setSearch({ new: 'bike' })}>
              Add a bike
            </Button>
            <Button look="link" onClick={() => setEditing(true)}>
              change what {entry.name} is
            </Button>
          </>
        }
      >
        {entry.name}: {entry.note || 'a bike'}
        {chain
          ? `, on ${report.chain?.part.entry.name.replace(/^Chain/, 'chain')} for ${sayKm(chain.km, units)}.`
          : ', without a chain in the log.'}
      </Answer>
      <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] gap-x-14 gap-y-8 max-lg:grid-cols-1">
        <div className="flex flex-col gap-8">
          <PartList title={`On ${entry.name}`} parts={on} />
          <PartList title="Off it" parts={off} />
        </div>
        <FitChain key={`${entry.bike} ${report.chain?.part.entry.part ?? ''}`} report={report} />
      </div>
      {newBike}
      <Sheet open={editing} onClose={() => setEditing(false)} title={`Change what ${entry.name} is`}>
        <EditBikeForm entry={entry} onDone={() => setEditing(false)} />
      </Sheet>
    </div>
  )
}
