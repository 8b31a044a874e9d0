import type { EntryDraft } from '../src/core/log/entries.ts'
import type { StockItem } from '../src/core/log/kinds/stock.ts'
import { STORY_DAYS } from './bikes.ts'
import type { Diary } from './diary.ts'

/** What lies on the library's shelf: how many came, how many are left at least, where, and what one cost, cents. */
const THINGS: readonly {
  readonly id: string
  readonly name: string
  readonly item: StockItem
  readonly bought: number
  readonly used: number
  readonly minimum: number
  readonly place: string
  readonly cents: number
  readonly facts?: Extract<EntryDraft, { kind: 'stock' }>['facts']
}[] = [
  {
    id: 'chain-11',
    name: 'Plain chain, 11 speeds',
    item: 'chain',
    bought: 4,
    used: 3,
    minimum: 1,
    place: 'drawer 2',
    cents: 2890,
    facts: { speeds: 11 },
  },
  {
    id: 'chain-9',
    name: 'Plain chain, 9 speeds',
    item: 'chain',
    bought: 3,
    used: 3,
    minimum: 1,
    place: 'drawer 2',
    cents: 1790,
    facts: { speeds: 9 },
  },
  {
    id: 'link-12',
    name: 'Joining links, 12 speeds',
    item: 'joining-link',
    bought: 3,
    used: 2,
    minimum: 2,
    place: 'tin by the stand',
    cents: 480,
    facts: { speeds: 12, linkKind: '12-speed plain' },
  },
  {
    id: 'wet-lube',
    name: 'Wet lube',
    item: 'drip-lube',
    bought: 4,
    used: 3,
    minimum: 1,
    place: 'shelf',
    cents: 890,
  },
  { id: 'wax', name: 'Chain wax', item: 'wax', bought: 2, used: 1, minimum: 1, place: 'shelf', cents: 1450 },
  {
    id: 'brake-cable',
    name: 'Brake cables',
    item: 'cable',
    bought: 5,
    used: 2,
    minimum: 2,
    place: 'drawer 1',
    cents: 420,
  },
]

/** The days on which chains went on, by the bikes' own stories. */
const HERON_CHAINS = [196, 360, 545]
const KITE_CHAINS = [2, 215, 475]

/** A visit in spring: the pads were worn, the pulleys could not be had. */
const springVisit = (diary: Diary): EntryDraft => ({
  kind: 'visit',
  at: diary.at(STORY_DAYS - 150, 11),
  visit: 'kite-spring',
  bike: 'kite',
  currency: 'EUR',
  sum: 5000,
  hour: 0,
  safetyTimes: 5,
  isClosed: true,
  jobs: [
    {
      id: 'brake-pads',
      name: 'Brake pads',
      isSafety: true,
      price: 1650,
      minutes: 20,
      worth: 12,
      outcome: 'done',
      found: 'Under 3 mm with their plate.',
    },
    {
      id: 'lube',
      name: 'Clean and lube',
      isSafety: false,
      price: 40,
      minutes: 10,
      worth: 4,
      outcome: 'done',
    },
    {
      id: 'pulleys',
      name: 'New pulleys',
      isSafety: false,
      price: 2000,
      minutes: 15,
      worth: 5,
      isOut: true,
      excludes: ['derailleur'],
      outcome: 'left',
      why: 'None to be had before summer.',
      byKm: 600,
    },
  ],
  found: ['The chain had lengthened by 0.62 %.', 'The tension pulley looked worn.'],
  expect: ['Measure the chain again in about 400 km.'],
  cautions: ['If the chain slips or jumps, do not pedal hard and do not stand: bring the bike back.'],
})

/** The shelf of the bike library, what its bikes have cost, and one visit with a part that could not be had. */
export function shelf(diary: Diary): void {
  for (const { id, name, item, bought, minimum, place, cents, facts } of THINGS)
    diary.write(
      { kind: 'stock', at: diary.at(1, 8), stock: id, name, item, minimum, place, ...(facts && { facts }) },
      {
        kind: 'stock-move',
        at: diary.at(1, 8),
        stock: id,
        count: bought,
        why: 'bought',
        minor: bought * cents,
        currency: 'EUR',
      },
    )
  const use = (day: number, stock: string, bike: string): void =>
    diary.write({ kind: 'stock-move', at: diary.at(day, 9), stock, count: -1, why: 'used', bike })
  HERON_CHAINS.forEach((day) => use(day, 'chain-11', 'heron'))
  KITE_CHAINS.forEach((day) => use(day, 'chain-9', 'kite'))
  ;[
    [90, 'heron'],
    [300, 'kite'],
    [520, 'heron'],
  ].forEach(([day, bike]) => use(Number(day), 'wet-lube', String(bike)))
  use(200, 'wax', 'quarry')
  use(420, 'brake-cable', 'kite')
  use(600, 'brake-cable', 'heron')
  diary.write(
    {
      kind: 'paid',
      at: diary.at(545, 10),
      bike: 'heron',
      what: 'Cassette 11 to 42',
      minor: 6890,
      currency: 'EUR',
    },
    {
      kind: 'paid',
      at: diary.at(110, 10),
      bike: 'quarry',
      what: 'Three chains',
      minor: 12_600,
      currency: 'EUR',
    },
    springVisit(diary),
  )
}
