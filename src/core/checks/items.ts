import type { Feature } from './bike-has.ts'
import type { WearingPart } from './wearing-parts.ts'

/** Where on the bike, in the order of the round: from the rear wheel up, down to the cranks, up to the bars, down to the front. */
export const AREAS = ['rear', 'drivetrain', 'saddle', 'cranks', 'bars', 'front', 'whole'] as const
export type Area = (typeof AREAS)[number]

/** What is done about something that fails: before the next ride, soon, by a mechanic before it is ridden; or it is not ridden. */
export const ACTS = ['now', 'soon', 'mechanic', 'stop'] as const
export type Act = (typeof ACTS)[number]

/** Something that is looked at on a bike. */
export interface CheckItem {
  readonly area: Area
  /** How long it takes, minutes. */
  readonly minutes: number
  /** How bad it is to overlook it, 1 to 10. */
  readonly harm: number
  /** How long it usually stays right, days, and km where riding wears it. */
  readonly goodDays: number
  readonly goodKm?: number
  /** What the bike must have. */
  readonly needs?: readonly Feature[]
  /** What is done if it fails, unless the mechanic says otherwise. */
  readonly act: Act
  /** It is measured. */
  readonly measures?: readonly WearingPart[]
  /** Mending it: minutes, and parts in euro cents. Guesses, changed where the job is put together. */
  readonly mend?: readonly [minutes: number, cents: number]
}

const item = (
  area: Area,
  minutes: number,
  harm: number,
  good: number | readonly [days: number, km: number],
  act: Act,
  more: Pick<CheckItem, 'needs' | 'measures' | 'mend'> = {},
): CheckItem => ({
  area,
  minutes,
  harm,
  ...(typeof good === 'number' ? { goodDays: good } : { goodDays: good[0], goodKm: good[1] }),
  act,
  ...more,
})

/**
 * Everything that is looked at, in the order of the round. Minutes, harm and how long each stays right are judgements of ours: they
 * only decide what comes first when time is short.
 */
