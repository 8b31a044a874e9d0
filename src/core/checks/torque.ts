/** What goes between a bolt's parts, or on its thread. */
export const JOINTS = ['grease', 'carbon-paste', 'threadlock', 'dry'] as const
export type Joint = (typeof JOINTS)[number]

/** Units of torque. */
export const TORQUE_UNITS = ['N m', 'in lbf', 'kgf cm'] as const
export type TorqueUnit = (typeof TORQUE_UNITS)[number]

/** N m in one of each unit: exact by 1 lbf = 4.4482216152605 N, 1 in = 25.4 mm, 1 kgf = 9.80665 N. */
export const NM_PER: Readonly<Record<TorqueUnit, number>> = {
  'N m': 1,
  'in lbf': 4.4482216152605 * 0.0254,
  'kgf cm': 9.80665 * 0.01,
}

/** A torque in another unit. */
export const convertTorque = (value: number, from: TorqueUnit, to: TorqueUnit): number =>
  (value * NM_PER[from]) / NM_PER[to]

/**
 * What a bolt is tightened to: where two parts give two values, the lower one holds.
 * @returns N m; undefined where none is known: by feel
 */
export const torqueOf = (valuesNm: readonly number[]): number | undefined =>
  valuesNm.length === 0 ? undefined : Math.min(...valuesNm)

/** More than this is beyond what a steel bolt of that size usually takes, N m: about 1.5 times class 8.8 at usual preload. */
const MOST_BY_SIZE: Readonly<Record<string, number>> = { M3: 2, M4: 5, M5: 10, M6: 17, M8: 50, M10: 60 }

/** The most that is usual for a bolt of a size, N m; undefined where that is not known. */
export const usualMostNm = (size: string): number | undefined =>
  MOST_BY_SIZE[size.trim().toUpperCase().replace(/\s+/g, '')]

/** A bolt as it is offered for a new book: what is common. The makers' values come first. */
export interface UsualFastener {
  readonly id: string
  readonly size?: string
  /** Common value, N m; absent: by feel. */
  readonly nm?: number
  readonly joint: Joint
  readonly needs?: 'disc' | 'derailleur' | 'motor' | 'through-axle'
}

/** The bolts of a usual bike, in the order of the round. Values are common ones, to be corrected by the makers'. */
export const USUAL_FASTENERS: readonly UsualFastener[] = [
  { id: 'axle-rear', size: 'M12', nm: 12, joint: 'grease', needs: 'through-axle' },
  { id: 'caliper-rear', size: 'M6', nm: 7, joint: 'threadlock', needs: 'disc' },
  { id: 'rotor-rear', size: 'M5', nm: 5, joint: 'threadlock', needs: 'disc' },
  { id: 'cassette-lockring', nm: 40, joint: 'grease', needs: 'derailleur' },
  { id: 'hanger-bolt', size: 'M10', nm: 9, joint: 'grease', needs: 'derailleur' },
  { id: 'pulley-bolts', size: 'M5', nm: 3, joint: 'threadlock', needs: 'derailleur' },
  { id: 'cable-clamp', size: 'M5', nm: 6, joint: 'grease', needs: 'derailleur' },
  { id: 'seat-clamp', size: 'M5', nm: 5, joint: 'grease' },
  { id: 'saddle-rail', size: 'M6', nm: 10, joint: 'grease' },
  { id: 'crank-bolt', size: 'M8', nm: 38, joint: 'grease' },
  { id: 'ring-bolts', size: 'M8', nm: 9, joint: 'grease' },
  { id: 'pedals', nm: 35, joint: 'grease' },
  { id: 'motor-mounts', size: 'M8', nm: 20, joint: 'threadlock', needs: 'motor' },
  { id: 'steerer-clamp', size: 'M5', nm: 5, joint: 'grease' },
  { id: 'faceplate', size: 'M5', nm: 5, joint: 'grease' },
  { id: 'lever-clamp', size: 'M5', nm: 4, joint: 'dry' },
  { id: 'caliper-front', size: 'M6', nm: 7, joint: 'threadlock', needs: 'disc' },
  { id: 'rotor-front', size: 'M5', nm: 5, joint: 'threadlock', needs: 'disc' },
  { id: 'axle-front', size: 'M12', nm: 12, joint: 'grease', needs: 'through-axle' },
  { id: 'bottle-cage', size: 'M5', joint: 'grease' },
  { id: 'mudguards', size: 'M5', joint: 'grease' },
]
