import { blurred } from '../../src/core/teeth/picture/pixels.ts'
import { seededRandom } from '../../src/core/stats/random.ts'
import { noiseAt, roughAt } from './noise.ts'
import { partOf } from './part.ts'
import type { Scene } from './scene.ts'

/** A drawn picture: four bytes a pixel. */
export interface Drawn {
  readonly width: number
  readonly height: number
  readonly data: Uint8Array
}

type Rgb = readonly [number, number, number]

const THICK_MM = 1.8
const LAYERS = 6
/** Pixels are looked at in so many places along each side. */
const SAMPLES = 2
const BEVEL_MM = 0.14
const NOISE = 0.012

const scaled = ([r, g, b]: Rgb, by: number): Rgb => [r * by, g * by, b * by]

/** The bench at a place, mm. */
function benchAt({ bench, seed }: Scene, x: number, y: number): Rgb {
  switch (bench) {
    case 'wood': {
      const along = roughAt(x * 0.02 + 3 * noiseAt(y * 0.02, 7, seed), y * 0.35, seed)
      return scaled([0.62, 0.47, 0.33], 0.72 + 0.5 * along)
    }
    case 'cloth': {
      const weave = 0.5 + 0.25 * (Math.sin(x * 3.2) + Math.sin(y * 3.2))
      return scaled([0.24, 0.33, 0.5], 0.85 + 0.18 * weave + 0.25 * (roughAt(x * 0.03, y * 0.03, seed) - 0.5))
    }
    case 'paper':
      return scaled([0.78, 0.77, 0.73], 0.94 + 0.1 * roughAt(x * 0.05, y * 0.05, seed))
    case 'concrete':
      return scaled([0.55, 0.55, 0.54], 0.75 + 0.5 * roughAt(x * 0.12, y * 0.12, seed))
  }
}

const METALS: Readonly<Record<Scene['metal'], Rgb>> = {
  bright: [0.72, 0.73, 0.74],
  grey: [0.42, 0.43, 0.45],
  black: [0.1, 0.1, 0.11],
}

/** The part's face at a place, mm: turned rings, a sheen towards the light, grime by the teeth. */
function faceAt({ metal, lightDeg, seed }: Scene, x: number, y: number, rootMm: number): Rgb {
  const radius = Math.hypot(x, y)
  const sheen = Math.cos(2 * (Math.atan2(y, x) - (lightDeg * Math.PI) / 180))
  const rings = noiseAt(radius * 3, 5, seed)
  const grime = Math.max(0, 1 - Math.abs(radius - rootMm) / 5) * roughAt(x * 0.5, y * 0.5, seed + 9)
  // Chains rub the teeth of a black part bare.
  const base = metal === 'black' && radius > rootMm - 1.5 ? scaled(METALS.grey, 0.9) : METALS[metal]
  return scaled(base, 0.9 + 0.16 * sheen + 0.12 * (rings - 0.5) - 0.35 * grime)
}

/** A camera that looks at the middle of the part from straight above, less a tilt: a pixel's ray, at the height of the part. */
function cameraOf({ tiltDeg, tiltWayDeg, rollDeg, distanceMm, fill, width, height }: Scene, tipMm: number) {
  const [tilt, way, roll] = [tiltDeg, tiltWayDeg, rollDeg].map((deg) => (deg * Math.PI) / 180) as [
    number,
    number,
    number,
  ]
  const focal = (fill * height * distanceMm) / (2 * tipMm)
  const [ct, st, cw, sw] = [Math.cos(tilt), Math.sin(tilt), Math.cos(way), Math.sin(way)]
  // Rodrigues: turned by the tilt about an axis in the part's plane.
  const turned = ([x, y, z]: Rgb): Rgb => {
    const along = x * cw + y * sw
    return [
      x * ct + sw * z * st + cw * along * (1 - ct),
      y * ct - cw * z * st + sw * along * (1 - ct),
      z * ct + (cw * y - sw * x) * st,
    ]
  }
  const eye = turned([0, 0, distanceMm])
  const [cr, sr] = [Math.cos(roll), Math.sin(roll)]
  return (px: number, py: number, z: number): readonly [number, number] => {
    const [u, v] = [(px - width / 2) / focal, (py - height / 2) / focal]
    const ray = turned([u * cr - v * sr, u * sr + v * cr, -1])
    const t = (z - eye[2]) / ray[2]
    return [eye[0] + t * ray[0], eye[1] + t * ray[1]]
  }
}

/** Draws a scene: the part with its sides, bevels and shadow, on its bench, as a camera would take it. */
export function drawScene(scene: Scene): Drawn {
  const { width, height, lightDeg, lightHeight, blurPx, seed } = scene
  const { isMetal, tipMm, rootMm } = partOf(scene)
  const at = cameraOf(scene, tipMm)
  const light = (lightDeg * Math.PI) / 180
  const [lx, ly] = [Math.cos(light) / lightHeight, Math.sin(light) / lightHeight]
  const shade = (px: number, py: number): Rgb => {
    for (let layer = 0; layer <= LAYERS; layer++) {
      const [X, Y] = at(px, py, THICK_MM * (0.5 - layer / LAYERS))
      if (!isMetal(X, Y)) continue
      const face = faceAt(scene, X, Y, rootMm)
      // What is hit below the face is the part's side; a bevel leans towards the light or away from it.
      const towards =
        Number(isMetal(X - BEVEL_MM * lx, Y - BEVEL_MM * ly)) -
        Number(isMetal(X + BEVEL_MM * lx, Y + BEVEL_MM * ly))
      return scaled(face, layer === 0 ? 1 + 0.35 * towards : 0.42 + 0.25 * towards)
    }
    const [X, Y] = at(px, py, -THICK_MM / 2)
    let dark = 0
    for (let k = 1; k <= LAYERS; k++) {
      const up = (THICK_MM * k) / LAYERS
      if (isMetal(X + up * lx, Y + up * ly)) dark += 1 / LAYERS
    }
    return scaled(benchAt(scene, X, Y), 1 - 0.6 * Math.min(1, dark * 1.6))
  }
  const planes = [0, 1, 2].map(() => new Float32Array(width * height))
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++)
      for (let k = 0; k < SAMPLES * SAMPLES; k++) {
        const rgb = shade(x + ((k % SAMPLES) + 0.5) / SAMPLES, y + (Math.floor(k / SAMPLES) + 0.5) / SAMPLES)
        // One side of the bench is nearer to the window.
        const near = 1 + 0.12 * ((x / width - 0.5) * Math.cos(light) + (y / height - 0.5) * Math.sin(light))
        planes.forEach((plane, i) => {
          plane[y * width + x] = (plane[y * width + x] as number) + (near * (rgb[i] as number)) / SAMPLES ** 2
        })
      }
  const { normal } = seededRandom(seed)
  const data = new Uint8Array(4 * width * height).fill(255)
  planes.forEach((values, i) => {
    const soft = blurred({ width, height, values }, blurPx).values
    for (let p = 0; p < soft.length; p++) {
      const grain = normal(0, NOISE)
      data[4 * p + i] = Math.max(0, Math.min(255, Math.round(255 * ((soft[p] as number) + grain))))
    }
  })
  return { width, height, data }
}
