/** The words of OneLife. */
export const words = {
  oneLifeByThisPlan: (km: string, count: string, count2: string) =>
    `One life by this plan over ${km}: ${count} of chain, ${count2}.`,
  oneOfTheseLives: (name: string) => `One of these lives: ${name}`,
  cassettesFromToday: (km: string) => `cassettes · ${km} from today`,
}
