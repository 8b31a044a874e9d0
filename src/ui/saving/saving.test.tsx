import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals'
import { cleanup, render } from '@testing-library/react'
import { drawingOf, drawnBy } from './drawn.ts'
import { thingsOn } from './page-things.ts'
import { asSvg, svgTextOf } from './picture.ts'
import { cellsOf, csvOfTable } from './table-csv.ts'

beforeEach(() => {
  // Nothing has a size here: what is not said to be small is as wide as a drawing.
  jest.spyOn(Element.prototype, 'getBoundingClientRect').mockImplementation(function (this: Element) {
    return { width: this.hasAttribute('data-small') ? 20 : 400, height: 100 } as DOMRect
  })
})
afterEach(() => {
  cleanup()
  jest.restoreAllMocks()
})

const page = () =>
  render(
    <main>
      <section>
        <h2>Wear by road</h2>
        <svg role="img" aria-label="The chain is at 0.32 %">
          <path d="M0 0L1 1" style={{ fill: 'rgb(1, 2, 3)', stroke: 'none' }} className="quiet" />
        </svg>
        <svg aria-hidden="true" />
        <span role="img" aria-label="good" data-small>
          <svg />
        </span>
        <table>
          <tbody>
            <tr>
              <th>Lube</th>
              <th colSpan={2}>
                Rate
                {'\n'} and note
              </th>
            </tr>
            <tr>
              <td>=1+1</td>
              <td>0.25</td>
              <td>a, b</td>
            </tr>
          </tbody>
        </table>
      </section>
    </main>,
  ).container

describe('what of a page can be saved', () => {
  test('is each drawing and table by what it shows, and no mark beside words', () => {
    expect(thingsOn(page()).map(({ kind, name }) => `${kind}: ${name}`)).toEqual([
      'drawing: The chain is at 0.32 %',
      'table: Wear by road',
    ])
  })

  test('a table is its cells as they read; one over two columns stands in the first; a formula is words', async () => {
    const table = page().querySelector('table')
    if (!table) throw new Error('no table')
    expect(cellsOf(table)).toEqual([
      ['Lube', 'Rate and note', ''],
      ['=1+1', '0.25', 'a, b'],
    ])
    expect(await csvOfTable(table)).toBe('Lube,Rate and note,\r\n\'=1+1,0.25,"a, b"\r\n')
  })

  test('an SVG carries its look with it, and its size', () => {
    const svg = page().querySelector('svg')
    if (!svg) throw new Error('no drawing')
    const text = svgTextOf(svg)
    const read = new DOMParser().parseFromString(text, 'image/svg+xml')
    expect(read.querySelectorAll('parsererror')).toHaveLength(0)
    const path = read.querySelector('path')
    expect(path?.getAttribute('fill')).toBe('rgb(1, 2, 3)')
    expect(path?.hasAttribute('class')).toBe(false)
    expect(read.documentElement.getAttribute('width')).toBe('400')
    // The page itself is left as it was.
    expect(svg.querySelector('path')?.getAttribute('class')).toBe('quiet')
  })

  test('what is drawn by script is drawn once more by it; what is painted only has no SVG', async () => {
    const box = document.createElement('div')
    const inner = document.createElement('canvas')
    box.append(inner)
    expect(drawingOf(box)).toBeUndefined()
    drawnBy(inner, { canvas: () => inner })
    expect(drawingOf(box)).toBeDefined()
    expect(await asSvg(box)).toBeUndefined()
    drawnBy(box, { svg: () => Promise.resolve('<svg/>') })
    expect(await asSvg(box)).toBe('<svg/>')
  })
})
