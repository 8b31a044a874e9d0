import { CONDITIONS } from '../../core/exposure/conditions.ts'
import type { BikeState, Fitting, Garage, PartState, Ride } from '../../core/log/garage.ts'
import type { OdometerEntry } from '../../core/log/kinds/odometer.ts'
import type { PartSpec } from '../../core/log/kinds/part.ts'
import { atColumn, figureColumn, idColumn, textColumn, wordColumn } from './columns.ts'
import { figure, timeCell, type Column, type Table } from './table.ts'

/** What is left out of what is given to others. */
export interface Sparing {
  /** The names of people, and where rides began. */
  readonly withoutPeople: boolean
}

/** The bikes. */
export function bikesTable(garage: Garage): Table<BikeState> {
  return {
    name: 'bikes',
    title: 'Bikes',
    description: 'Every bike of the log, as it is described now.',
    key: ['bike'],
    links: [],
    columns: [
      idColumn('bike', 'id of the bike', ({ entry }) => entry.bike),
      textColumn('name', 'what it is called', ({ entry }) => entry.name),
      textColumn('note', 'what it is, in words', ({ entry }) => entry.note),
      figureColumn('speeds', 'number of cogs', undefined, ({ entry }) => entry.speeds, 'integer'),
      wordColumn(
        'shifting',
        'how it shifts',
        ['cable', 'electric', 'hub-gear', 'none'],
        ({ entry }) => entry.shifting,
      ),
      wordColumn('motor', 'where its motor is', ['none', 'hub', 'mid-drive'], ({ entry }) => entry.motor),
      wordColumn(
        'usual_condition',
        'what its rides are taken to be where nothing else is said',
        CONDITIONS,
        ({ entry }) => entry.usualCondition,
      ),
      wordColumn('storage', 'where it is kept', ['indoors', 'outdoors'], ({ entry }) => entry.storage),
      figureColumn(
        'limit_percent',
        'elongation at which its chain is swapped, where it was chosen',
        '%',
        ({ limit }) => limit?.percent,
      ),
    ],
    rows: [...garage.bikes.values()],
  }
}

function teethOf(spec: PartSpec): string | undefined {
  switch (spec.type) {
    case 'cassette':
      return spec.teeth.join(' ')
    case 'ring':
    case 'pulley':
      return String(spec.teeth)
    case 'chain':
    case 'joining-link':
      return undefined
  }
}

/** The parts. */
export function partsTable(garage: Garage): Table<PartState> {
  return {
    name: 'parts',
    title: 'Parts',
    description: 'Chains, cassettes, rings, pulleys and joining links.',
    key: ['part'],
    links: [],
    columns: [
      idColumn('part', 'id of the part', ({ entry }) => entry.part),
      wordColumn(
        'type',
        'what it is',
        ['chain', 'joining-link', 'cassette', 'ring', 'pulley'],
        ({ entry }) => entry.spec.type,
      ),
      textColumn('name', 'what it is called', ({ entry }) => entry.name),
      atColumn('when it came into the log', ({ entry }) => entry.at, 'since'),
      figureColumn(
        'links',
        'links of a chain',
        undefined,
        ({ entry: { spec } }) => (spec.type === 'chain' ? spec.links : undefined),
        'integer',
      ),
      textColumn('teeth', 'tooth counts, smallest first', ({ entry }) => teethOf(entry.spec)),
      textColumn('material', 'material of the teeth', ({ entry: { spec } }) =>
        'material' in spec ? spec.material : undefined,
      ),
      wordColumn(
        'past',
        'of a chain: bought new, or of unknown past',
        ['new', 'unknown'],
        ({ entry: { spec } }) => (spec.type === 'chain' ? spec.past : undefined),
      ),
      figureColumn(
        'used_km',
        'distance it had done before it came into the log',
        'km',
        ({ entry }) => entry.used?.km,
      ),
      { name: 'retired', type: 'boolean', description: 'it is no longer used', of: ({ retired }) => retired },
      textColumn('note', 'anything worth knowing', ({ entry }) => entry.note),
    ],
    rows: [...garage.parts.values()],
  }
}

