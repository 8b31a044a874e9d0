import { useSyncExternalStore } from 'react'
import type { Paper } from '../core/paper/paper-sheet.ts'
import { onTexts, recallText, rememberText } from './local-memory.ts'

/** Countries that print on Letter; the rest of the world prints on A4. */
const LETTER_COUNTRIES = ['US', 'CA', 'MX', 'PH', 'CL', 'CO', 'VE', 'CR', 'GT', 'PA', 'DO', 'NI', 'SV']

/** The paper that is usual where a language is spoken as in its tag: "en-US", "de-DE". */
export function paperOf(language: string): Paper {
  try {
    const region = new Intl.Locale(language).region
    return region !== undefined && LETTER_COUNTRIES.includes(region) ? 'letter' : 'a4'
  } catch {
    return 'a4'
  }
}

const KEPT_KEY = 'jolt-mile paper'

const paperNow = (): Paper => {
  const kept = recallText(KEPT_KEY)
  return kept === 'a4' || kept === 'letter' ? kept : paperOf(navigator.language)
}

/** The paper that every sheet is set on: as last chosen, else as is usual by the browser's language. */
export function usePaper(): readonly [paper: Paper, choose: (paper: Paper) => void] {
  const paper = useSyncExternalStore(onTexts, paperNow)
  return [paper, (chosen) => rememberText(KEPT_KEY, chosen)]
}
