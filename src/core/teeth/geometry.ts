import { PITCH_MM, ROLLER_MM } from '../units/pitch.ts'

export interface SprocketGeometry {
  readonly pitchDiameterMm: number
  readonly rootDiameterMm: number
  readonly seatRadiusMm: number
  readonly seatAngleDeg: number
  readonly flankRadiusMm: number
  readonly tipMaxMm: number
  readonly tipMinMm: number
  /** How far the rollers of a chain of the given elongation stand above the root, mm. */
  readonly rideUpMm: number
}

/**
 * A new sprocket's geometry (methods 5, from the roller-chain sprocket standard, minimum seating radius and
 * maximum flank): `PD = p / sin(180 / z)`; a chain lengthened by e % rides up by `PD e / 200`.
 * @param teeth whole, 5 or more
 * @param elongation of the chain that lies on it, %
 * @throws RangeError for fewer teeth or a number that is none
 */
export function sprocketGeometry(teeth: number, elongation = 0): SprocketGeometry {
  if (!Number.isInteger(teeth) || teeth < 5)
    throw new RangeError('A sprocket has a whole number of teeth, 5 or more.')
  if (!Number.isFinite(elongation)) throw new RangeError('Elongation must be a number of per cent.')
  const pitchDiameterMm = PITCH_MM / Math.sin(Math.PI / teeth)
  return {
    pitchDiameterMm,
    rootDiameterMm: pitchDiameterMm - ROLLER_MM,
    seatRadiusMm: 0.505 * ROLLER_MM,
    seatAngleDeg: 120 - 90 / teeth,
    flankRadiusMm: 0.12 * ROLLER_MM * (teeth + 2),
    tipMaxMm: pitchDiameterMm + 1.25 * PITCH_MM - ROLLER_MM,
    tipMinMm: pitchDiameterMm + PITCH_MM * (1 - 1.6 / teeth) - ROLLER_MM,
    rideUpMm: (pitchDiameterMm * elongation) / 200,
  }
}
