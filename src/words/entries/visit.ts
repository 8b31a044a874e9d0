import type { VisitEntry } from '../../core/log/kinds/visit.ts'
import { sayExactMoney } from '../money.ts'
import { sayCount } from '../numbers.ts'
import { bikeName, type KindWords } from './kind-words.ts'

/** How a visit is worded. */
export const visit: KindWords<VisitEntry> = {
  name: 'job for a fixed sum',
  step: () => 'the job',
  say: ({ bike, jobs, sum, currency, isClosed }, garage) => {
    const done = jobs.filter(({ outcome }) => outcome === 'done').length
    return `${bikeName(garage, bike)}: ${
      isClosed
        ? `${sayCount(done, 'job')} done of ${jobs.length}`
        : `${sayCount(jobs.length, 'job')} to choose from`
    }, for ${sayExactMoney(sum, currency)}`
  },
  fields: [],
}
