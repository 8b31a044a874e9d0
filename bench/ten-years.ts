import { seededRandom } from '../src/core/stats/random.ts'
import { ENTRY_FORMAT } from '../src/core/log/entry.ts'
import type { Entry, EntryDraft } from '../src/core/log/entries.ts'
import { makeEntryId } from '../src/core/log/entry-id.ts'
import { lengthAtElongation } from '../src/core/measure/elongation.ts'
import { CONDITION_MULTIPLIER, type Condition } from '../src/core/exposure/conditions.ts'

const BIKES = 20
const YEARS = 10
const DAY_MS = 86_400_000
const START = Date.UTC(2016, 10, 23, 8)
const CONDITIONS: readonly Condition[] = ['dry-road', 'dry-road', 'wet-road', 'dry-gravel', 'winter-salt']

/**
 * A log of ten years and twenty bikes: three rides a week on each, a look with a rule and a gauge every ten weeks, a
 * lubrication a month, a new chain whenever the old one is past 0.6 %.
 */
export function tenYears(): { readonly entries: Entry[]; readonly now: string } {
  const random = seededRandom(20)
  const drafts: EntryDraft[] = []
  const at = (day: number, hour = 0) => new Date(START + (day + hour / 24) * DAY_MS).toISOString()
  for (let b = 0; b < BIKES; b++) {
    const bike = `bike-${b}`
    drafts.push({
      kind: 'bike',
      at: at(0),
      bike,
      name: `Bike ${b}`,
      note: '',
      speeds: 11,
      shifting: 'cable',
      motor: 'none',
      usualCondition: 'dry-road',
      storage: 'indoors',
    })
    drafts.push(
      {
        kind: 'part',
        at: at(0),
        part: `${bike}-cassette`,
        name: 'Cassette',
        spec: { type: 'cassette', teeth: [11, 13, 15, 17, 19, 21, 24, 28, 32, 37, 42], material: 'steel' },
      },
      { kind: 'fit', at: at(0), part: `${bike}-cassette`, bike },
    )
    let [chains, worn, rate, chain] = [0, 1, 0.17, '']
    for (let day = 0; day < 365 * YEARS; day++) {
      if (worn > 0.6) {
        chain = `${bike}-chain-${++chains}`
        ;[worn, rate] = [0, 0.17 * Math.exp(random.normal(0, 0.3))]
        drafts.push(
          {
            kind: 'part',
            at: at(day),
            part: chain,
            name: `Chain ${chains}`,
            spec: { type: 'chain', links: 116, speeds: 11, past: 'new' },
          },
          { kind: 'fit', at: at(day, 0.1), part: chain, bike },
        )
      }
      if (random.chance(3 / 7)) {
        const condition = CONDITIONS[Math.floor(random.unit() * CONDITIONS.length)] ?? 'dry-road'
        drafts.push({ kind: 'ride', at: at(day, 1), bike, km: 12, condition })
        worn += (rate * 12 * CONDITION_MULTIPLIER[condition]) / 1000
      }
      if ((day + 3 * b) % 30 === 0)
        drafts.push({ kind: 'wash', at: at(day, 2), chain, method: 'wipe', lube: 'wet-lube' })
      if ((day + 7 * b) % 70 === 69) {
        const lengthMm = lengthAtElongation(24, worn + random.normal(0, 0.1))
        drafts.push(
          {
            kind: 'reading',
            at: at(day, 3),
            chain,
            reading: { instrument: 'rule', pitches: 24, lengthMm },
          },
          {
            kind: 'reading',
            at: at(day, 3.1),
            chain,
            reading: {
              instrument: 'two-contact-limit',
              limit: 0.5,
              result: worn + random.normal(0.1, 0.1) > 0.5 ? 'drops' : 'clear',
            },
          },
        )
      }
    }
  }
  const entries = drafts.map((draft, i) => {
    const bytes = Uint8Array.from({ length: 16 }, (_, k) => (i * 31 + k * 7) % 256)
    return { ...draft, format: ENTRY_FORMAT, id: makeEntryId(START + i, 0, bytes) }
  })
  return { entries, now: at(365 * YEARS) }
}
