const held = new Map<string, string>()
const listeners = new Set<() => void>()
const tell = (): void => listeners.forEach((listener) => listener())

/** What the browser remembers under a key, or this page where the browser remembers nothing; undefined where neither does. */
export function recallText(key: string): string | undefined {
  try {
    return held.get(key) ?? localStorage.getItem(key) ?? undefined
  } catch {
    return held.get(key)
  }
}

/**
 * Remembers a text from one visit to the next. Where the browser forbids that, or has no room, it is remembered as long
 * as the page is open: such things are conveniences, and no reason to fail.
 */
export function rememberText(key: string, text: string): void {
  try {
    localStorage.setItem(key, text)
    held.delete(key)
  } catch {
    held.set(key, text)
  }
  tell()
}

/** Forgets what was remembered under a key. */
export function forgetText(key: string): void {
  held.delete(key)
  try {
    localStorage.removeItem(key)
  } catch {
    // Nothing of it outlives this page.
  }
  tell()
}

/** Hears of every text that is remembered or forgotten, here or in another window. @returns the way to stop */
export function onTexts(listener: () => void): () => void {
  listeners.add(listener)
  window.addEventListener('storage', listener)
  return () => {
    listeners.delete(listener)
    window.removeEventListener('storage', listener)
  }
}
