/** A made-up picture of a sprocket on a bench. */
export interface Scene {
  readonly teeth: number
  /** What either side of each valley has receded by at the pitch circle, mm: clockwise side and the other. */
  readonly wornMm: readonly [number, number]
  /** How much more some valleys have worn than others, as a share: twice round. */
  readonly wave: number
  /** Teeth that end early: shift aids. */
  readonly short: readonly number[]
  readonly bench: 'wood' | 'cloth' | 'paper' | 'concrete'
  readonly metal: 'bright' | 'grey' | 'black'
  /** Where the light comes from, degrees in the picture, and how high it stands over the bench. */
  readonly lightDeg: number
  readonly lightHeight: number
  /** How far the camera is off straight, degrees, and which way. */
  readonly tiltDeg: number
  readonly tiltWayDeg: number
  readonly rollDeg: number
  /** Camera to part, mm. */
  readonly distanceMm: number
  /** The part's diameter as a share of the picture's height. */
  readonly fill: number
  readonly width: number
  readonly height: number
  readonly blurPx: number
  readonly seed: number
}

/** A scene as most are taken; what is given stands, the rest is usual. */
export const sceneOf = (scene: Partial<Scene> & Pick<Scene, 'teeth' | 'seed'>): Scene => ({
  wornMm: [0, 0],
  wave: 0,
  short: [],
  bench: 'wood',
  metal: 'grey',
  lightDeg: 210,
  lightHeight: 1.6,
  tiltDeg: 3,
  tiltWayDeg: 40,
  rollDeg: 11,
  distanceMm: 360,
  fill: 0.78,
  width: 1200,
  height: 900,
  blurPx: 0.8,
  ...scene,
})
