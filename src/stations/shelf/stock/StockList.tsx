import { useState } from 'react'
import { stockFit, stockOf, type StockState } from '../../../core/strategy/shelf/stock-facts.ts'
import type { BikeReport } from '../../../core/strategy/facts/bike-report.ts'
import { pricesOf } from '../../../core/strategy/plans/plans-ask.ts'
import { useOpenLog } from '../../../session/log-context.ts'
import { Button } from '../../../ui/parts/Button.tsx'
import { Section } from '../../../ui/parts/Section.tsx'
import { Sheet } from '../../../ui/parts/Sheet.tsx'
import { useInTurn } from '../../../ui/use-in-turn.ts'
import { sayExactMoney } from '../../../words/money.ts'
import { sayFit, STOCK_NAMES } from '../../../words/stock-words.ts'
import { BikeFitForm } from './BikeFitForm.tsx'
import { BuyForm } from './BuyForm.tsx'
import { StockForm } from './StockForm.tsx'
import { words } from '../../../words/stations/shelf/stock/stock-list.ts'

interface LineProps {
  readonly state: StockState
  readonly report: BikeReport
  readonly onEdit: () => void
  readonly onBuy: () => void
}

function StockLine({ state, report, onEdit, onBuy }: LineProps) {
  const { garage, now, record } = useOpenLog()
  const { entry, count, lastPaid, isShort } = state
  const { bike, name } = report.bike.entry
  const fit = sayFit(stockFit(garage, state, report.bike))
  const use = useInTurn(async () => {
    await record(
      [{ kind: 'stock-move', at: now, stock: entry.stock, count: -1, why: 'used', bike }],
      words.oneUsedOn(STOCK_NAMES[entry.item], name),
    )
  })
  const drop = useInTurn(async () => {
    const { id: _id, format: _format, action: _action, ...held } = entry
    await record([{ ...held, at: now, isDropped: true }], words.isOffTheList(entry.name))
  })
  return (
    <li className="grid grid-cols-[minmax(0,1.5fr)_4rem_minmax(0,1fr)_auto] items-baseline gap-x-4 py-2.5 max-sm:grid-cols-[minmax(0,1fr)_4rem]">
      <span>
        <strong className="font-semibold">{entry.name}</strong>
        <span className="block text-sm text-steel">
          {[
            STOCK_NAMES[entry.item],
            entry.place,
            lastPaid && words.lastPaid(sayExactMoney(lastPaid.minor, lastPaid.currency)),
          ]
            .filter(Boolean)
            .join(', ')}
        </span>
      </span>
      <span className={`text-right font-mono ${isShort ? 'font-semibold text-rust' : ''}`}>
        {count}
        {entry.minimum !== undefined && (
          <span className="block text-sm text-steel">{words.of(entry.minimum)}</span>
        )}
      </span>
      <span className="text-[0.95rem] max-sm:col-span-full">
        {fit.word}
        {fit.why !== '' && <span className="block text-sm text-steel">{fit.why}</span>}
      </span>
      <span className="flex flex-wrap gap-3 max-sm:col-span-full">
        <Button look="link" aria-label={words.useOneOn(entry.name, name)} disabled={count <= 0} onClick={use}>
          {words.useOne}
        </Button>
        <Button look="link" aria-label={words.bought(entry.name)} onClick={onBuy}>
          {words.bought2}
        </Button>
        <Button look="link" aria-label={words.change(entry.name)} onClick={onEdit}>
          {words.change2}
        </Button>
        <Button look="link" aria-label={words.takeOffTheList(entry.name)} onClick={drop}>
          {words.remove}
        </Button>
      </span>
    </li>
  )
}

/** What is kept on the shelf by count: how many, where, what it cost, and whether it goes on this bike. */
export function StockList({ report }: { readonly report: BikeReport }) {
  const { garage } = useOpenLog()
  const [editing, setEditing] = useState<StockState | 'new'>()
  const [buying, setBuying] = useState<StockState>()
  const [fitting, setFitting] = useState(false)
  const stock = stockOf(garage)
  const { entry } = report.bike
  const { currency } = pricesOf(garage, report)
  return (
    <Section
      title={words.inStock}
      note={stock.length === 0 ? words.spareChainsJoiningLinks : words.whetherItGoesOnByWhat(entry.name)}
    >
      {stock.length > 0 && (
        <ul className="divide-y divide-hairline border-y border-hairline">
          {stock.map((state) => (
            <StockLine
              key={state.entry.stock}
              state={state}
              report={report}
              onEdit={() => setEditing(state)}
              onBuy={() => setBuying(state)}
            />
          ))}
        </ul>
      )}
      <p className="mt-3 flex flex-wrap gap-4">
        <Button onClick={() => setEditing('new')}>{words.addToStock}</Button>
        <Button look="link" onClick={() => setFitting(true)}>
          {words.whatSPartsMust(entry.name)}
        </Button>
      </p>
      <Sheet
        open={editing !== undefined}
        onClose={() => setEditing(undefined)}
        title={editing === undefined || editing === 'new' ? words.newOnTheShelf : editing.entry.name}
      >
        {editing && (
          <StockForm
            currency={currency}
            onDone={() => setEditing(undefined)}
            {...(editing !== 'new' && { state: editing })}
          />
        )}
      </Sheet>
      <Sheet
        open={buying !== undefined}
        onClose={() => setBuying(undefined)}
        title={buying ? words.bought3(buying.entry.name) : ''}
      >
        {buying && <BuyForm state={buying} currency={currency} onDone={() => setBuying(undefined)} />}
      </Sheet>
      <Sheet
        open={fitting}
        onClose={() => setFitting(false)}
        title={words.whatSPartsMustFit(entry.name)}
        note={words.leaveEmptyWhatYou}
      >
        {fitting && <BikeFitForm entry={entry} onDone={() => setFitting(false)} />}
      </Sheet>
    </Section>
  )
}
