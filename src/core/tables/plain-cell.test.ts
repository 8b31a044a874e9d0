import { expect, test } from '@jest/globals'
import { seededRandom } from '../stats/random.ts'
import { plainCell, plainCellOrFigure, wordsOfCell } from './plain-cell.ts'

test.each([
  ['=1+1', "'=1+1"],
  ['+41 22', "'+41 22"],
  ['- checked', "'- checked"],
  ['@name', "'@name"],
  ['   =1', "'   =1"],
  ['\u00a0=1', "'\u00a0=1"],
  ['\u200b=1', "'\u200b=1"],
  ['\t=1', "'\t=1"],
  ['\tplain', "'\tplain"],
  ['\rplain', "'\rplain"],
  ['\n=1', "\n'=1"],
  ['oiled\n=cmd()', "oiled\n'=cmd()"],
  ['oiled\r\n  @x', "oiled\r\n'  @x"],
  ['＝1', "'＝1"],
  ["'=1", "''=1"],
  ['a = b', 'a = b'],
  ["the mechanic's", "the mechanic's"],
  ["'quoted'", "'quoted'"],
  ['', ''],
])('%j leaves as %j, and comes back as it was', (words, cell) => {
  expect(plainCell(words)).toBe(cell)
  expect(wordsOfCell(cell)).toBe(words)
})

test('whatever is typed comes back, and no line of it begins as a formula does', () => {
  const random = seededRandom(8)
  const signs = ['=', '+', '-', '@', '\t', '\r', '\n', ' ', "'", '"', 'a', '1', ',', '\u200f', '＋']
  for (let i = 0; i < 4000; i++) {
    const length = Math.floor(random.unit() * 8)
    const words = Array.from({ length }, () => signs[Math.floor(random.unit() * signs.length)]).join('')
    const cell = plainCell(words)
    expect(wordsOfCell(cell)).toBe(words)
    // Read from the cell's first letter that can be seen, on each of its lines.
    for (const line of cell.split(/[\r\n]+/)) expect(line.trimStart()).not.toMatch(/^[=+\-@＋]/)
    expect(cell).not.toMatch(/^[\t\r]/)
  }
})

test('a figure with its sign stays a figure in a table of both', () => {
  expect(plainCellOrFigure('-0.25')).toBe('-0.25')
  expect(plainCellOrFigure('+1,200 %')).toBe('+1,200 %')
  expect(plainCellOrFigure('-1+1')).toBe("'-1+1")
  expect(plainCellOrFigure('=A1')).toBe("'=A1")
})
