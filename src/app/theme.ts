import type { Theme } from '../ui/screen-state.ts'

/** Paper is light: while the page is printed the light theme is in force, whatever is chosen for the screen. */
export function printInDaylight(chosen: () => Theme | undefined): void {
  window.addEventListener('beforeprint', () => applyTheme('daylight'))
  window.addEventListener('afterprint', () => applyTheme(chosen()))
}

/** Puts a theme in force: the one chosen, or the one that the device asks for. */
export function applyTheme(chosen: Theme | undefined): void {
  const dark = matchMedia('(prefers-color-scheme: dark)').matches
  document.documentElement.dataset['theme'] = chosen ?? (dark ? 'late-shop' : 'daylight')
}
