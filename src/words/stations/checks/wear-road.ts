/** The words of WearRoad. */
export const words = {
  probablyToLimitMeasured: (part: string, mm: string, mm2: string, mm3: string, count: number) =>
    `${part}: probably ${mm} to ${mm2}, limit ${mm3}, ${count} measured.`,
  limit: (mm: string) => `limit ${mm}`,
  sealantOfItsLife: (phrase: number, phrase2: number) =>
    `Sealant: ${phrase} % of its life is gone, chance that it is dry ${phrase2} %.`,
  dry: 'dry',
  fresh: 'fresh',
}
