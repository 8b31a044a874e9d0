/**
 * A place on a ring by the clock, its drive-side crank arm at 12: "3 o’clock".
 * @param deg degrees clockwise from that arm, seen from its side, 0 to 359
 */
export const sayFromCrank = (deg: number): string => `${Math.round(deg / 30) % 12 || 12} o’clock`
