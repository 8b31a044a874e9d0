import type { Garage, ReadingState } from '../../core/log/garage.ts'
import type { CheckEntry } from '../../core/log/kinds/check.ts'
import { CHECK_RESULTS } from '../../core/log/kinds/check.ts'
import { FAULT_OUTCOMES, type FaultEntry } from '../../core/log/kinds/fault.ts'
import type { LookEntry } from '../../core/log/kinds/look.ts'
import type { NoteEntry } from '../../core/log/kinds/note.ts'
import type { PictureEntry } from '../../core/log/kinds/picture.ts'
import type { ThicknessEntry } from '../../core/log/kinds/thickness.ts'
import type { WashEntry } from '../../core/log/kinds/wash.ts'
import { LUBES } from '../../core/lube/lubes.ts'
import { WASH_WAYS } from '../../core/lube/wash-ways.ts'
import { elongationFromLength } from '../../core/measure/elongation.ts'
import type { Reading } from '../../core/measure/reading.ts'
import { atColumn, figureColumn, idColumn, textColumn, wordColumn } from './columns.ts'
import { figure, type Table } from './table.ts'
import { words } from '../../words/formats/data-package/work-tables.ts'

const WORDS = ['fresh', 'good', 'watch', 'swap', 'spent']

const lengthOf = (reading: Reading): number | undefined =>
  'lengthMm' in reading ? reading.lengthMm : undefined

/** Elongation that a reading shows by itself, %, before anything is known of its instrument. */
function shownPercent(reading: Reading): number | undefined {
  if ('lengthMm' in reading) return figure(elongationFromLength(reading.pitches, reading.lengthMm), 4)
  if ('percent' in reading) return reading.percent
  if ('insideMm' in reading)
    return figure(elongationFromLength(reading.pitches, (reading.insideMm + reading.outsideMm) / 2), 4)
  return undefined
}

/** What was read on chains. */
export function readingsTable(garage: Garage): Table<ReadingState> {
  return {
    name: 'readings',
    title: words.readingsOfChains,
    description: words.everyReadingAsItWas,
    key: ['reading'],
    links: [{ column: 'chain', table: 'parts', to: 'part' }],
    columns: [
      idColumn('reading', words.idOfTheReading, ({ entry }) => entry.id),
      idColumn('chain', words.idOfTheChain, ({ entry }) => entry.chain),
      atColumn(words.whenItWasTaken, ({ entry }) => entry.at),
      textColumn('instrument', words.whatItWasTaken, ({ entry }) => entry.reading.instrument),
      textColumn('tool', words.idOfTheOwners, ({ entry }) => entry.tool),
      figureColumn(
        'pitches',
        'pitches measured',
        undefined,
        ({ entry: { reading } }) => ('pitches' in reading ? reading.pitches : undefined),
        'integer',
      ),
      figureColumn('length_mm', words.lengthOverThesePitches, 'mm', ({ entry }) => lengthOf(entry.reading)),
      figureColumn('inside_mm', words.caliperBetweenTheRollers, 'mm', ({ entry: { reading } }) =>
        'insideMm' in reading ? reading.insideMm : undefined,
      ),
      figureColumn('outside_mm', words.caliperOverTheRollers, 'mm', ({ entry: { reading } }) =>
        'outsideMm' in reading ? reading.outsideMm : undefined,
      ),
      figureColumn('shown_percent', words.elongationAsItShows, '%', ({ entry }) =>
        shownPercent(entry.reading),
      ),
      figureColumn('limit_percent', words.markOfTheSide, '%', ({ entry: { reading } }) =>
        'limit' in reading ? reading.limit : undefined,
      ),
      textColumn('result', words.whatADropInSide, ({ entry: { reading } }) =>
        'result' in reading ? reading.result : undefined,
      ),
      {
        name: 'slack',
        type: 'boolean',
        description: words.takenWithTheChain,
        of: ({ entry }) => entry.reading.slack === true,
      },
      figureColumn(
        'links_from_joint',
        words.linksFromTheJoining,
        undefined,
        ({ entry }) => entry.linksFromJoint,
        'integer',
      ),
      {
        name: 'counts',
        type: 'boolean',
        description: words.falseWhereItWas,
        of: ({ used }) => used,
      },
    ],
    rows: [...garage.readings.values()].flat().filter(({ entry }) => garage.parts.has(entry.chain)),
  }
}