export const ITEMS = {
  'axle-rear': item('rear', 0.5, 10, 30, 'stop'),
  pressure: item('rear', 1, 6, 10, 'now'),
  'tyre-rear': item('rear', 1, 8, [60, 800], 'now', {
    measures: ['tyre-rear', 'flat-rear'],
    mend: [15, 2800],
  }),
  sealant: item('rear', 2, 4, 90, 'soon', {
    needs: ['tubeless'],
    measures: ['sealant-rear', 'sealant-front'],
    mend: [15, 900],
  }),
  'wheel-rear': item('rear', 1, 6, [90, 1500], 'soon', { mend: [30, 300] }),
  'hub-rear': item('rear', 0.5, 4, [180, 3000], 'soon', { mend: [30, 1500] }),
  'brake-rear': item('rear', 0.5, 10, [30, 300], 'stop', { mend: [25, 800] }),
  'pads-rear': item('rear', 1, 8, [60, 800], 'now', {
    needs: ['disc'],
    measures: ['pads-rear'],
    mend: [20, 1500],
  }),
  'rotor-rear': item('rear', 1, 6, [120, 2500], 'now', {
    needs: ['disc'],
    measures: ['rotor-rear'],
    mend: [15, 2500],
  }),
  'rotor-bolts-rear': item('rear', 0.5, 8, 120, 'now', { needs: ['disc'] }),
  'rim-pads-rear': item('rear', 1, 8, [60, 600], 'now', {
    needs: ['rim'],
    measures: ['rim-pads-rear'],
    mend: [15, 1000],
  }),
  'rim-rear': item('rear', 1, 8, [180, 3000], 'mechanic', {
    needs: ['rim'],
    measures: ['rim-rear'],
    mend: [60, 7000],
  }),
  hanger: item('drivetrain', 1, 7, 90, 'now', { needs: ['derailleur'], mend: [15, 1500] }),
  pulleys: item('drivetrain', 0.5, 3, [90, 1500], 'soon', { needs: ['derailleur'], mend: [15, 1500] }),
  chain: item('drivetrain', 0.5, 5, [14, 200], 'now'),
  teeth: item('drivetrain', 2, 4, [120, 1500], 'soon'),
  lockrings: item('drivetrain', 0.5, 4, 180, 'now', { needs: ['derailleur'] }),
  freehub: item('drivetrain', 0.5, 4, [180, 3000], 'soon', { mend: [30, 1500] }),
  indexing: item('drivetrain', 2, 3, [90, 1500], 'soon', { needs: ['cable'], mend: [15, 0] }),
  'gear-cable': item('drivetrain', 1, 4, [120, 2000], 'soon', { needs: ['cable'], mend: [25, 700] }),
  'shift-battery': item('drivetrain', 0.5, 4, [45, 800], 'now', { needs: ['electric'] }),
  saddle: item('saddle', 0.5, 6, 90, 'now'),
  post: item('saddle', 0.5, 5, 180, 'soon', { mend: [15, 0] }),
  cranks: item('cranks', 0.5, 9, [90, 1500], 'stop'),
  'bottom-bracket': item('cranks', 0.5, 5, [120, 2500], 'soon', { mend: [40, 2500] }),
  pedals: item('cranks', 0.5, 5, 120, 'now'),
  'ring-bolts': item('cranks', 0.5, 4, 180, 'now'),
  motor: item('cranks', 1, 6, [60, 800], 'mechanic', { needs: ['motor'] }),
  contacts: item('cranks', 1, 6, [45, 600], 'now', { needs: ['motor'] }),
  frame: item('bars', 1, 10, [90, 1500], 'stop'),
  headset: item('bars', 0.5, 10, [30, 500], 'mechanic', { mend: [15, 0] }),
  'headset-turn': item('bars', 0.5, 7, [120, 2500], 'soon', { mend: [40, 2500] }),
  'stem-bolts': item('bars', 1, 10, 90, 'stop'),
  levers: item('bars', 0.5, 5, 120, 'now'),
  'brake-lines': item('bars', 1, 9, [90, 1500], 'mechanic', { mend: [25, 800] }),
  sweat: item('bars', 1, 9, 120, 'stop'),
  tape: item('bars', 0.5, 2, 365, 'soon', { mend: [20, 1500] }),
  fork: item('front', 0.5, 10, [90, 1500], 'stop'),
  suspension: item('front', 1, 5, [30, 500], 'mechanic', { needs: ['suspension'], mend: [60, 4000] }),
  'brake-front': item('front', 0.5, 10, [30, 300], 'stop', { mend: [25, 800] }),
  'pads-front': item('front', 1, 9, [60, 800], 'now', {
    needs: ['disc'],
    measures: ['pads-front'],
    mend: [20, 1500],
  }),
  'rotor-front': item('front', 1, 7, [120, 2500], 'now', {
    needs: ['disc'],
    measures: ['rotor-front'],
    mend: [15, 2500],
  }),
  'rotor-bolts-front': item('front', 0.5, 9, 120, 'now', { needs: ['disc'] }),
  'rim-pads-front': item('front', 1, 9, [60, 600], 'now', {
    needs: ['rim'],
    measures: ['rim-pads-front'],
    mend: [15, 1000],
  }),
  'rim-front': item('front', 1, 9, [180, 3000], 'mechanic', {
    needs: ['rim'],
    measures: ['rim-front'],
    mend: [60, 7000],
  }),
  'wheel-front': item('front', 1, 7, [90, 1500], 'soon', { mend: [30, 300] }),
  'hub-front': item('front', 0.5, 5, [180, 3000], 'soon', { mend: [30, 1500] }),
  'tyre-front': item('front', 1, 9, [60, 800], 'now', { measures: ['tyre-front'], mend: [15, 2800] }),
  'axle-front': item('front', 0.5, 10, 30, 'stop'),
  bolts: item('whole', 3, 7, [90, 1500], 'now'),
  noises: item('whole', 1, 4, [60, 1000], 'soon'),
  lights: item('whole', 0.5, 6, 30, 'now'),
  mudguards: item('whole', 0.5, 5, 120, 'now'),
  grease: item('whole', 15, 4, 365, 'soon'),
  'tool-bag': item('whole', 1, 2, 120, 'soon'),
  'spare-link': item('whole', 0.5, 3, 180, 'soon'),
  block: item('whole', 4, 6, 60, 'now'),
} as const satisfies Readonly<Record<string, CheckItem>>

export type ItemId = keyof typeof ITEMS
export const ITEM_IDS = Object.keys(ITEMS) as ItemId[]
export const itemOf = (id: ItemId): CheckItem => ITEMS[id]
