import { CONDITIONS } from '../../core/exposure/conditions.ts'
import type { BikeState, Fitting, Garage, PartState, Ride } from '../../core/log/garage.ts'
import type { OdometerEntry } from '../../core/log/kinds/odometer.ts'
import type { PartSpec } from '../../core/log/kinds/part.ts'
import { atColumn, figureColumn, idColumn, textColumn, wordColumn } from './columns.ts'
import { figure, timeCell, type Column, type Table } from './table.ts'
import { words } from '../../words/formats/data-package/garage-tables.ts'

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
    description: words.everyBikeOfTheLog,
    key: ['bike'],
    links: [],
    columns: [
      idColumn('bike', words.idOfTheBike, ({ entry }) => entry.bike),
      textColumn('name', words.whatItIsCalled, ({ entry }) => entry.name),
      textColumn('note', words.whatItIsInWords, ({ entry }) => entry.note),
      figureColumn('speeds', words.numberOfCogs, undefined, ({ entry }) => entry.speeds, 'integer'),
      wordColumn(
        'shifting',
        words.howItShifts,
        ['cable', 'electric', 'hub-gear', 'none'],
        ({ entry }) => entry.shifting,
      ),
      wordColumn('motor', words.whereItsMotorIs, ['none', 'hub', 'mid-drive'], ({ entry }) => entry.motor),
      wordColumn('usual_condition', words.whatItsRidesAre, CONDITIONS, ({ entry }) => entry.usualCondition),
      wordColumn('storage', words.whereItIsKept, ['indoors', 'outdoors'], ({ entry }) => entry.storage),
      figureColumn('limit_percent', words.elongationAtWhichIts, '%', ({ limit }) => limit?.percent),
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
    description: words.chainsCassettesRingsPulleys,
    key: ['part'],
    links: [],
    columns: [
      idColumn('part', words.idOfThePart, ({ entry }) => entry.part),
      wordColumn(
        'type',
        words.whatItIs,
        ['chain', 'joining-link', 'cassette', 'ring', 'pulley'],
        ({ entry }) => entry.spec.type,
      ),
      textColumn('name', words.whatItIsCalled, ({ entry }) => entry.name),
      atColumn(words.whenItCameInto, ({ entry }) => entry.at, 'since'),
      figureColumn(
        'links',
        words.linksOfAChain,
        undefined,
        ({ entry: { spec } }) => (spec.type === 'chain' ? spec.links : undefined),
        'integer',
      ),
      textColumn('teeth', words.toothCountsSmallestFirst, ({ entry }) => teethOf(entry.spec)),
      textColumn('material', words.materialOfTheTeeth, ({ entry: { spec } }) =>
        'material' in spec ? spec.material : undefined,
      ),
      wordColumn('past', words.ofAChainBought, ['new', 'unknown'], ({ entry: { spec } }) =>
        spec.type === 'chain' ? spec.past : undefined,
      ),
      figureColumn('used_km', words.distanceItHadDone, 'km', ({ entry }) => entry.used?.km),
      { name: 'retired', type: 'boolean', description: words.itIsNoLonger, of: ({ retired }) => retired },
      textColumn('note', words.anythingWorthKnowing, ({ entry }) => entry.note),
    ],
    rows: [...garage.parts.values()],
  }
}

/** When each part was on which bike. */
export function fittingsTable(garage: Garage): Table<Fitting> {
  return {
    name: 'fittings',
    title: 'Fittings',
    description: words.whenEachPartWas,
    key: ['part', 'from'],
    links: [
      { column: 'part', table: 'parts', to: 'part' },
      { column: 'bike', table: 'bikes', to: 'bike' },
    ],
    columns: [
      idColumn('part', words.idOfThePart, ({ part }) => part),
      idColumn('bike', words.idOfTheBike, ({ bike }) => bike),
      atColumn(words.whenItWasFitted, ({ from }) => from, 'from'),
      {
        name: 'to',
        type: 'datetime',
        description: words.whenItCameOff,
        of: ({ to }) => to && timeCell(to),
      },
    ],
    rows: [...garage.parts.values()]
      .flatMap(({ fittings }) => fittings)
      .filter(({ bike, to, from }) => garage.bikes.has(bike) && to !== from),
  }
}

const placeColumns: readonly Column<Ride>[] = [
  figureColumn('latitude', words.whereItBeganToAbout, 'degrees', ({ place }) => place?.lat),
  figureColumn('longitude', words.whereItBeganToAbout, 'degrees', ({ place }) => place?.lon),
]

/** The rides. */
export function ridesTable(garage: Garage, { withoutPeople }: Sparing): Table<Ride> {
  return {
    name: 'rides',
    title: 'Rides',
    description: words.everyRideThatCounts,
    key: ['ride'],
    links: [{ column: 'bike', table: 'bikes', to: 'bike' }],
    columns: [
      idColumn('ride', words.idOfTheRide, ({ id }) => id),
      idColumn('bike', words.idOfTheBike, ({ bike }) => bike),
      atColumn(words.whenItBegan, ({ at }) => at),
      figureColumn('km', 'distance', 'km', ({ km }) => figure(km, 3)),
      wordColumn('condition', words.whatItWasRidden, CONDITIONS, ({ condition }) => condition),
      {
        name: 'condition_assumed',
        type: 'boolean',
        description: words.notEnteredItIsTheBikes,
        of: ({ unsure }) => unsure === true,
      },
      figureColumn('moving_s', words.timeInMotion, 's', ({ movingSeconds }) => figure(movingSeconds, 0)),
      figureColumn('elapsed_s', words.timeFromStartToEnd, 's', ({ elapsedSeconds }) =>
        figure(elapsedSeconds, 0),
      ),
      figureColumn('energy_kj_per_km', words.energyThroughTheChain, 'kJ/km', ({ energyKjPerKm }) =>
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
    description: words.whatTheBikesOwn,
    key: ['id'],
    links: [{ column: 'bike', table: 'bikes', to: 'bike' }],
    columns: [
      idColumn('id', words.idOfTheEntry, ({ id }) => id),
      idColumn('bike', words.idOfTheBike, ({ bike }) => bike),
      atColumn(words.whenItWasRead, ({ at }) => at),
      figureColumn('km', words.whatItShowed, 'km', ({ km }) => figure(km, 3)),
      {
        name: 'restarted',
        type: 'boolean',
        description: words.theCountBeganAgain,
        of: ({ restarted }) => restarted === true,
      },
    ],
    rows: [...garage.bikes.values()].flatMap(({ odometer }) => odometer),
  }
}
