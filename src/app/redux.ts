import { configureStore } from '@reduxjs/toolkit'
import { recallText, rememberText } from '../ui/local-memory.ts'
import { screenSlice, type ScreenState } from '../ui/screen-state.ts'
import { world } from './world.ts'

const KEPT_KEY = `jolt-mile screen ${world}`

/** What of the screen's state outlives a reload: never a record. */
function recall(): Partial<ScreenState> {
  try {
    const held = JSON.parse(recallText(KEPT_KEY) ?? '{}') as Partial<ScreenState>
    return { bike: held.bike, theme: held.theme, units: held.units === 'imperial' ? 'imperial' : 'metric' }
  } catch {
    return {}
  }
}

export const store = configureStore({
  reducer: { screen: screenSlice.reducer },
  preloadedState: { screen: { ...screenSlice.getInitialState(), ...recall() } },
})

store.subscribe(() => {
  const { bike, theme, units } = store.getState().screen
  rememberText(KEPT_KEY, JSON.stringify({ bike, theme, units }))
})