/** When each part was on which bike. */
export function fittingsTable(garage: Garage): Table<Fitting> {
  return {
    name: 'fittings',
    title: 'Fittings',
    description: 'When each part was on which bike. A part that is still on has no end.',
    key: ['part', 'from'],
    links: [
      { column: 'part', table: 'parts', to: 'part' },
      { column: 'bike', table: 'bikes', to: 'bike' },
    ],
    columns: [
      idColumn('part', 'id of the part', ({ part }) => part),
      idColumn('bike', 'id of the bike', ({ bike }) => bike),
      atColumn('when it was fitted', ({ from }) => from, 'from'),
      {
        name: 'to',
        type: 'datetime',
        description: 'when it came off; UTC',
        of: ({ to }) => to && timeCell(to),
      },
    ],
    rows: [...garage.parts.values()]
      .flatMap(({ fittings }) => fittings)
      .filter(({ bike, to, from }) => garage.bikes.has(bike) && to !== from),
  }
}

const placeColumns: readonly Column<Ride>[] = [
  figureColumn('latitude', 'where it began, to about a kilometre', 'degrees', ({ place }) => place?.lat),
  figureColumn('longitude', 'where it began, to about a kilometre', 'degrees', ({ place }) => place?.lon),
]

/** The rides. */
export function ridesTable(garage: Garage, { withoutPeople }: Sparing): Table<Ride> {
  return {
    name: 'rides',
    title: 'Rides',
    description:
      'Every ride that counts. Distance that only the bike’s computer tells of is in the table of its readings.',
    key: ['ride'],
    links: [{ column: 'bike', table: 'bikes', to: 'bike' }],
    columns: [
      idColumn('ride', 'id of the ride', ({ id }) => id),
      idColumn('bike', 'id of the bike', ({ bike }) => bike),
      atColumn('when it began', ({ at }) => at),
      figureColumn('km', 'distance', 'km', ({ km }) => figure(km, 3)),
      wordColumn('condition', 'what it was ridden in', CONDITIONS, ({ condition }) => condition),
      {
        name: 'condition_assumed',
        type: 'boolean',
        description: 'not entered: it is the bike’s usual',
        of: ({ unsure }) => unsure === true,
      },
      figureColumn('moving_s', 'time in motion', 's', ({ movingSeconds }) => figure(movingSeconds, 0)),
      figureColumn('elapsed_s', 'time from start to end', 's', ({ elapsedSeconds }) =>
        figure(elapsedSeconds, 0),
      ),
      figureColumn('energy_kj_per_km', 'energy through the chain', 'kJ/km', ({ energyKjPerKm }) =>
        figure(energyKjPerKm, 2),
      ),
      ...(withoutPeople ? [] : placeColumns),
    ],
    rows: [...garage.bikes.values()].flatMap(({ rides }) => rides.filter(({ spread }) => spread !== true)),
  }
}

/** What the bikes' computers showed. */
export function odometerTable(garage: Garage): Table<OdometerEntry> {
  return {
    name: 'odometer',
    title: 'Bike computers',
    description:
      'What the bikes’ own computers showed. Distance that no ride accounts for is the difference of two rows.',
    key: ['id'],
    links: [{ column: 'bike', table: 'bikes', to: 'bike' }],
    columns: [
      idColumn('id', 'id of the entry', ({ id }) => id),
      idColumn('bike', 'id of the bike', ({ bike }) => bike),
      atColumn('when it was read', ({ at }) => at),
      figureColumn('km', 'what it showed', 'km', ({ km }) => figure(km, 3)),
      {
        name: 'restarted',
        type: 'boolean',
        description: 'the count began again here',
        of: ({ restarted }) => restarted === true,
      },
    ],
    rows: [...garage.bikes.values()].flatMap(({ odometer }) => odometer),
  }
}
