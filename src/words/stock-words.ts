import type { StockItem } from '../core/log/kinds/stock.ts'
import type { Fit, FitGround } from '../core/strategy/shelf/fit.ts'
import type { NeedWhy } from '../core/strategy/shelf/shopping.ts'
import { sayList } from './numbers.ts'

/** What each kind of thing on the shelf is called. */
export const STOCK_NAMES: Readonly<Record<StockItem, string>> = {
  chain: 'chain',
  'hard-chain': 'hard-coated chain',
  'joining-link': 'joining link',
  cassette: 'cassette',
  'single-cog': 'single cog',
  ring: 'ring',
  pulleys: 'pair of pulleys',
  derailleur: 'rear derailleur',
  'drip-lube': 'drip lube',
  wax: 'wax',
  degreaser: 'degreaser',
  'brake-pads': 'brake pads',
  cable: 'cable',
  tyre: 'tyre',
  other: 'something else',
}

const GROUNDS: Readonly<Record<FitGround['about'], string>> = {
  speeds: 'number of speeds',
  pitch: 'pitch',
  innerWidth: 'inner width',
  spacing: 'cog spacing',
  freehub: 'freehub body',
  boltCircle: 'bolt circle',
  bolts: 'number of bolts',
  teeth: 'tooth count',
  capacity: 'what the derailleur’s cage takes up',
  largestCog: 'largest cog that the derailleur clears',
  linkKind: 'kind of joining link',
  proof: 'whether it really fits: equal figures do not prove it',
}

/** Whether a part goes on a bike: "fits", "does not fit", "ask the maker", and on what grounds. */
export function sayFit({ says, grounds }: Fit): { readonly word: string; readonly why: string } {
  const of = (kind: FitGround['kind']): string[] =>
    grounds.filter((ground) => ground.kind === kind).map(({ about }) => GROUNDS[about])
  switch (says) {
    case 'fits':
      return { word: 'fits', why: '' }
    case 'does-not':
      return { word: 'does not fit', why: `Differs: ${sayList(of('differs'))}.` }
    case 'ask':
      return { word: 'ask the maker', why: `Not known: ${sayList(of('unknown'))}.` }
  }
}

/** Why something stands on the shopping list. */
export function sayNeed(why: NeedWhy): string {
  switch (why) {
    case 'due':
      return 'due now'
    case 'forecast':
      return 'by the forecast'
    case 'with-chain':
      return 'with the new chain'
    case 'worn':
      return 'worn'
    case 'advice':
      return 'left at an earlier visit'
    case 'minimum':
      return 'fewer than you keep'
    case 'lube':
      return 'for the lube that is due on the way'
  }
}
