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
