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
    title: 'Readings of chains',
    description:
      'Every reading as it was taken. Elongation as shown is not corrected for the instrument’s own error.',
    key: ['reading'],
    links: [{ column: 'chain', table: 'parts', to: 'part' }],
    columns: [
      idColumn('reading', 'id of the reading', ({ entry }) => entry.id),
      idColumn('chain', 'id of the chain', ({ entry }) => entry.chain),
      atColumn('when it was taken', ({ entry }) => entry.at),
      textColumn('instrument', 'what it was taken with', ({ entry }) => entry.reading.instrument),
      textColumn('tool', 'id of the owner’s own tool', ({ entry }) => entry.tool),
      figureColumn(
        'pitches',
        'pitches measured',
        undefined,
        ({ entry: { reading } }) => ('pitches' in reading ? reading.pitches : undefined),
        'integer',
      ),
      figureColumn('length_mm', 'length over these pitches', 'mm', ({ entry }) => lengthOf(entry.reading)),
      figureColumn('inside_mm', 'caliper between the rollers', 'mm', ({ entry: { reading } }) =>
        'insideMm' in reading ? reading.insideMm : undefined,
      ),
      figureColumn('outside_mm', 'caliper over the rollers', 'mm', ({ entry: { reading } }) =>
        'outsideMm' in reading ? reading.outsideMm : undefined,
      ),
      figureColumn('shown_percent', 'elongation as it shows', '%', ({ entry }) =>
        shownPercent(entry.reading),
      ),
      figureColumn('limit_percent', 'mark of the side of a drop-in gauge', '%', ({ entry: { reading } }) =>
        'limit' in reading ? reading.limit : undefined,
      ),
      textColumn('result', 'what a drop-in side did, or a hint showed', ({ entry: { reading } }) =>
        'result' in reading ? reading.result : undefined,
      ),
      {
        name: 'slack',
        type: 'boolean',
        description: 'taken with the chain hanging loose',
        of: ({ entry }) => entry.reading.slack === true,
      },
      figureColumn(
        'links_from_joint',
        'links from the joining link',
        undefined,
        ({ entry }) => entry.linksFromJoint,
        'integer',
      ),
      {
        name: 'counts',
        type: 'boolean',
        description: 'false where it was left out by hand',
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
    title: 'Looks at teeth',
    description: 'Cogs, rings and pulleys, judged by eye.',
    key: ['look'],
    links: [{ column: 'part', table: 'parts', to: 'part' }],
    columns: [
      idColumn('look', 'id of the look', ({ id }) => id),
      idColumn('part', 'id of the part', ({ part }) => part),
      atColumn('when', ({ at }) => at),
      figureColumn('cog', 'tooth count of the cog', undefined, ({ cog }) => cog, 'integer'),
      wordColumn('word', 'how worn it looked', WORDS, ({ word }) => word),
      figureColumn(
        'worst_from_crank_deg',
        'of a ring: where it is worn most, clockwise from the crank arm',
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
    title: 'Pictures of teeth',
    description:
      'What was measured in pictures of sprockets. Those that were kept are in the folder pictures.',
    key: ['id'],
    links: [{ column: 'part', table: 'parts', to: 'part' }],
    columns: [
      idColumn('id', 'id of the entry', ({ id }) => id),
      idColumn('part', 'id of the part', ({ part }) => part),
      atColumn('when', ({ at }) => at),
      figureColumn('cog', 'tooth count of the cog', undefined, ({ cog }) => cog, 'integer'),
      figureColumn('excess_mm', 'how much wider than new its valleys are', 'mm', ({ excessMm }) =>
        figure(excessMm, 4),
      ),
      figureColumn('sd_mm', 'standard deviation of that', 'mm', ({ sdMm }) => figure(sdMm, 4)),
      figureColumn('lean_deg', 'how far its teeth lean', 'degrees', ({ leanDeg }) => figure(leanDeg, 2)),
      figureColumn('land_mm', 'how wide its teeth are where they end', 'mm', ({ landMm }) =>
        figure(landMm, 3),
      ),
      figureColumn('teeth_seen', 'teeth that were seen', undefined, ({ teethSeen }) => teethSeen, 'integer'),
      textColumn('path', 'the kept picture', ({ picture }) =>
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
    description: 'Cleaning and lubricating of chains.',
    key: ['wash'],
    links: [{ column: 'chain', table: 'parts', to: 'part' }],
    columns: [
      idColumn('wash', 'id of the wash', ({ id }) => id),
      idColumn('chain', 'id of the chain', ({ chain }) => chain),
      atColumn('when', ({ at }) => at),
      wordColumn(
        'method',
        'how it was cleaned',
        ['none', 'wipe', 'on-bike', 'off-bike'],
        ({ method }) => method,
      ),
      wordColumn('lube', 'what was put on', LUBES, ({ lube }) => lube),
      wordColumn('way', 'how it was done', WASH_WAYS, ({ way }) => way),
    ],
    rows: [...garage.washes.values()].flat().filter(({ chain }) => garage.parts.has(chain)),
  }
}

/** Whole-bike checks. */
export function checksTable(garage: Garage): Table<CheckEntry> {
  return {
    name: 'checks',
    title: 'Checks',
    description: 'What was looked at on the bikes, and how it was. The last of an item counts.',
    key: ['check'],
    links: [{ column: 'bike', table: 'bikes', to: 'bike' }],
    columns: [
      idColumn('check', 'id of the check', ({ id }) => id),
      idColumn('bike', 'id of the bike', ({ bike }) => bike),
      atColumn('when', ({ at }) => at),
      textColumn('item', 'what was looked at', ({ item }) => item),
      wordColumn('result', 'how it was', CHECK_RESULTS, ({ result }) => result),
      textColumn('act', 'what is done about it', ({ act }) => act),
      figureColumn('by_km', 'by when, distance from then', 'km', ({ byKm }) => byKm),
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
    title: 'Pads, rotors, rims, tyres, sealant',
    description: 'What wears beside the drivetrain: measured, or fitted new.',
    key: ['id'],
    links: [{ column: 'bike', table: 'bikes', to: 'bike' }],
    columns: [
      idColumn('id', 'id of the entry', ({ id }) => id),
      idColumn('bike', 'id of the bike', ({ bike }) => bike),
      atColumn('when', ({ at }) => at),
      textColumn('part', 'what was measured', ({ part }) => part),
      {
        name: 'new',
        type: 'boolean',
        description: 'fitted or filled new',
        of: ({ isNew }) => isNew === true,
      },
      figureColumn('mm', 'what it measured', 'mm', ({ mm }) => mm),
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
    description:
      'Why a bike slipped, skipped or creaked, and what became of it. The last row of a fault counts.',
    key: ['id'],
    links: [{ column: 'bike', table: 'bikes', to: 'bike' }],
    columns: [
      idColumn('id', 'id of the entry', ({ id }) => id),
      idColumn('fault', 'id of the fault', ({ fault }) => fault),
      idColumn('bike', 'id of the bike', ({ bike }) => bike),
      atColumn('when', ({ at }) => at),
      wordColumn('about', 'what it was about', ['shifting', 'noise'], ({ about }) => about),
      textColumn('found', 'the causes that were found', ({ found }) => found.join(' ')),
      wordColumn('outcome', 'what became of it', FAULT_OUTCOMES, ({ outcome }) => outcome),
      wordColumn(
        'afterwards',
        'asked after a ride: is it gone?',
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
    description: 'Anything noted about a bike or a part.',
    key: ['id'],
    links: [],
    columns: [
      idColumn('id', 'id of the note', ({ id }) => id),
      idColumn('about', 'id of the bike or the part', ({ about }) => about),
      atColumn('when', ({ at }) => at),
      textColumn('text', 'in words', ({ text }) => text),
    ],
    rows: [...garage.listed.note.values()].flat(),
  }
}
