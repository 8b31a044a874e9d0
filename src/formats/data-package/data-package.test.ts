import { beforeAll, afterAll, describe, expect, test } from '@jest/globals'
import { Package } from 'datapackage'
import { strFromU8, unzipSync } from 'fflate'
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import Papa from 'papaparse'
import { demoWorld } from '../../../demo/world.ts'
import { replay } from '../../core/log/replay.ts'
import { bikeReport } from '../../core/strategy/facts/bike-report.ts'
import { dataPackage, dataPackageSteps, type DataPackageOf } from './data-package.ts'
import { csvOf } from './table.ts'
import { readTable } from '../rides/ride-table.ts'

const NOW = '2026-11-26T12:00:00.000Z'
const garage = replay(demoWorld('2026-11-26'))
const [picture] = [...garage.listed.picture.values()].flat().flatMap(({ picture: id }) => id ?? [])
const of: DataPackageOf = {
  garage,
  forecasts: [...garage.bikes.values()].map((bike) => ({
    report: bikeReport(garage, bike, NOW),
    answer: undefined,
    verdict: undefined,
  })),
  pictures: picture === undefined ? [] : [{ id: picture, jpeg: new Uint8Array([0xff, 0xd8, 0xff]) }],
  now: NOW,
  minorPerMajor: () => 100,
  withoutPeople: false,
  world: 'demo',
}

const rowsOf = (name: string, package_ = dataPackage(of)): Record<string, string>[] =>
  Papa.parse<Record<string, string>>(
    package_.tables.find(({ path }) => path === `data/${name}.csv`)?.csv.trimEnd() ?? '',
    { header: true },
  ).data

/** The ZIP, made to its end. */
function zipped(): Uint8Array {
  const steps = dataPackageSteps(of)
  for (let step = steps.next(); ; step = steps.next()) if (step.done) return step.value
}

let folder = ''
/** Puts the files of a package into a folder, as whoever unpacks it would. */
function unpack(files: Readonly<Record<string, Uint8Array>>): void {
  for (const [name, bytes] of Object.entries(files)) {
    const path = join(folder, name)
    mkdirSync(dirname(path), { recursive: true })
    writeFileSync(path, bytes)
  }
}
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'jolt-mile-package-'))
})
afterAll(() => rmSync(folder, { recursive: true, force: true }))

describe('by the standard’s own validator', () => {
  test('two years of the demo are a valid package: every cell of its type, every key there once, every link leads somewhere', async () => {
    unpack(unzipSync(zipped()))
    const read = await Package.load(join(folder, 'datapackage.json'), { basePath: folder })
    expect(read.errors).toEqual([])
    expect(read.valid).toBe(true)
    expect(read.resources.map(({ name }) => name)).toEqual([
      'bikes',
      'parts',
      'fittings',
      'rides',
      'odometer',
      'readings',
      'looks',
      'pictures',
      'washes',
      'checks',
      'thickness',
      'faults',
      'costs',
      'notes',
      'forecasts',
    ])
    for (const resource of read.resources) {
      const rows = await resource.read({ relations: true })
      expect([resource.name, resource.errors, rows.length]).toEqual([
        resource.name,
        [],
        rowsOf(resource.name).length,
      ])
    }
  }, 60_000)

  test('it refuses a cell of another type and a link that leads nowhere: the check can fail', async () => {
    const files = unzipSync(zipped())
    const spoilt = async (path: string, change: (csv: string) => string, name: string): Promise<unknown> => {
      unpack({
        ...files,
        [path]: new TextEncoder().encode(change(strFromU8(files[path] ?? new Uint8Array()))),
      })
      const read = await Package.load(join(folder, 'datapackage.json'), { basePath: folder })
      const resource = read.resources.find((one) => one.name === name)
      return resource?.read({ relations: true })
    }
    await expect(
      spoilt('data/rides.csv', (csv) => csv.replace(/(Z,)[\d.]+,/, '$1far,'), 'rides'),
    ).rejects.toThrow()
    await expect(
      spoilt('data/washes.csv', (csv) => csv.replace(/(\r\n[^,]+,)[^,]+,/, '$1no-such-chain,'), 'washes'),
    ).rejects.toThrow()
  }, 60_000)
})

test('the tables hold what the log says: rides, readings and fittings by count and sum', () => {
  const rides = [...garage.bikes.values()].flatMap((bike) => bike.rides.filter(({ spread }) => !spread))
  const written = rowsOf('rides')
  expect(written).toHaveLength(rides.length)
  const sum = (all: readonly number[]): number => all.reduce((a, b) => a + b, 0)
  expect(sum(written.map(({ km }) => Number(km)))).toBeCloseTo(sum(rides.map(({ km }) => km)), 0)
  expect(rowsOf('readings')).toHaveLength([...garage.readings.values()].flat().length)
  expect(rowsOf('bikes').map(({ name }) => name)).toContain('Heron')
  expect(rowsOf('forecasts')).toHaveLength(garage.bikes.size)
})

test('a length over 24 pitches shows its elongation: 306.3 mm are 0.4921 %', () => {
  // 306.3 / 304.8 − 1, by hand.
  const shown = rowsOf('readings').filter(({ length_mm }) => length_mm !== '')
  expect(shown.length).toBeGreaterThan(0)
  for (const { length_mm, pitches, shown_percent } of shown)
    expect(Number(shown_percent)).toBeCloseTo(100 * (Number(length_mm) / (Number(pitches) * 12.7) - 1), 3)
  expect(100 * (306.3 / 304.8 - 1)).toBeCloseTo(0.4921, 4)
})

test('every column says what it holds, and every figure that has a unit names it', () => {
  for (const { descriptor } of dataPackage(of).tables) {
    const { schema } = descriptor as {
      schema: { fields: { name: string; description: string; unit?: string }[] }
    }
    for (const { name, description, unit } of schema.fields) {
      expect([name, description.length > 3]).toEqual([name, true])
      if (/_(km|mm|percent|deg|s)$/.test(name) || ['km', 'mm'].includes(name))
        expect([name, unit]).not.toEqual([name, undefined])
    }
  }
})

test('without people and places, no ride tells where it began', () => {
  const spared = dataPackage({ ...of, withoutPeople: true })
  expect(Object.keys(rowsOf('rides', spared)[0] ?? {})).not.toContain('latitude')
  expect(Object.keys(rowsOf('rides')[0] ?? {})).toContain('latitude')
})

test('a name that begins like a formula is written as words', () => {
  const bike = [...garage.bikes.values()][0]
  if (!bike) throw new Error('no bike')
  const named = { ...bike, entry: { ...bike.entry, name: '=1+1' } }
  const spoilt = { ...garage, bikes: new Map([...garage.bikes, [bike.entry.bike, named]]) }
  expect(rowsOf('bikes', dataPackage({ ...of, garage: spoilt }))[0]?.['name']).toBe("'=1+1")
})

test('whatever words a table leaves with, it comes back with them, and none of its cells is a formula', () => {
  const words = ['=HYPERLINK("x")', ' \n=1', '-5 links, see "note"', "'=1", '@me', '\tx', 'plain', '\u200b+1']
  const csv = csvOf(
    ['what', 'km'],
    words.map((one, i) => [one, -1 - i]),
  )
  const { data } = Papa.parse<string[]>(csv)
  for (const [cell = ''] of data) expect(cell).not.toMatch(/^[\s\p{Cf}]*[=+\-@]/u)
  const back = readTable(csv)
  expect(back.rows.map(([one]) => one)).toEqual(words)
  expect(back.rows.map(([, km]) => Number(km))).toEqual(words.map((_, i) => -1 - i))
})
