/** The words of Weights. */
export const words = {
  safetyCountsTimes: 'Safety counts, times',
  brakesAndSteeringBefore: 'Brakes and steering before the rest.',
  anHour: (currency: string) => `An hour, ${currency}`,
}
