/**
 * Whether something failed because a piece of the app could not be loaded: there is no network and the piece was not
 * kept, or the app was brought up to date and the piece is gone.
 */
export const isChunkError = (error: unknown): boolean =>
  error instanceof Error &&
  (error.name === 'WorkerError' ||
    /dynamically imported module|Importing a module script failed|error loading dynamically|Unable to preload CSS/i.test(
      error.message,
    ))
