/** The words of BuildForm. */
export const words = {
  noted: (name: string) => `${name}: noted.`,
  brakesOn: 'Brakes on',
  theRim: 'the rim',
  brakesWorkedBy: 'Brakes worked by',
  tyresWith: 'Tyres with',
  sealantNoTubes: 'sealant, no tubes',
  axles: 'Axles',
  throughAxles: 'through axles',
  quickReleases: 'quick releases',
  suspension: 'Suspension',
  carbonParts: 'Carbon parts',
}
