import { useState } from 'react'
import { useSearchParams } from 'react-router'
import { chainStory } from '../../core/exposure/chain-story.ts'
import { kmOf } from '../../core/exposure/distance.ts'
import { closingsOf } from '../../core/strategy/fitting-checks.ts'
import type { BikeId } from '../../core/log/entry.ts'
import { fittedParts, openFitting, type PartState } from '../../core/log/garage.ts'
import { useBikeReport, useOpenLog } from '../../session/log-context.ts'
import { Answer } from '../../ui/parts/Answer.tsx'
import { Button } from '../../ui/parts/Button.tsx'
import { NoBike } from '../../ui/parts/NoBike.tsx'
import { Section } from '../../ui/parts/Section.tsx'
import { Sheet } from '../../ui/parts/Sheet.tsx'
import { useUnits } from '../../ui/screen-state.ts'
import { useBikeId } from '../../ui/use-bike-id.ts'
import { sayCount, sayDay, sayKm } from '../../words/numbers.ts'
import { namePart } from '../../words/part-name.ts'
import { EditBikeForm, NewBikeForm } from './BikeForm.tsx'
import { ShoppingList } from './stock/ShoppingList.tsx'
import { StockList } from './stock/StockList.tsx'
import { FitChain } from './FitChain.tsx'
import { MovePart } from './MovePart.tsx'
import { PartHistory } from './PartHistory.tsx'
import { NewPart } from './NewPart.tsx'
import { words } from '../../words/stations/shelf/shelf.ts'

/** Where a part is, and since when. */
function whereabouts(part: PartState, now: string): string {
  const since = openFitting(part)?.from
  if (since !== undefined) return words.since(sayDay(since, now))
  if (part.lentTo !== undefined) return part.lentTo === '' ? words.lent : words.lentTo(part.lentTo)
  return part.retired ? words.retired : words.spare
}

interface PartLineProps {
  readonly part: PartState
  readonly bike: BikeId
  readonly onMove: (part: PartState) => void
  readonly onHistory: (part: PartState) => void
}

function PartLine({ part, bike, onMove, onHistory }: PartLineProps) {
  const { garage, now } = useOpenLog()
  const units = useUnits()
  const { entry } = part
  const name = namePart(garage, entry.part, bike)
  const before = entry.used
    ? entry.used.km === undefined
      ? words.andAnUnknownPast
      : words.afterBeforeItCame(sayKm(entry.used.km, units))
    : ''
  const loose =
    entry.spec.type === 'cassette' && entry.spec.soldSingly
      ? words.soldSingly(entry.spec.soldSingly.join(', '))
      : ''
  const closings =
    entry.spec.type === 'joining-link'
      ? words.closedOfTimes(closingsOf(part), entry.spec.closingsAllowed)
      : ''
  const more = `${closings}${loose}${entry.note ?? ''}`.trim()
  return (
    <li className="grid grid-cols-[minmax(0,1fr)_auto_11.5rem_auto] items-baseline gap-4 py-2 text-[0.95rem] max-sm:grid-cols-[minmax(0,1fr)_auto_auto] max-sm:gap-2">
      <span>
        <strong className="font-semibold">{name}</strong>
        {more !== '' && <span className="block text-sm text-steel">{more}</span>}
        <span className="block text-sm text-steel sm:hidden">{whereabouts(part, now)}</span>
      </span>
      <span className="text-right">
        {sayKm(kmOf(garage, part), units)}
        {before && <span className="block text-sm text-steel">{before}</span>}
      </span>
      <span className="text-right text-steel max-sm:hidden">{whereabouts(part, now)}</span>
      <span className="flex gap-3">
        <Button look="link" aria-label={words.historyOf(name)} onClick={() => onHistory(part)}>
          {words.history}
        </Button>
        <Button look="link" aria-label={words.move2(name)} onClick={() => onMove(part)}>
          {words.move}
        </Button>
      </span>
    </li>
  )
}

