import type { Condition } from '../exposure/conditions.ts'

/** Things on a bike, beside the chain, that wear until a limit. */
export const WEARING_PARTS = [
  'pads-rear',
  'pads-front',
  'rotor-rear',
  'rotor-front',
  'rim-pads-rear',
  'rim-pads-front',
  'rim-rear',
  'rim-front',
  'tyre-rear',
  'tyre-front',
  'flat-rear',
  'sealant-rear',
  'sealant-front',
] as const
export type WearingPart = (typeof WEARING_PARTS)[number]

/** What kind of thing it is: the front's and the rear's are alike. */
export type WearingKind = 'pads' | 'rotor' | 'rim-pads' | 'rim' | 'tyre' | 'flat' | 'sealant'

export const kindOfPart = (part: WearingPart): WearingKind =>
  part.replace(/-(rear|front)$/, '') as WearingKind

/** How one kind of thing wears: what it is like new, where it ends, how fast, and by what. All but the limits are guesses. */
export interface WearingLaw {
  /** It gets thinner, or what is measured grows with wear. */
  readonly gets: 'thinner' | 'wider' | 'older'
  /** Like new, mm, and how far new ones differ. */
  readonly newMm: { readonly mean: number; readonly sd: number }
  /** Where it is replaced, mm; of sealant, where it is dry: 1. */
  readonly limitMm: number
  /** Wear per 1000 km on a dry road (per 1000 days where it ages), and its spread as a logarithm. */
  readonly rate: { readonly median: number; readonly logSd: number }
  /** How far one set differs from the next on the same bike, as a logarithm. */
  readonly setLogSd: number
  /** Differences between places of one part, mm. */
  readonly placeMm: number
  /** How many times faster than on a dry road. */
  readonly times: Readonly<Record<Condition, number>>
  /** The most that can be measured, mm. */
  readonly mostMm: number
}

const brakes: WearingLaw['times'] = {
  'dry-road': 1,
  'wet-road': 2.5,
  'winter-salt': 3,
  'dry-gravel': 1.5,
  'wet-gravel': 4,
  mud: 6,
  indoor: 0,
}
const tyres: WearingLaw['times'] = {
  'dry-road': 1,
  'wet-road': 0.8,
  'winter-salt': 0.8,
  'dry-gravel': 1.3,
  'wet-gravel': 1.1,
  mud: 0.7,
  indoor: 0.8,
}
const even: WearingLaw['times'] = {
  'dry-road': 1,
  'wet-road': 1,
  'winter-salt': 1,
  'dry-gravel': 1,
  'wet-gravel': 1,
  mud: 1,
  indoor: 1,
}

/**
 * The law of each kind. Limits: disc pads under about 3 mm with their plate, rotors under about 1.55 mm (job); the maker's come first.
 * The rest are starting guesses that a bike's own readings correct.
 */
export const WEARING_LAWS: Readonly<Record<WearingKind, WearingLaw>> = {
  pads: {
    gets: 'thinner',
    newMm: { mean: 4.2, sd: 0.35 },
    limitMm: 3,
    rate: { median: 0.45, logSd: 0.7 },
    setLogSd: 0.35,
    placeMm: 0.08,
    times: brakes,
    mostMm: 12,
  },
  rotor: {
    gets: 'thinner',
    newMm: { mean: 1.8, sd: 0.03 },
    limitMm: 1.55,
    rate: { median: 0.025, logSd: 0.7 },
    setLogSd: 0.3,
    placeMm: 0.015,
    times: brakes,
    mostMm: 4,
  },
  'rim-pads': {
    gets: 'thinner',
    newMm: { mean: 5, sd: 1 },
    limitMm: 1,
    rate: { median: 0.9, logSd: 0.7 },
    setLogSd: 0.35,
    placeMm: 0.25,
    times: brakes,
    mostMm: 15,
  },
  rim: {
    gets: 'thinner',
    newMm: { mean: 1.6, sd: 0.15 },
    limitMm: 1,
    rate: { median: 0.03, logSd: 0.7 },
    setLogSd: 0.3,
    placeMm: 0.04,
    times: brakes,
    mostMm: 5,
  },
  tyre: {
    gets: 'thinner',
    newMm: { mean: 2.5, sd: 1 },
    limitMm: 0.7,
    rate: { median: 0.4, logSd: 0.6 },
    setLogSd: 0.3,
    placeMm: 0.12,
    times: tyres,
    mostMm: 12,
  },
  flat: {
    gets: 'wider',
    newMm: { mean: 4, sd: 2 },
    limitMm: 16,
    rate: { median: 2.5, logSd: 0.6 },
    setLogSd: 0.3,
    placeMm: 0.7,
    times: tyres,
    mostMm: 60,
  },
  sealant: {
    gets: 'older',
    newMm: { mean: 0, sd: 0 },
    limitMm: 1,
    // Dry after about four months, sooner in a warm cellar.
    rate: { median: 1000 / 120, logSd: 0.45 },
    setLogSd: 0.15,
    placeMm: 0,
    times: even,
    mostMm: 1,
  },
}

export const lawOf = (part: WearingPart): WearingLaw => WEARING_LAWS[kindOfPart(part)]

/** What a thickness is measured with. */
export const THICKNESS_TOOLS = ['micrometer', 'caliper', 'depth-gauge', 'ruler', 'eye'] as const
export type ThicknessTool = (typeof THICKNESS_TOOLS)[number]

/** How far each tool is out: `sb` by a bias that all its readings share, `s` from reading to reading, mm. Guesses. */
export const THICKNESS_ERRORS: Readonly<Record<ThicknessTool, { readonly sb: number; readonly s: number }>> =
  {
    micrometer: { sb: 0.005, s: 0.01 },
    caliper: { sb: 0.02, s: 0.04 },
    'depth-gauge': { sb: 0.05, s: 0.1 },
    ruler: { sb: 0.15, s: 0.3 },
    eye: { sb: 0.3, s: 0.5 },
  }
