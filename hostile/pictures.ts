import { readFileSync } from 'node:fs'
import { resolve } from 'node:path'
import { deflateSync, crc32 } from 'node:zlib'
import { chromium, type Page } from '@playwright/test'
import { buildServer } from '../server/app.ts'

const chunk = (type: string, data: Uint8Array): Buffer => {
  const body = Buffer.concat([Buffer.from(type, 'latin1'), data])
  const [length, sum] = [Buffer.alloc(4), Buffer.alloc(4)]
  length.writeUInt32BE(data.length)
  sum.writeUInt32BE(crc32(body))
  return Buffer.concat([length, body, sum])
}

/** A picture in black of so many dots each way: a hundred million are a few kilobytes. */
function hugePng(side: number): Buffer {
  const head = Buffer.alloc(13)
  head.writeUInt32BE(side, 0)
  head.writeUInt32BE(side, 4)
  head[8] = 1
  const rows = deflateSync(Buffer.alloc(side * (1 + Math.ceil(side / 8))))
  return Buffer.concat([
    Buffer.from('89504e470d0a1a0a', 'hex'),
    chunk('IHDR', head),
    chunk('IDAT', rows),
    chunk('IEND', Buffer.alloc(0)),
  ])
}

/** A JPEG that says it was taken with the camera turned (EXIF, tag 0x0112). */
function turned(jpeg: Buffer, orientation: number): Buffer {
  const tiff = Buffer.from('4d4d002a00000008000101120003000000010000000000000000', 'hex')
  tiff.writeUInt16BE(orientation, 18)
  const exif = Buffer.concat([Buffer.from('Exif\0\0', 'latin1'), tiff])
  const length = Buffer.alloc(2)
  length.writeUInt16BE(exif.length + 2)
  return Buffer.concat([jpeg.subarray(0, 2), Buffer.from('ffe1', 'hex'), length, exif, jpeg.subarray(2)])
}

/** A drawing that tells whoever shows it to draw a thousand million circles. */
const svgBomb = (): Buffer => {
  const levels = Array.from(
    { length: 9 },
    (_, i) => `<g id="g${i + 1}">${`<use href="#g${i}"/>`.repeat(10)}</g>`,
  )
  return Buffer.from(
    `<svg xmlns="http://www.w3.org/2000/svg" width="800" height="800"><g id="g0"><circle r="9"/></g>${levels.join('')}<use href="#g9"/></svg>`,
  )
}

/** What the sheet says of a picture, in at most half a minute; the page has to answer meanwhile. */
async function said(page: Page, name: string, mimeType: string, buffer: Buffer): Promise<string> {
  await page.getByLabel('Choose a picture').first().setInputFiles({ name, mimeType, buffer })
  const sheet = page.getByRole('dialog', { name: /^A picture of/ })
  const words = sheet
    .getByRole('alert')
    .or(sheet.getByText(/^The valleys are/))
    .first()
  const text = await words.textContent({ timeout: 30_000 }).catch(() => 'no word in half a minute')
  await sheet.getByRole('button', { name: 'Close' }).click({ timeout: 5000 })
  return text ?? ''
}

/** Odd pictures of a cog, each chosen where one is measured. */
export async function pictureFigures(): Promise<readonly string[]> {
  const server = await buildServer(resolve('dist'))
  const url = await server.listen({ host: '127.0.0.1', port: 0 })
  const browser = await chromium.launch({
    executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu'],
  })
  const photo = readFileSync('public/pictures/photo-cog-15.jpg')
  try {
    const page = await browser.newPage({ serviceWorkers: 'block', locale: 'en-IE' })
    await page.goto(`${url}/demo/teeth?bike=kite&cog=15`)
    await page.locator('h1').waitFor()
    const cases: readonly (readonly [string, string, string, Buffer])[] = [
      ['a picture of a hundred million dots', 'huge.png', 'image/png', hugePng(10_000)],
      ['a photo cut short', 'cut.jpg', 'image/jpeg', photo.subarray(0, photo.length / 2)],
      ['one cut in its head', 'head.jpg', 'image/jpeg', photo.subarray(0, 300)],
      ...[3, 6, 8].map(
        (way) =>
          [`a photo turned by EXIF (${way})`, `turned-${way}.jpg`, 'image/jpeg', turned(photo, way)] as const,
      ),
      ['a drawing of a thousand million circles', 'bomb.svg', 'image/svg+xml', svgBomb()],
      ['the same, called a photo', 'bomb.jpg', 'image/jpeg', svgBomb()],
    ]
    const rows: string[] = []
    for (const [what, name, type, bytes] of cases) {
      const from = performance.now()
      const words = await said(page, name, type, bytes)
      rows.push(
        `| ${what} | “${words.slice(0, 110)}” | ${((performance.now() - from) / 1000).toFixed(1)} s |`,
      )
    }
    return rows
  } finally {
    await browser.close()
    await server.close()
  }
}
