import type { Entry } from './entries.ts'

/** Which records these are: the user's own, or those of the demo garage, all made up. They never mix. */
export type World = 'own' | 'demo'

/** The bikes of the demo garage, as it describes them. */
const DEMO_BIKES: ReadonlyMap<string, string> = new Map([
  ['heron', 'steel commuter, 1 x 11'],
  ['quarry', 'gravel bike, 1 x 12, three waxed chains'],
  ['kite', 'mid-drive cargo bike, 1 x 9, bakery rounds'],
  ['sparrow', 'quay hire bike, one cog'],
  ['plover', 'second-hand road bike, 2 x 10, slips'],
])

/** The demo's parts are named after the bike that they came on; everyone else's by chance. */
const isDemoPart = (id: string): boolean => DEMO_BIKES.has(id.slice(0, id.indexOf('-')))

/** Whether the demo's own script wrote an entry: what is written on a screen belongs to an action. */
const isDemoThing = (entry: Entry): boolean =>
  entry.action === undefined &&
  ((entry.kind === 'bike' && DEMO_BIKES.get(entry.bike) === entry.note) ||
    (entry.kind === 'part' && isDemoPart(entry.part)))

/**
 * The world of entries out of a file that does not say, as those of earlier versions do not: the demo's as soon as it
 * holds a bike or part that the demo's script made. Better asked once too often.
 */
export const worldOf = (entries: readonly Entry[]): World => (entries.some(isDemoThing) ? 'demo' : 'own')