interface PartListProps {
  readonly title: string
  readonly bike: BikeId
  readonly parts: readonly PartState[]
  readonly onMove: (part: PartState) => void
  readonly onHistory: (part: PartState) => void
}

function PartList({ title, bike, parts, onMove, onHistory }: PartListProps) {
  if (parts.length === 0) return null
  return (
    <Section title={title}>
      <ul className="divide-y divide-hairline border-y border-hairline">
        {parts.map((part) => (
          <PartLine key={part.entry.part} part={part} bike={bike} onMove={onMove} onHistory={onHistory} />
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
  const [moving, setMoving] = useState<PartState>()
  const [read, setRead] = useState<PartState>()
  const adding = search.get('new') === 'bike'
  const newBike = (
    <Sheet open={adding} onClose={() => setSearch({})} title={words.aNewBike} note={words.onlyWhatTheFirst}>
      <NewBikeForm onDone={() => setSearch({})} />
    </Sheet>
  )
  if (!report)
    return (
      <>
        <NoBike what={words.everythingBeginsWithABike} />
        {newBike}
      </>
    )
  const { entry } = report.bike
  const order = ['chain', 'joining-link', 'cassette', 'ring', 'pulley']
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
        detail={words.onItInTheLog(
          sayCount(on.length, 'part'),
          off.length > 0 ? words.offIt(off.length) : '',
          sayCount(garage.bikes.size, 'bike'),
        )}
        action={
          <>
            <Button look="next" onClick={() => setSearch({ new: 'bike' })}>
              {words.addABike}
            </Button>
            <Button look="link" onClick={() => setEditing(true)}>
              {words.edit(entry.name)}
            </Button>
          </>
        }
      >
        {entry.name}: {entry.note || words.aBike}
        {chain
          ? words.onFor(report.chain?.part.entry.name.replace(/^Chain/, 'chain'), sayKm(chain.km, units))
          : words.withoutAChainInTheLog}
      </Answer>
      <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] gap-x-14 gap-y-8 max-lg:grid-cols-1">
        <div className="flex flex-col gap-8">
          <PartList
            title={`On ${entry.name}`}
            bike={entry.bike}
            parts={on}
            onMove={setMoving}
            onHistory={setRead}
          />
          <PartList
            title={words.notOnIt}
            bike={entry.bike}
            parts={off}
            onMove={setMoving}
            onHistory={setRead}
          />
          <Button className="self-start" onClick={() => setSearch({ new: 'part' })}>
            {words.addAPart}
          </Button>
        </div>
        <div className="flex flex-col gap-8">
          <FitChain key={`${entry.bike} ${report.chain?.part.entry.part ?? ''}`} report={report} />
        </div>
      </div>
      <div className="grid grid-cols-[minmax(0,1.2fr)_minmax(0,1fr)] gap-x-14 gap-y-8 border-t border-hairline pt-6 max-lg:grid-cols-1">
        <StockList report={report} />
        <ShoppingList report={report} />
      </div>
      {newBike}
      <Sheet
        open={search.get('new') === 'part'}
        onClose={() => setSearch({})}
        title={words.aNewPart}
        note={words.forTheShelfOrTheBike}
      >
        <NewPart report={report} onDone={() => setSearch({})} />
      </Sheet>
      <Sheet
        open={moving !== undefined}
        onClose={() => setMoving(undefined)}
        title={moving ? words.move2(namePart(garage, moving.entry.part, entry.bike)) : ''}
      >
        {moving && <MovePart key={moving.entry.part} part={moving} onDone={() => setMoving(undefined)} />}
      </Sheet>
      <Sheet
        open={read !== undefined}
        onClose={() => setRead(undefined)}
        title={read ? words.historyOf(namePart(garage, read.entry.part, entry.bike)) : ''}
      >
        {read && <PartHistory part={read.entry.part} />}
      </Sheet>
      <Sheet open={editing} onClose={() => setEditing(false)} title={words.edit2(entry.name)}>
        <EditBikeForm entry={entry} onDone={() => setEditing(false)} />
      </Sheet>
    </div>
  )
}