/** Looks at teeth. */
export function looksTable(garage: Garage): Table<LookEntry> {
  return {
    name: 'looks',
    title: words.looksAtTeeth,
    description: words.cogsRingsAndPulleys,
    key: ['look'],
    links: [{ column: 'part', table: 'parts', to: 'part' }],
    columns: [
      idColumn('look', words.idOfTheLook, ({ id }) => id),
      idColumn('part', words.idOfThePart, ({ part }) => part),
      atColumn('when', ({ at }) => at),
      figureColumn('cog', words.toothCountOfTheCog, undefined, ({ cog }) => cog, 'integer'),
      wordColumn('word', words.howWornItLooked, WORDS, ({ word }) => word),
      figureColumn(
        'worst_from_crank_deg',
        words.ofARingWhere,
        'degrees',
        ({ worstFromCrankDeg }) => worstFromCrankDeg,
      ),
    ],
    rows: [...garage.looks.values()].flat().filter(({ part }) => garage.parts.has(part)),
  }
}

/** Pictures of teeth, and what was measured in them. */
export function picturesTable(garage: Garage, kept: ReadonlySet<string>): Table<PictureEntry> {
  return {
    name: 'pictures',
    title: words.picturesOfTeeth,
    description: words.whatWasMeasuredInPictures,
    key: ['id'],
    links: [{ column: 'part', table: 'parts', to: 'part' }],
    columns: [
      idColumn('id', words.idOfTheEntry, ({ id }) => id),
      idColumn('part', words.idOfThePart, ({ part }) => part),
      atColumn('when', ({ at }) => at),
      figureColumn('cog', words.toothCountOfTheCog, undefined, ({ cog }) => cog, 'integer'),
      figureColumn('excess_mm', words.howMuchWiderThan, 'mm', ({ excessMm }) => figure(excessMm, 4)),
      figureColumn('sd_mm', words.standardDeviationOfThat, 'mm', ({ sdMm }) => figure(sdMm, 4)),
      figureColumn('lean_deg', words.howFarItsTeeth, 'degrees', ({ leanDeg }) => figure(leanDeg, 2)),
      figureColumn('land_mm', words.howWideItsTeeth, 'mm', ({ landMm }) => figure(landMm, 3)),
      figureColumn('teeth_seen', words.teethThatWereSeen, undefined, ({ teethSeen }) => teethSeen, 'integer'),
      textColumn('path', words.theKeptPicture, ({ picture }) =>
        picture !== undefined && kept.has(picture) ? `pictures/${picture}.jpg` : undefined,
      ),
    ],
    rows: [...garage.listed.picture.values()].flat().filter(({ part }) => garage.parts.has(part)),
  }
}

/** Washes. */
export function washesTable(garage: Garage): Table<WashEntry> {
  return {
    name: 'washes',
    title: 'Washes',
    description: words.cleaningAndLubricatingOfChains,
    key: ['wash'],
    links: [{ column: 'chain', table: 'parts', to: 'part' }],
    columns: [
      idColumn('wash', words.idOfTheWash, ({ id }) => id),
      idColumn('chain', words.idOfTheChain, ({ chain }) => chain),
      atColumn('when', ({ at }) => at),
      wordColumn(
        'method',
        words.howItWasCleaned,
        ['none', 'wipe', 'on-bike', 'off-bike'],
        ({ method }) => method,
      ),
      wordColumn('lube', words.whatWasPutOn, LUBES, ({ lube }) => lube),
      wordColumn('way', words.howItWasDone, WASH_WAYS, ({ way }) => way),
    ],
    rows: [...garage.washes.values()].flat().filter(({ chain }) => garage.parts.has(chain)),
  }
}

