import { mkdirSync, writeFileSync } from 'node:fs'
import jpeg from 'jpeg-js'
import { drawScene } from './pictures/draw.ts'
import { DEMO_SCENES } from './pictures/shots.ts'

// Draws public/pictures/: made-up photos of made-up cogs, those that the demo garage keeps and some to measure.
// Run with: node --import tsx demo/write-pictures.ts

const QUALITY = 82
const FOLDER = new URL('../public/pictures', import.meta.url)
mkdirSync(FOLDER, { recursive: true })
for (const [name, scene] of Object.entries(DEMO_SCENES)) {
  const { width, height, data } = drawScene(scene)
  writeFileSync(
    new URL(`${name}.jpg`, FOLDER),
    jpeg.encode({ width, height, data: Buffer.from(data) }, QUALITY).data,
  )
  process.stdout.write(`${name}.jpg\n`)
}
