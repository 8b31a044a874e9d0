import type { FastifyInstance } from 'fastify'
import { addFaults } from './faults.ts'
import { settled } from './ride-exchange.ts'

const PATH = '/api/parts-supplier'
const PAGE = 8
const WEEK_MS = 7 * 86_400_000

/** One line of the made-up catalogue. Prices in euro cents. */
interface Line {
  readonly sku: string
  readonly item: string
  readonly name: string
  readonly cents: number
  readonly leadDays: number
  /** Seldom on the shelves. */
  readonly isScarce?: boolean
  /** What it can stand in for. */
  readonly insteadOf?: string
  readonly facts?: Readonly<Record<string, unknown>>
}

const chains: readonly Line[] = [8, 9, 10, 11, 12].flatMap((speeds, i) => [
  {
    sku: `ch-${speeds}`,
    item: 'chain',
    name: `Plain chain, ${speeds} speeds`,
    cents: 1600 + 600 * i,
    leadDays: 2,
    facts: { speeds, pitchMm: 12.7, innerWidthMm: 2.38 },
  },
  {
    sku: `hc-${speeds}`,
    item: 'hard-chain',
    name: `Hard-coated chain, ${speeds} speeds`,
    cents: 3900 + 1300 * i,
    leadDays: 4,
    facts: { speeds, pitchMm: 12.7, innerWidthMm: 2.38 },
  },
  {
    sku: `jl-${speeds}`,
    item: 'joining-link',
    name: `Joining link, ${speeds} speeds`,
    cents: 350 + 60 * i,
    leadDays: 2,
    facts: { speeds, linkKind: `${speeds}-speed plain` },
  },
])
const cassettes: readonly Line[] = [
  { speeds: 9, teeth: [11, 13, 15, 17, 20, 23, 26, 30, 34], cents: 3600 },
  { speeds: 10, teeth: [11, 13, 15, 17, 19, 21, 24, 28, 32, 36], cents: 5200 },
  { speeds: 11, teeth: [11, 13, 15, 17, 19, 21, 24, 28, 32, 37, 42], cents: 7400 },
  { speeds: 12, teeth: [10, 12, 14, 16, 18, 21, 24, 28, 33, 38, 44, 50], cents: 12_800 },
].map(({ speeds, teeth, cents }) => ({
  sku: `cs-${speeds}`,
  item: 'cassette',
  name: `Steel cassette ${teeth[0] ?? 0} to ${teeth.at(-1) ?? 0}, ${speeds} speeds`,
  cents,
  leadDays: 5,
  facts: { speeds, teeth, freehub: speeds < 12 ? 'splined, 9 ribs' : 'splined, short' },
}))
/** Invented, as is the supplier. */
const CATALOGUE: readonly Line[] = [
  ...chains,
  ...cassettes,
  {
    sku: 'ri-40',
    item: 'ring',
    name: 'Steel ring, 40 teeth',
    cents: 3300,
    leadDays: 6,
    facts: { teeth: [40], boltCircleMm: 104, bolts: 4 },
  },
  {
    sku: 'pu-11',
    item: 'pulleys',
    name: 'Pair of pulleys, 11 teeth',
    cents: 1900,
    leadDays: 21,
    isScarce: true,
    facts: { teeth: [11] },
  },
  {
    sku: 'de-9',
    item: 'derailleur',
    name: 'Rear derailleur, 9 speeds, whole',
    cents: 5600,
    leadDays: 3,
    insteadOf: 'pu-11',
    facts: { speeds: 9, capacityTeeth: 37, largestCog: 36 },
  },
  { sku: 'dl-1', item: 'drip-lube', name: 'Wet lube, a bottle', cents: 900, leadDays: 2 },
  { sku: 'wx-1', item: 'wax', name: 'Chain wax, a block', cents: 1500, leadDays: 2 },
  { sku: 'dg-1', item: 'degreaser', name: 'Degreaser, a bottle', cents: 1100, leadDays: 2 },
  { sku: 'bp-1', item: 'brake-pads', name: 'Brake pads, a pair', cents: 1400, leadDays: 3 },
  { sku: 'ca-1', item: 'cable', name: 'Brake cable', cents: 500, leadDays: 2 },
]

/** What there is of a line in a week: the same all week. */
function offerOf(line: Line, place: number, week: number) {
  const left = Math.floor(12 * settled(place, week, 7)) - (line.isScarce ? 12 : 1)
  const { cents, isScarce: _scarce, ...rest } = line
  return { ...rest, minor: cents, currency: 'EUR', inStock: Math.max(0, left) }
}

/** A stand-in for a supplier of parts: a catalogue in pages, with prices, stock and lead times. Made up. */
export function addPartsSupplier(app: FastifyInstance): void {
  const faults = addFaults(app, PATH)
  app.get<{ Querystring: { after: number } }>(
    `${PATH}/catalogue`,
    {
      schema: {
        querystring: {
          type: 'object',
          required: ['after'],
          properties: { after: { type: 'integer', minimum: 0, maximum: 100_000 } },
        },
      },
    },
    async (request, reply) => {
      if (await faults.gate(reply)) return reply
      const { duplicate, outOfOrder, deleteEvery } = faults.now()
      const week = Math.floor(Date.now() / WEEK_MS)
      const offers = CATALOGUE.map((line, place) => offerOf(line, place, week)).map((offer, i) =>
        // What "was deleted since" is here what has sold out since.
        deleteEvery > 0 && i % deleteEvery === deleteEvery - 1 ? { ...offer, inStock: 0 } : offer,
      )
      const told = offers.flatMap((offer) => (duplicate ? [offer, offer] : [offer]))
      const all = outOfOrder ? told.reverse() : told
      const { after } = request.query
      return {
        offers: all.slice(after, after + PAGE),
        next: Math.min(all.length, after + PAGE),
        more: after + PAGE < all.length,
      }
    },
  )
}