/** Whole-bike checks. */
export function checksTable(garage: Garage): Table<CheckEntry> {
  return {
    name: 'checks',
    title: 'Checks',
    description: words.whatWasLookedAtOnThe,
    key: ['check'],
    links: [{ column: 'bike', table: 'bikes', to: 'bike' }],
    columns: [
      idColumn('check', words.idOfTheCheck, ({ id }) => id),
      idColumn('bike', words.idOfTheBike, ({ bike }) => bike),
      atColumn('when', ({ at }) => at),
      textColumn('item', words.whatWasLookedAt, ({ item }) => item),
      wordColumn('result', words.howItWas, CHECK_RESULTS, ({ result }) => result),
      textColumn('act', words.whatIsDoneAbout, ({ act }) => act),
      figureColumn('by_km', words.byWhenDistanceFromThen, 'km', ({ byKm }) => byKm),
      { name: 'by_day', type: 'date', description: 'by when', of: ({ byDay }) => byDay?.slice(0, 10) },
      textColumn('note', 'in words', ({ note }) => note),
    ],
    rows: [...garage.listed.check.values()].flat().filter(({ bike }) => garage.bikes.has(bike)),
  }
}

/** Pads, rotors, tyres: what was measured of them. */
export function thicknessTable(garage: Garage): Table<ThicknessEntry> {
  return {
    name: 'thickness',
    title: words.padsRotorsRimsTyres,
    description: words.whatWearsBesideTheDrivetrain,
    key: ['id'],
    links: [{ column: 'bike', table: 'bikes', to: 'bike' }],
    columns: [
      idColumn('id', words.idOfTheEntry, ({ id }) => id),
      idColumn('bike', words.idOfTheBike, ({ bike }) => bike),
      atColumn('when', ({ at }) => at),
      textColumn('part', words.whatWasMeasured, ({ part }) => part),
      {
        name: 'new',
        type: 'boolean',
        description: words.fittedOrFilledNew,
        of: ({ isNew }) => isNew === true,
      },
      figureColumn('mm', words.whatItMeasured, 'mm', ({ mm }) => mm),
      textColumn('by', 'with what', ({ by }) => by),
    ],
    rows: [...garage.listed.thickness.values()].flat().filter(({ bike }) => garage.bikes.has(bike)),
  }
}

/** Faults that were looked for. */
export function faultsTable(garage: Garage): Table<FaultEntry> {
  return {
    name: 'faults',
    title: 'Faults',
    description: words.whyABikeSlipped,
    key: ['id'],
    links: [{ column: 'bike', table: 'bikes', to: 'bike' }],
    columns: [
      idColumn('id', words.idOfTheEntry, ({ id }) => id),
      idColumn('fault', words.idOfTheFault, ({ fault }) => fault),
      idColumn('bike', words.idOfTheBike, ({ bike }) => bike),
      atColumn('when', ({ at }) => at),
      wordColumn('about', words.whatItWasAbout, ['shifting', 'noise'], ({ about }) => about),
      textColumn('found', words.theCausesThatWere, ({ found }) => found.join(' ')),
      wordColumn('outcome', words.whatBecameOfIt, FAULT_OUTCOMES, ({ outcome }) => outcome),
      wordColumn(
        'afterwards',
        words.askedAfterARide,
        ['gone', 'still-there', 'not-sure'],
        ({ afterwards }) => afterwards,
      ),
    ],
    rows: [...garage.listed.fault.values()].flat().filter(({ bike }) => garage.bikes.has(bike)),
  }
}

/** Notes of bikes and parts. */
export function notesTable(garage: Garage): Table<NoteEntry> {
  return {
    name: 'notes',
    title: 'Notes',
    description: words.anythingNotedAboutABike,
    key: ['id'],
    links: [],
    columns: [
      idColumn('id', words.idOfTheNote, ({ id }) => id),
      idColumn('about', words.idOfTheBikeOr, ({ about }) => about),
      atColumn('when', ({ at }) => at),
      textColumn('text', 'in words', ({ text }) => text),
    ],
    rows: [...garage.listed.note.values()].flat(),
  }
}
