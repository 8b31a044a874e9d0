import type { LinkCheckEntry } from '../../core/log/kinds/link-check.ts'
import { sayCount } from '../numbers.ts'
import { namePart } from '../part-name.ts'
import { LINK_FAULT_NAMES } from '../wash-words.ts'
import type { KindWords } from './kind-words.ts'

/** How a chain that was gone through link by link is worded. */
export const linkCheck: KindWords<LinkCheckEntry> = {
  name: 'check link by link',
  step: (count) => sayCount(count, 'checkLinkByLink'),
  say: ({ chain, found }, garage) =>
    `${namePart(garage, chain)} link by link: ${
      found.length === 0
        ? 'all sound'
        : found.map(({ link, fault }) => `${LINK_FAULT_NAMES[fault]} at link ${link}`).join(', ')
    }`,
  fields: [],
}
