import { writeFileSync } from 'node:fs'
import jpeg from 'jpeg-js'
import { drawScene } from '../demo/pictures/draw.ts'
import { sceneOf, type Scene } from '../demo/pictures/scene.ts'
import { seededRandom, type Random } from '../src/core/stats/random.ts'
import { measurePicture, type PictureAnswer } from '../src/core/teeth/picture/measure.ts'

// Measures made-up photos whose wear is known, and writes docs/pictures.md.

const PICTURES = 24
const QUALITY = 84
const TEETH = [11, 12, 13, 15, 17, 19, 21, 24, 28, 32, 38, 42, 50]

const oneOf = <T>(random: Random, list: readonly T[]): T => list[Math.floor(random.unit() * list.length)] as T

/** A scene as a rider might take it: any cog or ring, bench, light and tilt that is not refused. */
function madeUpScene(seed: number): Scene {
  const random = seededRandom(seed)
  const teeth = oneOf(random, TEETH)
  const worn = random.between(0, 0.9)
  const aids = teeth > 12 ? Math.floor(random.between(0, 4)) : 0
  return sceneOf({
    teeth,
    seed: seed + 100,
    wornMm: random.chance(0.5) ? [worn, 0.1 * worn] : [0, worn],
    short: [...new Set(Array.from({ length: aids }, () => Math.floor(random.unit() * teeth)))],
    bench: oneOf(random, ['wood', 'cloth', 'paper', 'concrete'] as const),
    metal: oneOf(random, ['bright', 'grey', 'black'] as const),
    lightDeg: random.between(0, 360),
    lightHeight: random.between(1, 2.6),
    tiltDeg: random.between(0, 9),
    tiltWayDeg: random.between(0, 360),
    rollDeg: random.between(0, 360),
    distanceMm: random.between(280, 450),
    fill: random.between(0.6, 0.9),
    blurPx: random.between(0.6, 1.4),
  })
}

interface Row {
  readonly scene: Scene
  readonly answer: PictureAnswer
}

function taken(seed: number): Row {
  const scene = madeUpScene(seed)
  const { width, height, data } = drawScene(scene)
  const file = jpeg.encode({ width, height, data: Buffer.from(data) }, QUALITY)
  return { scene, answer: measurePicture(jpeg.decode(file.data, { useTArray: true }), scene.teeth) }
}

const FINE_PX_PER_MM = 4
const rows = Array.from({ length: PICTURES }, (_, i) => taken(100 + i))
const told = rows.flatMap(({ scene, answer }) => {
  if ('fault' in answer) return []
  const { valleyExcessMm, sdMm, teeth, pxPerMm } = answer.measured
  const trueMm = scene.wornMm[0] + scene.wornMm[1]
  return [
    {
      off: valleyExcessMm - trueMm,
      sdMm,
      pxPerMm,
      isCounted: teeth.filter((tooth) => tooth === 'short').length === scene.short.length,
    },
  ]
})
const mean = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0) / values.length
const sayOff = (some: typeof told): string =>
  `${some.length} measured: off by ${mean(some.map(({ off }) => Math.abs(off))).toFixed(2)} mm on average (${mean(some.map(({ off }) => off)).toFixed(2)} with its sign), ${Math.max(...some.map(({ off }) => Math.abs(off))).toFixed(2)} at worst; ${some.filter(({ off, sdMm }) => Math.abs(off) < sdMm).length} within what was said, ${some.filter(({ off, sdMm }) => Math.abs(off) < 2 * sdMm).length} within twice that; shift aids counted right in ${some.filter(({ isCounted }) => isCounted).length}`
const text = `# Pictures with known wear

Taken by \`npm run study:pictures\`: ${PICTURES} made-up photos (\`demo/pictures/\`; 1200 by 900 pixels, JPEG) of cogs and rings from 11 to 50 teeth, worn by 0 to 1 mm, on
wood, cloth, paper and concrete, in light from any side, tilted up to 9 degrees.

- Found and measured: ${told.length} of ${rows.length}.
- At ${FINE_PX_PER_MM} pixels to the mm or finer, ${sayOff(told.filter(({ pxPerMm }) => pxPerMm >= FINE_PX_PER_MM))}.
- Coarser, ${sayOff(told.filter(({ pxPerMm }) => pxPerMm < FINE_PX_PER_MM))}.

The worst are grey metal on grey concrete, and rings so small in the picture that blur widens their teeth.

| teeth | bench | metal | tilt, ° | true, mm | measured, mm | give or take | shift aids, true and told |
|---|---|---|---|---|---|---|---|
${rows
  .map(({ scene, answer }) => {
    const start = `| ${scene.teeth} | ${scene.bench} | ${scene.metal} | ${scene.tiltDeg.toFixed(0)} | ${(scene.wornMm[0] + scene.wornMm[1]).toFixed(2)} | `
    if ('fault' in answer) return `${start}${answer.fault} | | |`
    const { valleyExcessMm, sdMm, teeth } = answer.measured
    return `${start}${valleyExcessMm.toFixed(2)} | ${sdMm.toFixed(2)} | ${scene.short.length}, ${teeth.filter((tooth) => tooth === 'short').length} |`
  })
  .join('\n')}
`
writeFileSync(new URL('../docs/pictures.md', import.meta.url), text)
process.stdout.write(text)
