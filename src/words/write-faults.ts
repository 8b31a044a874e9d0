/** What a field of an entry is called on the screens, where its stored name is not its name. */
const FIELD_NAMES: Readonly<Record<string, string>> = {
  at: 'the day',
  km: 'the distance',
  trackKm: 'the distance of the track',
  movingSeconds: 'the time in motion',
  elapsedSeconds: 'the time from start to end',
  energyKjPerKm: 'the energy',
  gears: 'the energy by gear',
  name: 'the name',
  note: 'the note',
  reason: 'the reason',
  lentTo: 'the name of whom it was lent to',
  linksFromJoint: 'the links from the joining link',
  checkBarMm: 'the check bar',
  weeklyKm: 'the distance a week',
  starts: 'the day on which it begins',
  days: 'the number of days',
  percent: 'the limit',
  spec: 'the part',
  reading: 'the reading',
  circumferenceMm: 'the wheel circumference',
  massKg: 'the mass',
  cogMix: 'the shares of the cogs',
}

const nameOf = (field: string): string => FIELD_NAMES[field.split(/[.[]/)[0] ?? ''] ?? field

/** What the schema found, in plain words: "the distance must be less than or equal to 5000". */
export const sayFieldFault = (field: string, fault: string): string =>
  fault.startsWith(field) ? `${nameOf(field)}${fault.slice(field.length)}` : `${nameOf(field)}: ${fault}`

const RIDE_FAULTS: Readonly<Record<string, string>> = {
  at: 'Its date is before 1990 or after 2100: the device’s clock was wrong. Add the ride by hand.',
  km: 'Its distance is over 5000 km, or below nothing. Check the file, or add the ride by hand.',
  trackKm: 'Its track is over 5000 km long. Check the file, or add the ride by hand.',
  elapsedSeconds:
    'From start to end it takes more than 60 days: one of its points has a wrong date. Add the ride by hand.',
  movingSeconds:
    'It was in motion for more than 15 days. Is the duration in milliseconds? Choose its columns again, or add the ride by hand.',
  energyKjPerKm: 'Its power cannot be: no bike puts so much through its chain. Add the ride by hand.',
  gears: 'Its power cannot be: no bike puts so much through its chain. Add the ride by hand.',
}

/** Why a recorded ride does not go into the log, and what to do. */
export const sayRideFault = (field: string, fault: string): string =>
  RIDE_FAULTS[field.split(/[.[]/)[0] ?? ''] ?? `Not taken: ${sayFieldFault(field, fault)}.`

const AGAIN = 'What you entered is still here.'

/** Why something could not be saved, and what to do. */
export function sayWriteFault(
  error: unknown,
  is: {
    readonly full: boolean
    readonly draft?: { readonly field: string; readonly fault: string } | undefined
  },
): string {
  if (is.draft) return `Not saved: ${sayFieldFault(is.draft.field, is.draft.fault)}. ${AGAIN}`
  if (is.full)
    return `Not saved: this browser’s storage is full. Make room on the device, then save again. ${AGAIN}`
  if (error instanceof Error && error.name === 'LogVanishedError')
    return `Not saved: the log this page had open is no longer there. ${AGAIN}`
  return `Not saved: the browser refused to write. Try again. ${AGAIN}`
}
