import { strToU8, zipSync } from 'fflate'

const escaped = (text: string): string =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('"', '&quot;')

const DAY_MS = 86_400_000
/** Days of a spreadsheet are counted from here. */
const FIRST_DAY = Date.UTC(1899, 11, 30)

/** A cell: text, a number, or a day. */
export type MadeCell = string | number | Date

function cellXml(cell: MadeCell, at: string): string {
  if (typeof cell === 'number') return `<c r="${at}"><v>${cell}</v></c>`
  if (cell instanceof Date) return `<c r="${at}" s="1"><v>${(cell.getTime() - FIRST_DAY) / DAY_MS}</v></c>`
  return `<c r="${at}" t="inlineStr"><is><t>${escaped(cell)}</t></is></c>`
}

/** The rows of a sheet as programs write them, without what stands round them. */
export const rowsXml = (rows: readonly (readonly MadeCell[])[]): string =>
  rows
    .map(
      (row, i) =>
        `<row r="${i + 1}">${row.map((cell, j) => cellXml(cell, `${String.fromCharCode(65 + j)}${i + 1}`)).join('')}</row>`,
    )
    .join('')

/** A spreadsheet file as programs write it, with one sheet: the smallest that is one. */
export const madeXlsx = (rows: readonly (readonly MadeCell[])[]): Uint8Array =>
  zipSync(xlsxParts(rowsXml(rows)))

/** The parts of a spreadsheet file whose sheet holds these rows. */
export function xlsxParts(sheet: string): Record<string, Uint8Array> {
  const head = '<?xml version="1.0" encoding="UTF-8" standalone="yes"?>'
  const main = 'http://schemas.openxmlformats.org/spreadsheetml/2006/main'
  const relations = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships'
  const packaged = 'http://schemas.openxmlformats.org/package/2006'
  return {
    '[Content_Types].xml': strToU8(
      `${head}<Types xmlns="${packaged}/content-types"><Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Default Extension="xml" ContentType="application/xml"/><Override PartName="/xl/workbook.xml" ContentType="application/vnd.openxmlformats-officedocument.spreadsheetml.sheet.main+xml"/><Override PartName="/xl/worksheets/sheet1.xml" ContentType="application/vnd.openxmlformats-officedocument.spreadsheetml.worksheet+xml"/><Override PartName="/xl/styles.xml" ContentType="application/vnd.openxmlformats-officedocument.spreadsheetml.styles+xml"/></Types>`,
    ),
    '_rels/.rels': strToU8(
      `${head}<Relationships xmlns="${packaged}/relationships"><Relationship Id="rId1" Type="${relations}/officeDocument" Target="xl/workbook.xml"/></Relationships>`,
    ),
    'xl/workbook.xml': strToU8(
      `${head}<workbook xmlns="${main}" xmlns:r="${relations}"><sheets><sheet name="Chains" sheetId="1" r:id="rId1"/></sheets></workbook>`,
    ),
    'xl/_rels/workbook.xml.rels': strToU8(
      `${head}<Relationships xmlns="${packaged}/relationships"><Relationship Id="rId1" Type="${relations}/worksheet" Target="worksheets/sheet1.xml"/><Relationship Id="rId2" Type="${relations}/styles" Target="styles.xml"/></Relationships>`,
    ),
    'xl/styles.xml': strToU8(
      `${head}<styleSheet xmlns="${main}"><cellXfs count="2"><xf numFmtId="0"/><xf numFmtId="14" applyNumberFormat="1"/></cellXfs></styleSheet>`,
    ),
    'xl/worksheets/sheet1.xml': strToU8(
      `${head}<worksheet xmlns="${main}"><sheetData>${sheet}</sheetData></worksheet>`,
    ),
  }
}
