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
import { words } from '../../../words/stations/shelf/stock/shopping-list.ts'

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
    setSaid(words.askingForPrices)
    try {
      const told = await catalogue({
        signal: control.signal,
        onWait: (ms, why) => setSaid(words.tryingAgainInS(why, Math.max(1, Math.round(ms / 1000)))),
      })
      setOffers(told)
      setSaid(words.inTheCatalogue(sayCount(told.length, 'thing')))
    } catch (error) {
      setSaid(
        control.signal.aborted
          ? words.stoppedTheListStands
          : words.theListStandsWithout(
              error instanceof ServiceError ? error.message : words.theSupplierCouldNot,
            ),
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
    if (!found) return offers && !need.onShelf ? words.notInTheCatalogue : ''
    const { offer, isSubstitute, says } = found
    const price = sayExactMoney(offer.minor, offer.currency)
    const stock = offer.inStock > 0 ? words.toBeHad(offer.inStock) : words.soldOut
    return [
      isSubstitute ? words.instead(offer.name, price, stock) : `${offer.name}, ${price}, ${stock}.`,
      says === 'ask' && words.askTheMakerWhether,
      orderBy !== undefined && (orderBy <= now ? words.orderToday : words.orderBy(sayDay(orderBy, now))),
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
        {need.times !== undefined && words.for(sayCount(need.times, 'application'))}
        <span className="block text-sm text-steel">
          {bikes.length === 0 ? words.forTheShelf : words.for2(sayList(bikes))}, {sayNeed(need.why)}
          {!need.isSure && words.perhaps}
          {need.onShelf && words.onTheShelf(need.onShelf.name, need.onShelf.count)}
        </span>
        {offer !== '' && <span className="block text-sm">{offer}</span>}
      </span>
      <span className="text-right text-[0.95rem]">
        {by === undefined ? '' : by <= now ? words.now : words.by(sayDay(by, now))}
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
      words.sPlansGoByTheSuppliers(name),
    )
  })
  const isWaiting = judged.some(({ verdict }) => verdict === undefined)
  const toBuy = needs.filter(({ onShelf }) => !onShelf).length
  return (
    <Section
      title={words.toBuyForTheNext(sayKm(SHOPPING_KM, units))}
      note={
        isWaiting
          ? words.bikesAreStillBeing
          : needs.length === 0
            ? words.nothingIsNeeded
            : words.toBuyOnTheShelf(sayCount(toBuy, 'thing'), needs.length - toBuy)
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
          <Button onClick={supplier.stop}>{words.stopAsking}</Button>
        ) : (
          <Button onClick={supplier.ask}>{words.askThe(SUPPLIER)}</Button>
        )}
        {asked && (
          <Button look="link" onClick={() => take()}>
            {words.useThesePricesInS(name)}
          </Button>
        )}
        <Button look="link" onClick={() => window.print()}>
          {words.print}
        </Button>
        <span role="status" className="text-sm text-steel">
          {supplier.said || words.aMadeUpSupplier}
        </span>
      </p>
    </Section>
  )
}
