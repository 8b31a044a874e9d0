import { sprocketGeometry } from '../../src/core/teeth/geometry.ts'
import { partOf } from './part.ts'
import { sceneOf, type Scene } from './scene.ts'

/** Pictures that the demo garage keeps, by the ids that its log names; files of public/pictures. */
export const DEMO_KEPT = ['kite-15-before', 'kite-15', 'plover-14'] as const
export type DemoPicture = (typeof DEMO_KEPT)[number]

/** What can be seen in them: teeth, wear, shift aids. */
export const DEMO_SHOWN: Readonly<Record<DemoPicture, Pick<Scene, 'teeth' | 'wornMm' | 'short'>>> = {
  'kite-15-before': { teeth: 15, wornMm: [0, 0.22], short: [4, 11] },
  'kite-15': { teeth: 15, wornMm: [0.04, 0.62], short: [4, 11] },
  'plover-14': { teeth: 14, wornMm: [0, 0.6], short: [6] },
}

const KEPT_SIDE = 900
const KEPT_ROUND_MM = 3

/** A scene as a kept picture shows it: cut out, laid flat, a valley to the right. */
function keptScene(scene: Scene): Scene {
  const fill = partOf(scene).tipMm / (sprocketGeometry(scene.teeth).tipMaxMm / 2 + KEPT_ROUND_MM)
  return { ...scene, fill, tiltDeg: 0, rollDeg: 0, width: KEPT_SIDE, height: KEPT_SIDE }
}

/** Every picture of the demo, by the name of its file: those that are kept, and photos to measure oneself. */
export const DEMO_SCENES: Readonly<Record<string, Scene>> = {
  ...Object.fromEntries(
    DEMO_KEPT.map((id, i) => [
      id,
      keptScene(
        sceneOf({
          ...DEMO_SHOWN[id],
          seed: 41 + i,
          bench: id === 'kite-15-before' ? 'wood' : 'cloth',
          metal: 'grey',
          lightDeg: id === 'kite-15-before' ? 210 : 120,
        }),
      ),
    ]),
  ),
  'photo-cog-15': sceneOf({ ...DEMO_SHOWN['kite-15'], seed: 51, bench: 'wood', tiltDeg: 5, rollDeg: 67 }),
  'photo-cog-14': sceneOf({
    ...DEMO_SHOWN['plover-14'],
    seed: 52,
    bench: 'cloth',
    metal: 'bright',
    lightDeg: 130,
    tiltDeg: 4,
    rollDeg: 23,
  }),
}
