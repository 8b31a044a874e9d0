import { inflateSync } from 'node:zlib'
import { PDFDocument, PDFRawStream } from 'pdf-lib'

/** Letters that Windows-1252 has where Latin-1 has none. */
const ofWindows = (text: string): string =>
  text
    .replaceAll('\u0080', '€')
    .replaceAll('\u0085', '…')
    .replaceAll('\u0092', '’')
    .replaceAll('\u0093', '“')
    .replaceAll('\u0094', '”')
    .replaceAll('\u0095', '\u2022')

/** What a page of a PDF is drawn with: its operators as text. */
async function operatorsOf(bytes: Uint8Array): Promise<string[]> {
  const document = await PDFDocument.load(bytes)
  return document.getPages().map((page) => {
    const { Contents } = page.node.normalizedEntries()
    return (Contents?.asArray() ?? [])
      .map((ref) => page.doc.context.lookup(ref))
      .filter((stream): stream is PDFRawStream => stream instanceof PDFRawStream)
      .map((stream) => inflateSync(stream.contents).toString('latin1'))
      .join('\n')
  })
}

/** The text that a PDF shows, page by page: its strings are written in hex. */
export const pagesOf = async (bytes: Uint8Array): Promise<string[]> =>
  (await operatorsOf(bytes)).map((page) =>
    [...page.matchAll(/<([0-9A-F]+)> Tj/gi)]
      .map(([, hex = '']) => ofWindows(Buffer.from(hex, 'hex').toString('latin1')))
      .join('\n'),
  )

/** Every colour that a PDF is drawn in, as red, green and blue of 0 to 1. */
export const coloursOf = async (bytes: Uint8Array): Promise<(readonly number[])[]> =>
  (await operatorsOf(bytes)).flatMap((page) =>
    [...page.matchAll(/([\d.]+) ([\d.]+) ([\d.]+) (?:rg|RG)\b/g)].map(([, ...parts]) => parts.map(Number)),
  )

/** Width and height of the pages of a PDF, mm. */
export async function sizesOf(bytes: Uint8Array): Promise<(readonly [number, number])[]> {
  const document = await PDFDocument.load(bytes)
  return document.getPages().map((page) => {
    const { width, height } = page.getSize()
    return [(width * 25.4) / 72, (height * 25.4) / 72]
  })
}
