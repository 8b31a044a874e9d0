/** The words of RoundCurve. */
export const words = {
  wearRoundThePart: (mm: string, mm2: string) =>
    `Wear round the part, valley by valley: from ${mm} to ${mm2}.`,
  onceRoundValleyByValley: (mm: string) =>
    `Once round, valley by valley, up to ${mm}. Pale: beside a shift aid or out of sight, not counted. Dashed: the middle.`,
}
