/** A file that cannot be read as a ride: what is wrong, where, and how to mend it, in one sentence or two. */
export class RideFileError extends Error {
  override readonly name = 'RideFileError'
}
