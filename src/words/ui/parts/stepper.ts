/** The words of Stepper. */
export const words = {
  less: (label: string) => `${label}: less`,
  more: (label: string) => `${label}: more`,
}
