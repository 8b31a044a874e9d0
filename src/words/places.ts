import type { BikeId, EntryId, IsoTime } from '../core/log/entry.ts'

/** A station: a post along the road, in the order of the work, or beside it. */
export interface Station {
  readonly path: string
  readonly name: string
  /** The letter that follows `g`. */
  readonly key: string
  /** In the menu rather than along the road. */
  readonly beside?: true
  /** What is done there, in words that people may look for. */
  readonly about: string
}

/** Every station, by the name of its room. */
export const STATIONS = {
  today: { path: '/', name: 'Today', key: 't', about: 'which bike needs what, coming up, calendar' },
  miles: { path: '/miles', name: 'Miles', key: 'm', about: 'rides, distance, conditions, weather, gears' },
  gauge: { path: '/gauge', name: 'Gauge', key: 'g', about: 'measure the chain, readings, tools, limit' },
  teeth: { path: '/teeth', name: 'Teeth', key: 'x', about: 'cogs, rings, pulleys, check by eye' },
  wash: { path: '/wash', name: 'Wash', key: 'w', about: 'clean, lube, wax' },
  decide: { path: '/decide', name: 'Decide', key: 'd', about: 'keep or replace, events, riding plan' },
  faults: {
    path: '/faults',
    name: 'Fault finder',
    key: 'y',
    beside: true,
    about: 'why it slips, skips, grinds, creaks, will not shift',
  },
  gearing: {
    path: '/gearing',
    name: 'Gearing',
    key: 'e',
    beside: true,
    about: 'gears, climbs, chain length, what another ring or cassette does',
  },
  checks: {
    path: '/checks',
    name: 'Checks',
    key: 'c',
    beside: true,
    about: 'brakes, tyres, bolts, headset, monthly round, before winter, before a tour, torque',
  },
  school: {
    path: '/school',
    name: 'School',
    key: 'k',
    beside: true,
    about: 'practise reading a gauge and teeth, will it skip, swap or ride on',
  },
  shelf: { path: '/shelf', name: 'Shelf', key: 's', beside: true, about: 'bikes, parts, spares, swap' },
  rates: { path: '/rates', name: 'Rates', key: 'r', beside: true, about: 'wear by conditions and lube' },
  compare: {
    path: '/compare',
    name: 'Compare',
    key: 'o',
    beside: true,
    about: 'chains, lubes, bikes and seasons side by side',
  },
  log: { path: '/log', name: 'Log', key: 'l', beside: true, about: 'every entry, correct, restore' },
  files: {
    path: '/files',
    name: 'Files',
    key: 'f',
    beside: true,
    about: 'backup, notes from a spreadsheet, data out, storage',
  },
} as const satisfies Readonly<Record<string, Station>>

export type StationName = keyof typeof STATIONS

/** The stations in the order of the work. */
export const STATION_LIST: readonly (Station & { readonly room: StationName })[] = Object.entries(
  STATIONS,
).map(([room, station]) => ({ ...station, room: room as StationName }))

/** What can be opened at the stations. */
export const OPENS = {
  takeReading: '/gauge#take',
  oddLook: '/gauge#odd',
  measureNow: '/gauge?now',
  addRides: '/miles#add',
  setConditions: '/miles#conditions',
  planEvent: '/decide#ahead',
  fixedSum: '/decide?job',
  logWash: '/wash#log',
  lookAtLube: '/wash#lube',
  checkTeeth: '/teeth#looks',
  findings: '/checks#findings',
  wearing: '/checks#wearing',
  torque: '/checks#torque',
  fitChain: '/shelf#chain',
  newPart: '/shelf?new=part',
  newBike: '/shelf?new=bike',
  notesIn: '/files?notes',
} as const

/** The address of the owner's sheet of a visit. */
export const sheetAddress = (visit: string): string =>
  `/decide?${new URLSearchParams({ sheet: visit }).toString()}`

/** The address of a wash of the bike in hand together with others. */
export const washTogether = (others: readonly BikeId[]): string =>
  `/wash?${new URLSearchParams({ with: others.join(',') }).toString()}`

/** The address of the checks that are worth most in some minutes. */
export const checksFor = (minutes: number): string => `/checks?minutes=${minutes}#short`

/** The address of one entry, opened to be corrected. */
export const entryAddress = (entry: EntryId): string => `/log?entry=${entry}`

/** The address of the form for a new entry that needs a plain form only. */
export const newEntryAddress = (kind: string, about?: string): string =>
  `/log?${new URLSearchParams({ new: kind, ...(about !== undefined && { about }) }).toString()}`

/** The log, narrowed to what is about a bike or part, between two days. */
export function logAddress(wanted: {
  readonly about?: string
  readonly from?: IsoTime
  readonly to?: IsoTime
}): string {
  return `/log?${new URLSearchParams({
    ...(wanted.about !== undefined && { about: wanted.about }),
    ...(wanted.from !== undefined && { from: wanted.from.slice(0, 10) }),
    ...(wanted.to !== undefined && { to: wanted.to.slice(0, 10) }),
  }).toString()}`
}
