import { strToU8, zipSync, type Zippable } from 'fflate'
import type { Garage } from '../../core/log/garage.ts'
import type { World } from '../../core/log/world.ts'
import type { KeptPicture } from '../../core/log/kept-picture.ts'
import {
  bikesTable,
  fittingsTable,
  odometerTable,
  partsTable,
  ridesTable,
  type Sparing,
} from './garage-tables.ts'
import { costsTable, forecastsTable, type ForecastOf } from './outlook-tables.ts'
import { writeTable, type WrittenTable } from './table.ts'
import {
  checksTable,
  faultsTable,
  looksTable,
  notesTable,
  picturesTable,
  readingsTable,
  thicknessTable,
  washesTable,
} from './work-tables.ts'
import { words } from '../../words/formats/data-package/data-package.ts'

/** What goes into a data package. */
export interface DataPackageOf extends Sparing {
  readonly garage: Garage
  readonly forecasts: readonly ForecastOf[]
  readonly pictures: readonly KeptPicture[]
  /** ISO 8601. */
  readonly now: string
  readonly minorPerMajor: (currency: string) => number
  readonly world: World
}

/** A data package in its parts: the description, the tables, the pictures. */
export interface DataPackage {
  readonly descriptor: Readonly<Record<string, unknown>>
  readonly tables: readonly WrittenTable[]
}

/** The version of the tables: counted up when a column or table changes its meaning or goes. */
export const PACKAGE_VERSION = '1.0.0'

/** The tables, each made when it is asked for. */
function tablesOf({
  garage,
  forecasts,
  pictures,
  minorPerMajor,
  withoutPeople,
}: DataPackageOf): readonly (() => WrittenTable)[] {
  const kept = new Set(pictures.map(({ id }) => id))
  return [
    () => writeTable(bikesTable(garage)),
    () => writeTable(partsTable(garage)),
    () => writeTable(fittingsTable(garage)),
    () => writeTable(ridesTable(garage, { withoutPeople })),
    () => writeTable(odometerTable(garage)),
    () => writeTable(readingsTable(garage)),
    () => writeTable(looksTable(garage)),
    () => writeTable(picturesTable(garage, kept)),
    () => writeTable(washesTable(garage)),
    () => writeTable(checksTable(garage)),
    () => writeTable(thicknessTable(garage)),
    () => writeTable(faultsTable(garage)),
    () => writeTable(costsTable(garage, minorPerMajor)),
    ...(withoutPeople ? [] : [() => writeTable(notesTable(garage))]),
    () => writeTable(forecastsTable(forecasts)),
  ]
}

/** What describes a package of some tables. */
const descriptorOf = (
  tables: readonly WrittenTable[],
  { now, world }: DataPackageOf,
): DataPackage['descriptor'] => ({
  profile: 'tabular-data-package',
  name: 'jolt-mile-record',
  title: words.joltMileBikesParts,
  description: words.distancesInKmLengths,
  version: PACKAGE_VERSION,
  created: now,
  world,
  resources: tables.map(({ descriptor }) => descriptor),
})

/** Lays out everything the log says as a data package: `datapackage.json` and CSV tables with their units and keys. */
export function dataPackage(of: DataPackageOf): DataPackage {
  const tables = tablesOf(of).map((make) => make())
  return { tables, descriptor: descriptorOf(tables, of) }
}

/**
 * A data package as one ZIP: its description, its tables, and the pictures that were kept. By steps, a table at a time,
 * so that the page can be drawn between them.
 */
export function* dataPackageSteps(
  of: DataPackageOf,
): Generator<{ readonly done: number; readonly of: number }, Uint8Array> {
  const makers = tablesOf(of)
  const tables: WrittenTable[] = []
  const files: Zippable = {}
  for (const make of makers) {
    const table = make()
    tables.push(table)
    files[table.path] = strToU8(table.csv)
    yield { done: tables.length, of: makers.length }
  }
  return zipSync({
    'datapackage.json': strToU8(`${JSON.stringify(descriptorOf(tables, of), null, 2)}\n`),
    ...files,
    // Pictures are packed already.
    ...Object.fromEntries(
      of.pictures.map(({ id, jpeg }) => [`pictures/${id}.jpg`, [jpeg, { level: 0 as const }]]),
    ),
  })
}
