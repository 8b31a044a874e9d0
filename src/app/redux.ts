import { configureStore } from '@reduxjs/toolkit'
import { recallText, rememberText } from '../ui/local-memory.ts'
import { screenSlice, type ScreenState } from '../ui/screen-state.ts'
import { DATE_STYLES, mannerOf, NUMBER_STYLES, unitsOf, writeBy } from '../words/manner.ts'
import { world } from './world.ts'

const KEPT_KEY = `jolt-mile screen ${world}`

/** What of the screen's state outlives a reload: never a record. What was never chosen goes by the browser's language. */
function recall(): Partial<ScreenState> {
  const usual = { units: unitsOf(navigator.language) }
  try {
    const { bike, theme, units, numbers, dates } = JSON.parse(
      recallText(KEPT_KEY) ?? '{}',
    ) as Partial<ScreenState>
    return {
      bike,
      theme,
      units: units === 'imperial' || units === 'metric' ? units : usual.units,
      numbers: numbers !== undefined && numbers in NUMBER_STYLES ? numbers : 'browser',
      dates: DATE_STYLES.find((style) => style === dates) ?? 'browser',
    }
  } catch {
    return usual
  }
}

export const store = configureStore({
  reducer: { screen: screenSlice.reducer },
  preloadedState: { screen: { ...screenSlice.getInitialState(), ...recall() } },
})

/** Numbers and days are written as was chosen before anything that shows them is drawn. */
function writeAsChosen(): void {
  const { numbers, dates } = store.getState().screen
  writeBy(mannerOf(navigator.language, numbers, dates))
}
writeAsChosen()

store.subscribe(() => {
  writeAsChosen()
  const { bike, theme, units, numbers, dates } = store.getState().screen
  rememberText(KEPT_KEY, JSON.stringify({ bike, theme, units, numbers, dates }))
})
