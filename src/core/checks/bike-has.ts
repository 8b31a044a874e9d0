import type { BikeEntry } from '../log/kinds/bike.ts'

/** What a bike may have, as far as its checks go. */
export const FEATURES = [
  'disc',
  'rim',
  'hydraulic',
  'brake-cable',
  'derailleur',
  'cable',
  'electric',
  'suspension',
  'tubeless',
  'carbon',
  'motor',
  'through-axle',
  'quick-release',
  'nuts',
] as const
export type Feature = (typeof FEATURES)[number]

/** What a bike has, has not, and what nobody has entered yet. */
export type BikeHas = Readonly<Record<Feature, boolean | undefined>>

/** Whether something is one of two; undefined where it is not entered. */
const is = <T>(said: T | undefined, one: T): boolean | undefined =>
  said === undefined ? undefined : said === one

/** What a bike has, by its description. What was not entered is undefined: its checks are asked, and may be answered "not here". */
export function bikeHas({ brakes, speeds, shifting, motor, build = {} }: BikeEntry): BikeHas {
  // A bike with one cog has a derailleur only in name; a hub gear's cable moves nothing on the cogs.
  const hasDerailleur = speeds > 1 && shifting !== 'hub-gear' && shifting !== 'none'
  const { suspension, tyres, carbon, axles, brakeLine } = build
  return {
    disc: is(brakes, 'disc'),
    rim: is(brakes, 'rim'),
    hydraulic: is(brakeLine, 'hydraulic'),
    'brake-cable': is(brakeLine, 'cable'),
    derailleur: hasDerailleur,
    cable: hasDerailleur && shifting === 'cable',
    electric: shifting === 'electric',
    suspension,
    tubeless: is(tyres, 'tubeless'),
    carbon,
    motor: motor !== 'none',
    'through-axle': is(axles, 'through'),
    'quick-release': is(axles, 'quick-release'),
    nuts: is(axles, 'nuts'),
  }
}
