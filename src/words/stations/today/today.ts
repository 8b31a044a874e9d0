/** The words of Today. */
export const words = {
  noReadingYet: 'no reading yet',
  stillBeingWorkedOut: 'still being worked out',
  toLimit: (figure: string, figure2: string, limit: string) => `${figure} to ${figure2} %, limit ${limit}`,
  probably: (band: string) => `probably ${band}`,
  confidenceProbably: (chance: string, band: string) => `confidence: ${chance}; probably ${band}`,
  workingItOut: 'Working it out…',
  nextLook: 'next look',
  limit: 'limit',
  lubeLastsTo: 'lube lasts to',
  km: 'km',
  mi: 'mi',
  checkingYourBikes: 'Checking your bikes…',
  nothingToDoToday: 'Nothing to do today. Ride.',
  startWith: (name: string, action: string) => `Start with ${name}. ${action}`,
  theMostUrgentFirst: (count: string) => `${count}, the most urgent first.`,
  something: (count: string, all: string) => `${count} something. ${all}`,
  addYourBikeAndARide:
    'Add your bike and a ride or two, and measure the chain once. This page then says which bike needs what.',
  layingOutTheList: 'Laying out the list…',
  bikes: 'Bikes',
}
