import type { Theme } from '../ui/screen-state.ts'

/** Puts a theme in force: the one chosen, or the one that the device asks for. */
export function applyTheme(chosen: Theme | undefined): void {
  const dark = matchMedia('(prefers-color-scheme: dark)').matches
  document.documentElement.dataset['theme'] = chosen ?? (dark ? 'late-shop' : 'daylight')
}
