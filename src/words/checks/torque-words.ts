import type { Joint, TorqueUnit } from '../../core/checks/torque.ts'
import { convertTorque } from '../../core/checks/torque.ts'
import { sayDecimal } from '../grouped-number.ts'

/** What usual bolts are called. */
export const FASTENER_NAMES: Readonly<Record<string, string>> = {
  'axle-rear': 'Through axle, rear',
  'caliper-rear': 'Caliper bolts, rear',
  'rotor-rear': 'Rotor bolts, rear',
  'cassette-lockring': 'Cassette lockring',
  'hanger-bolt': 'Derailleur to hanger',
  'pulley-bolts': 'Pulley bolts',
  'cable-clamp': 'Gear cable clamp',
  'seat-clamp': 'Seat post clamp',
  'saddle-rail': 'Saddle rail clamp',
  'crank-bolt': 'Crank bolt',
  'ring-bolts': 'Ring bolts',
  pedals: 'Pedals (left: left-hand thread)',
  'motor-mounts': 'Motor mounts',
  'steerer-clamp': 'Stem to steerer',
  faceplate: 'Stem face plate',
  'lever-clamp': 'Lever clamps',
  'caliper-front': 'Caliper bolts, front',
  'rotor-front': 'Rotor bolts, front',
  'axle-front': 'Through axle, front',
  'bottle-cage': 'Bottle cage',
  mudguards: 'Mudguards and rack',
}

/** What goes between. */
export const JOINT_NAMES: Readonly<Record<Joint, string>> = {
  grease: 'grease',
  'carbon-paste': 'carbon paste',
  threadlock: 'threadlock',
  dry: 'dry',
}

/** Units of torque as they are written. */
export const TORQUE_UNIT_NAMES: Readonly<Record<TorqueUnit, string>> = {
  'N m': 'N\u00a0m',
  'in lbf': 'in\u00a0lbf',
  'kgf cm': 'kgf\u00a0cm',
}

/** A torque in a unit. */
export function sayTorque(nm: number, unit: TorqueUnit): string {
  const value = convertTorque(nm, 'N m', unit)
  return `${sayDecimal(value, unit === 'N m' && value < 10 && value % 1 !== 0 ? 1 : 0)}\u00a0${TORQUE_UNIT_NAMES[unit]}`
}
