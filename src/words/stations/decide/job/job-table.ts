/** The words of JobTable. */
export const words = {
  job: 'job',
  cost: 'cost',
  minutes: 'minutes',
  partToBeHad: 'part to be had?',
  change: 'change',
  safety: 'safety',
  leftOut: 'left out',
  aPartForCan: (name: string) => `A part for ${name} can be had`,
  no: 'no',
  yes: 'yes',
  change2: (name: string) => `Change ${name}`,
  takeOffTheList: (name: string) => `Take ${name} off the list`,
}
