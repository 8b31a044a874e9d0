/** What a browser may hold back at an address: the means that this app would use if it had them. */
export interface Abilities {
  /** Browsers give all that follows only to pages of https and of localhost. */
  readonly isSecure: boolean
  /** Keeps the app itself, so that it opens without the server. */
  readonly offline: boolean
  /** Can be asked not to delete the log when room runs short. */
  readonly promise: boolean
  /** Keeps the screen lit while hands are busy. */
  readonly awake: boolean
  /** Writes into a folder of the owner's choice. */
  readonly folder: boolean
  /** Has a second store, for a copy of the log beside the first. */
  readonly secondCopy: boolean
}

/** What is asked of the page's surroundings. */
export interface Surroundings {
  readonly isSecureContext?: boolean
  readonly showDirectoryPicker?: unknown
  readonly navigator?: object
}

/** What a browser has to give at this address. */
export function abilitiesAt(place: Surroundings): Abilities {
  const browser = (place.navigator ?? {}) as {
    readonly storage?: { readonly persist?: unknown }
    readonly [means: string]: unknown
  }
  return {
    isSecure: place.isSecureContext === true,
    offline: 'serviceWorker' in browser,
    promise: browser.storage?.persist !== undefined,
    awake: 'wakeLock' in browser,
    folder: place.showDirectoryPicker !== undefined,
    secondCopy: 'storageBuckets' in browser,
  }
}

/** What this page has, looked at once: none of it changes while a page is open. */
export const abilities = abilitiesAt(globalThis)
