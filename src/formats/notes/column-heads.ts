import { tableMoment } from '../rides/table-cells.ts'

/** What a column of notes holds. */
export const NOTE_USES = [
  'none',
  'date',
  'clock',
  'bike',
  'chain',
  'ride',
  'odometer',
  'chain-distance',
  'since-last',
  'limit',
  'percent',
  'length',
  'words',
  'price',
] as const
export type NoteUse = (typeof NOTE_USES)[number]

/** Whether a cell is a date, whichever of day and month comes first. */
export const isDate = (cell: string): boolean =>
  tableMoment(cell, 'day-first') !== undefined || tableMoment(cell, 'month-first') !== undefined

/** Heads that name a distance, without saying what of. */
const DISTANCE =
  /\b(km|kms|kilomet\w*|mi|miles?|mileage|dist\w*|strecke|distanz|distancia|distanza|afstand)\b/i

/** The mark of a limit side in the head of a column, %: "0.75", "0,5 %", ".5 side". */
export function limitInHead(head: string): number | undefined {
  const found = /(?:^|[^\d.,])(0?[.,]\d{1,2}|1[.,]0{1,2})(?!\d)/.exec(head)
  const percent = found ? Number((found[1] ?? '').replace(',', '.')) : NaN
  return percent >= 0.25 && percent <= 1 ? percent : undefined
}

/** In the order in which they are tried: the narrower sense first. */
const BY_HEAD: readonly (readonly [NoteUse, RegExp])[] = [
  ['date', /^(date|day|datum|tag|fecha|data|when|wann|timestamp)\b/i],
  ['clock', /^((start|begin)[ _]?time|time|zeit|uhrzeit|hora|ora|heure)\b/i],
  ['percent', /elong|stretch|verschlei|dehnung|usure|l[äa]ngung|\bwear\b/i],
  [
    'chain-distance',
    new RegExp(`(chain|kette).*${DISTANCE.source}|${DISTANCE.source}.*(chain|kette|since new)`, 'i'),
  ],
  [
    'since-last',
    new RegExp(
      `(since|between|delta|interval|seit|diff).*${DISTANCE.source}|${DISTANCE.source}.*(since|between|delta|interval|seit|diff)`,
      'i',
    ),
  ],
  ['odometer', /\b(odo\w*|total|counter|kilometerstand|km-?stand|tacho|computer)\b/i],
  ['length', /\b(length|l[äa]nge|longueur|mm|inch(es)?|links|pitches)\b/i],
  ['price', /\b(price|cost|paid|preis|kosten|prix|precio|eur|gbp|usd|chf)\b|[€£$]/i],
  ['bike', /^(which )?(bike|bicycle|rad|fahrrad|velo|vélo|bici)\b/i],
  ['chain', /^(which )?(chain|kette|chaîne|cadena|catena)\b/i],
  [
    'words',
    /\b(done|did|what|work|action|event|service|maint\w*|job|notes?|comments?|remarks?|notiz\w*|bemerk\w*|arbeit|description|gauge|checker|tool|reading|measure\w*|lehre|result)\b/i,
  ],
]

/** What a column probably holds, by its head alone; `distance` where it only says that it is one. */
export function useOfHead(head: string): NoteUse | 'distance' | undefined {
  const plain = head.trim()
  if (plain === '') return undefined
  for (const [use, pattern] of BY_HEAD.slice(0, 2)) if (pattern.test(plain)) return use
  if (limitInHead(plain) !== undefined) return 'limit'
  for (const [use, pattern] of BY_HEAD.slice(2)) if (pattern.test(plain)) return use
  return DISTANCE.test(plain) ? 'distance' : undefined
}

/** How many of the cells of a row read as heads of notes. A row that holds a date names no columns. */
export const knownNoteHeads = (cells: readonly string[]): number =>
  cells.some(isDate) ? 0 : cells.filter((cell) => cell.length < 60 && useOfHead(cell) !== undefined).length
