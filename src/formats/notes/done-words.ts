import type { WashMethod } from '../../core/log/kinds/wash.ts'
import type { Lube } from '../../core/lube/lubes.ts'
import type { WashWay } from '../../core/lube/wash-ways.ts'

/** What a note says was done. */
export type Done =
  | { readonly did: 'new-part'; readonly type: 'chain' | 'cassette' | 'ring' }
  | { readonly did: 'wash'; readonly method: WashMethod; readonly lube?: Lube; readonly way?: WashWay }

/** What a text says, and whether there is more in it than that. */
export interface DoneWords {
  readonly done: readonly Done[]
  /** It speaks of a part that is still to come: "needs a new chain". */
  readonly isMeant: boolean
}

const CHAIN = String.raw`(?:chains?|kette|cha[iî]ne|cadena|catena)`
const CASSETTE = String.raw`(?:cassette|kassette|sprockets?|freewheel)`
const RING = String.raw`(?:chain ?rings?|front ring|kettenblatt)`
const CHANGED = String.raw`(?:new|replaced?|changed?|fitted|swapped?|installed|put on|neue?|gewechselt|getauscht|nouvelle)`

const MEANT =
  /\b(needs?|need to|order(ed)?|buy|bought|should|soon|to ?do|next|plan(ned)?|maybe|perhaps|must|when|before|brauch\w*|bestell\w*|sp[äa]ter)\b|\?|\bno new\b|\bnot? (replaced|changed|swapped)\b/i

const near = (part: string): RegExp =>
  new RegExp(`\\b${CHANGED}\\b[^.;]{0,25}\\b${part}\\b|\\b${part}\\b[^.;]{0,25}\\b${CHANGED}\\b`, 'i')
const NEW_RING = near(RING)
const NEW_CASSETTE = near(CASSETTE)
const NEW_CHAIN = near(CHAIN)

/** In the order in which they are tried: the narrower sense first. */
const WASHES: readonly (readonly [RegExp, Omit<Extract<Done, { did: 'wash' }>, 'did'>])[] = [
  [
    /\b(drip|liquid|bottle)[ -]?wax(ed)?\b|tropfwachs/i,
    { method: 'wipe', lube: 'drip-wax', way: 'drip-wax' },
  ],
  [/\b(strip(ped)?)\b.*\bwax/i, { method: 'off-bike', lube: 'immersion-wax', way: 'strip-wax' }],
  [
    /\b(re-?|hot[ -]|immersion[ -]?)?wax(ed|ing)?\b|gewachst/i,
    { method: 'off-bike', lube: 'immersion-wax', way: 're-wax' },
  ],
  [/\bwet[ -]?lubed?\b/i, { method: 'none', lube: 'wet-lube', way: 'drip' }],
  [/\bdry[ -]?lubed?\b/i, { method: 'none', lube: 'dry-lube', way: 'drip' }],
  [
    /\b(lubed?|lubricat\w*|oil(ed|ing)?|ge[öo]lt|grais\w*)\b/i,
    { method: 'none', lube: 'wet-lube', way: 'drip' },
  ],
]
const CLEANED = /\b(clean(ed|ing)?|wash(ed|ing)?|degreas\w*|scrub\w*|gereinigt|geputzt|nettoy\w*)\b/i
const WIPED = /\b(wip(ed?|ing)|rag|abgewischt)\b/i

function washIn(text: string): Extract<Done, { did: 'wash' }> | undefined {
  const found = WASHES.find(([words]) => words.test(text))?.[1]
  const isCleaned = CLEANED.test(text)
  if (found)
    return found.method === 'none' && isCleaned
      ? { did: 'wash', ...found, method: 'on-bike', way: 'degrease' }
      : found.method === 'none' && WIPED.test(text)
        ? { did: 'wash', ...found, method: 'wipe', way: 'wipe' }
        : { did: 'wash', ...found }
  if (isCleaned) return { did: 'wash', method: 'on-bike', way: 'degrease' }
  return WIPED.test(text) ? { did: 'wash', method: 'wipe', way: 'wipe' } : undefined
}

/**
 * What a note says was done to the drivetrain: a part that is new, a wash, a lube. Oil of which nothing else is said is
 * taken for wet lube.
 */
export function doneIn(text: string): DoneWords {
  const isPart = NEW_CHAIN.test(text) || NEW_CASSETTE.test(text) || NEW_RING.test(text)
  const isMeant = isPart && MEANT.test(text)
  const withoutRing = text.replace(new RegExp(RING, 'gi'), '')
  const parts: Done[] = []
  if (!isMeant) {
    if (near(CHAIN).test(withoutRing)) parts.push({ did: 'new-part', type: 'chain' })
    if (NEW_CASSETTE.test(text)) parts.push({ did: 'new-part', type: 'cassette' })
    if (NEW_RING.test(text)) parts.push({ did: 'new-part', type: 'ring' })
  }
  const wash = washIn(text)
  return { done: wash ? [...parts, wash] : parts, isMeant }
}

/** Whether a text says no more than that something was done: "new chain", "Waxed.", "cleaned and oiled". */
export const isOnlyDone = (text: string): boolean =>
  /^[\s.,;:+&!]*$/.test(
    text.replace(
      new RegExp(
        `\\b(${CHANGED}|${CHAIN}|${CASSETTE}|hot|drip|wet|dry|re-?|lube|lubed|oil|oiled|wax|waxed|waxing|clean|cleaned|wash|washed|degreased|wiped|and|the|und|on|with)\\b`,
        'gi',
      ),
      '',
    ),
  )
