import { createSlice, type PayloadAction } from '@reduxjs/toolkit'
import { useDispatch, useSelector, type TypedUseSelectorHook } from 'react-redux'
import type { BikeId } from '../core/log/entry.ts'
import type { Units } from '../core/units/units.ts'
import type { DateChoice, NumberChoice } from '../words/manner.ts'

export type Theme = 'daylight' | 'late-shop'

/** What belongs to the screen and the moment; the records are elsewhere. */
export interface ScreenState {
  readonly bike: BikeId | undefined
  readonly theme: Theme | undefined
  readonly units: Units
  readonly numbers: NumberChoice
  readonly dates: DateChoice
  readonly keysShown: boolean
  readonly newShown: boolean
  /** The drawings and tables of the page, to be saved. */
  readonly saveShown: boolean
  readonly finderShown: boolean
  /** How numbers and days are written, to be changed. */
  readonly mannerShown: boolean
  /** Large type and targets, and the screen kept awake. */
  readonly bench: boolean
}

const initialState: ScreenState = {
  bike: undefined,
  theme: undefined,
  units: 'metric',
  numbers: 'browser',
  dates: 'browser',
  keysShown: false,
  newShown: false,
  saveShown: false,
  finderShown: false,
  mannerShown: false,
  bench: false,
}

/** The slice of the Redux store that every station shares. */
export const screenSlice = createSlice({
  name: 'screen',
  initialState,
  reducers: {
    bikeChosen: (state, { payload }: PayloadAction<BikeId | undefined>) => ({ ...state, bike: payload }),
    themeChosen: (state, { payload }: PayloadAction<Theme>) => ({ ...state, theme: payload }),
    unitsChosen: (state, { payload }: PayloadAction<Units>) => ({ ...state, units: payload }),
    numbersChosen: (state, { payload }: PayloadAction<NumberChoice>) => ({ ...state, numbers: payload }),
    datesChosen: (state, { payload }: PayloadAction<DateChoice>) => ({ ...state, dates: payload }),
    mannerToggled: (state, { payload }: PayloadAction<boolean>) => ({ ...state, mannerShown: payload }),
    keysToggled: (state, { payload }: PayloadAction<boolean>) => ({ ...state, keysShown: payload }),
    benchToggled: (state, { payload }: PayloadAction<boolean>) => ({ ...state, bench: payload }),
    finderToggled: (state, { payload }: PayloadAction<boolean>) => ({ ...state, finderShown: payload }),
    saveToggled: (state, { payload }: PayloadAction<boolean>) => ({ ...state, saveShown: payload }),
    newToggled: (state, { payload }: PayloadAction<boolean>) => ({ ...state, newShown: payload }),
  },
})
export const {
  benchToggled,
  bikeChosen,
  datesChosen,
  mannerToggled,
  numbersChosen,
  themeChosen,
  unitsChosen,
  keysToggled,
  newToggled,
  finderToggled,
  saveToggled,
} = screenSlice.actions

interface WithScreen {
  readonly screen: ScreenState
}
/** Reads the shared screen state. */
export const useScreen: TypedUseSelectorHook<WithScreen> = useSelector
/** Sends an action to the Redux store. */
export const useSend = useDispatch

/** The units in which distances and lengths are shown. */
export const useUnits = (): Units => useScreen((state) => state.screen.units)
