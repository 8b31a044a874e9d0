const CYCLING = /cycl|bik(e|ing)|^ride|_ride|riding|ride$|velo|gravel|commut|spinning|^mtb/i
const MOTOR = /motor|snow_?mobil|horse|car\b/i
/** What a device writes where nobody chose a sport. */
const NOT_SET = /^(|generic|default|unknown|none|\d+)$/i

/**
 * Whether a recording is to be taken for a ride by what its file says that it was. What is neither known as cycling nor
 * left open is for its owner to say: some call a ride by a name of their own.
 * @param sport as the file has it: "Biking", "e_biking", "running"; absent where it says nothing
 */
export function isRide(sport: string | undefined): boolean {
  const said = (sport ?? '').trim()
  return NOT_SET.test(said) || (CYCLING.test(said) && !MOTOR.test(said))
}
