import { expect, test } from '@jest/globals'
import { faultOfFile, GOOD_FILES, ruinedFiles } from '../../../test/ride-mutants.ts'
import { listZip, unpackZip } from './zip.ts'
import { readXml } from './xml-events.ts'
import { strToU8, zipSync } from 'fflate'

test.each(Object.keys(GOOD_FILES))('a good %s, whole, has nothing wrong', async (name) => {
  expect(await faultOfFile(name, GOOD_FILES[name]?.() ?? new Uint8Array())).toBeUndefined()
})

// Ten thousand of each by `npm run hostile`.
test.each(Object.keys(GOOD_FILES))(
  '300 ruined copies of %s are read or refused in plain words',
  async (name) => {
    for (const bytes of ruinedFiles(name, 300, 11)) expect(await faultOfFile(name, bytes)).toBeUndefined()
  },
)

test('an archive of ten thousand files is listed and unpacked file by file', () => {
  const files = Object.fromEntries(
    Array.from({ length: 10_000 }, (_, i) => [`ride-${i}.gpx`, strToU8(`<gpx>${i}</gpx>`)]),
  )
  const bytes = zipSync(files, { level: 0 })
  const listed = listZip(bytes)
  expect(listed).toHaveLength(10_000)
  let read = 0
  for (let from = 0; from < listed.length; from += 25)
    for (const { unpacked } of unpackZip(
      bytes,
      listed.slice(from, from + 25).map(({ place }) => place),
    ))
      if ('bytes' in unpacked) read++
  expect(read).toBe(10_000)
})

test('a file with a hundred thousand names of tags is read to its end', () => {
  const tags = Array.from({ length: 100_000 }, (_, i) => `<t${i}>${i}</t${i}>`).join('')
  // A handler may be made twice: once for the quick way, which gives up here, once for the full parser.
  const heard = readXml(strToU8(`<gpx>${tags}</gpx>`), () => {
    const handler = { count: 0, open: () => undefined, close: () => void handler.count++ }
    return handler
  })
  expect(heard.count).toBe(100_001)
})
