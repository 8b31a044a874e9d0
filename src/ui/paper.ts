import { useState } from 'react'

export type PaperSize = 'a4' | 'letter'

/** Countries that print on Letter; the rest of the world prints on A4. */
const LETTER_COUNTRIES = ['US', 'CA', 'MX', 'PH', 'CL', 'CO', 'VE', 'CR', 'GT', 'PA', 'DO', 'NI', 'SV']

/** The paper that is usual where a language is spoken as in its tag: "en-US", "de-DE". */
export function paperOf(language: string): PaperSize {
  try {
    const region = new Intl.Locale(language).region
    return region !== undefined && LETTER_COUNTRIES.includes(region) ? 'letter' : 'a4'
  } catch {
    return 'a4'
  }
}

/** The paper that is usual here, by the browser's language. */
export function usePaper(): PaperSize {
  const [paper] = useState(() => paperOf(navigator.language))
  return paper
}
