import { useMemo, useRef, useState } from 'react'
import type { BikeReport } from '../../../core/strategy/facts/bike-report.ts'
import { lubeUses, pricesOf } from '../../../core/strategy/plans/plans-ask.ts'
import { shoppingList, SHOPPING_KM, type Need } from '../../../core/strategy/shelf/shopping.ts'
import { addDays } from '../../../core/units/days.ts'
import { catalogue, SUPPLIER, type Offer } from '../../../services/parts-supplier.ts'
import { ServiceError } from '../../../services/patient-fetch.ts'
import { useOpenLog } from '../../../session/log-context.ts'
import { useAllJudged } from '../../../session/verdicts.ts'
import { Button } from '../../../ui/parts/Button.tsx'
import { Section } from '../../../ui/parts/Section.tsx'
import { useInTurn } from '../../../ui/use-in-turn.ts'
import { useUnits } from '../../../ui/screen-state.ts'
import { sayExactMoney } from '../../../words/money.ts'
import { sayCount, sayDay, sayKm, sayList } from '../../../words/numbers.ts'
import { sayNeed, STOCK_NAMES } from '../../../words/stock-words.ts'
import { offerFor, pricesFrom } from './offers.ts'

/** What the supplier told, while the page is open. */
function useSupplier() {
  const [offers, setOffers] = useState<readonly Offer[]>()
  const [said, setSaid] = useState('')
  const running = useRef<AbortController>(undefined)
  const [isBusy, setBusy] = useState(false)
  const ask = async () => {
    const control = new AbortController()
    running.current = control
    setBusy(true)
    setSaid('Asking for prices…')
    try {
      const told = await catalogue({
        signal: control.signal,
        onWait: (ms, why) => setSaid(`${why} Trying again in ${Math.max(1, Math.round(ms / 1000))} s.`),
      })
      setOffers(told)
      setSaid(`${sayCount(told.length, 'thing')} in the catalogue.`)
    } catch (error) {
      setSaid(
        control.signal.aborted
          ? 'Stopped. The list stands without prices.'
          : `${error instanceof ServiceError ? error.message : 'The supplier could not be asked.'} The list stands without prices.`,
      )
    } finally {
      setBusy(false)
    }
  }
  return { offers, said, isBusy, ask: () => void ask(), stop: () => running.current?.abort() }
}

function NeedLine({ need, offers }: { readonly need: Need; readonly offers: readonly Offer[] | undefined }) {
  const { garage, now } = useOpenLog()
  const bikes = [need.bike, ...(need.alsoFor ?? [])].flatMap(
    (id) => (id === undefined ? undefined : garage.bikes.get(id)?.entry.name) ?? [],
  )
  const held = need.stock === undefined ? undefined : garage.listed.stock.get(need.stock)?.at(-1)
  const found = offers && !need.onShelf ? offerFor(garage, need, offers) : undefined
  const { by } = need
  const orderBy = found && by !== undefined ? addDays(by, -found.offer.leadDays) : undefined
  const sayOffer = (): string => {
    if (!found) return offers && !need.onShelf ? 'Not in the catalogue.' : ''
    const { offer, isSubstitute, says } = found
    const price = sayExactMoney(offer.minor, offer.currency)
    const stock = offer.inStock > 0 ? `${offer.inStock} to be had` : 'sold out'
    return [
      isSubstitute ? `Instead: ${offer.name}, ${price}, ${stock}.` : `${offer.name}, ${price}, ${stock}.`,
      says === 'ask' && 'Ask the maker whether it fits.',
      orderBy !== undefined && (orderBy <= now ? 'Order today.' : `Order by ${sayDay(orderBy, now)}.`),
    ]
      .filter(Boolean)
      .join(' ')
  }
  const offer = sayOffer()
  return (
    <li className="grid grid-cols-[minmax(0,1fr)_9rem] gap-x-4 py-2.5">
      <span>
        <strong className="font-semibold">
          {held?.name ?? STOCK_NAMES[need.item].replace(/^./, (letter) => letter.toUpperCase())}
        </strong>
        {need.times !== undefined && `, for ${sayCount(need.times, 'application')}`}
        <span className="block text-sm text-steel">
          {bikes.length === 0 ? 'for the shelf' : `for ${sayList(bikes)}`}, {sayNeed(need.why)}
          {!need.isSure && ', perhaps'}
          {need.onShelf && `; on the shelf: ${need.onShelf.name}, ${need.onShelf.count}`}
        </span>
        {offer !== '' && <span className="block text-sm">{offer}</span>}
      </span>
      <span className="text-right text-[0.95rem]">
        {by === undefined ? '' : by <= now ? 'now' : `by ${sayDay(by, now)}`}
      </span>
    </li>
  )
}

/** What all bikes will need over the next 1000 km, by when, and what the supplier has. */
export function ShoppingList({ report }: { readonly report: BikeReport }) {
  const { garage, now, record } = useOpenLog()
  const units = useUnits()
  const judged = useAllJudged()
  const supplier = useSupplier()
  const needs = useMemo(
    () => shoppingList(garage, judged, (report) => lubeUses(garage, report).now.per1000),
    [garage, judged],
  )
  const { bike, name } = report.bike.entry
  const asked = supplier.offers && pricesFrom(garage, report.bike, supplier.offers)
  const take = useInTurn(async () => {
    if (!asked) return
    const known = pricesOf(garage, report)
    const kept = known.currency === asked.currency ? known.typed : {}
    await record(
      [{ kind: 'prices', at: now, bike, currency: asked.currency, minor: { ...kept, ...asked.minor } }],
      `${name}’s plans go by the supplier’s prices.`,
    )
  })
  const isWaiting = judged.some(({ verdict }) => verdict === undefined)
  const toBuy = needs.filter(({ onShelf }) => !onShelf).length
  return (
    <Section
      title={`To buy for the next ${sayKm(SHOPPING_KM, units)}`}
      note={
        isWaiting
          ? 'Bikes are still being worked out.'
          : needs.length === 0
            ? 'Nothing is needed.'
            : `${sayCount(toBuy, 'thing')} to buy, ${needs.length - toBuy} on the shelf already. Days are the early end of what is likely.`
      }
    >
      {needs.length > 0 && (
        <ul className="divide-y divide-hairline border-y border-hairline">
          {needs.map((need) => (
            <NeedLine
              key={`${need.bike ?? ''} ${need.stock ?? ''} ${need.item}`}
              need={need}
              offers={supplier.offers}
            />
          ))}
        </ul>
      )}
      <p className="no-print mt-3 flex flex-wrap items-center gap-4">
        {supplier.isBusy ? (
          <Button onClick={supplier.stop}>Stop asking</Button>
        ) : (
          <Button onClick={supplier.ask}>Ask the {SUPPLIER}</Button>
        )}
        {asked && (
          <Button look="link" onClick={() => take()}>
            use these prices in {name}’s plans
          </Button>
        )}
        <Button look="link" onClick={() => window.print()}>
          print
        </Button>
        <span role="status" className="text-sm text-steel">
          {supplier.said || 'A made-up supplier that ships with this app.'}
        </span>
      </p>
    </Section>
  )
}
