import { sidesWritten, strangeWords, type GuessedNotes } from '../../../formats/notes/note-mapping.ts'
import type { NoteTable } from '../../../formats/notes/note-table.ts'
import { SelectField, TextField } from '../../../ui/parts/fields.tsx'
import { CURRENCIES } from '../../../words/money.ts'
import {
  CONTACT_NAMES,
  DATE_ORDER_NAMES,
  DECIMAL_NAMES,
  SIDE_NAMES,
  YES_MEANS_NAMES,
} from '../../../words/notes-words.ts'
import { words as phrases } from '../../../words/stations/files/notes/settle.ts'
import { sayDecimal } from '../../../words/grouped-number.ts'

interface Props {
  readonly table: NoteTable
  readonly mapping: GuessedNotes
  readonly onMap: (mapping: GuessedNotes) => void
}

const NONE = ''
const CHOOSE = { [NONE]: 'choose' } as const
/** Marks that drop-in gauges have, %. */
const MARKS = [0.5, 0.75, 1]

/** One thing to settle: a choice that begins empty where nothing is known. */
function Pick<T extends string>({
  label,
  options,
  value,
  onPick,
  hint,
}: {
  readonly label: string
  /** What to say of a choice that is made already. */
  readonly hint?: string
  readonly options: Readonly<Record<T, string>>
  readonly value: T | undefined
  readonly onPick: (value: T) => void
}) {
  return (
    <SelectField<T | ''>
      label={label}
      options={value === undefined ? { ...CHOOSE, ...options } : ({ ...options } as Record<T | '', string>)}
      value={value ?? NONE}
      hint={value === undefined ? <strong className="text-rust">{phrases.chooseOne}</strong> : hint}
      onPick={(picked) => picked !== NONE && onPick(picked)}
    />
  )
}

const DISTANCES = ['ride', 'odometer', 'chain-distance', 'since-last'] as const

/** What beside its columns has to be known of a table, with what the table tells filled in. */
export function Settle({ table, mapping, onMap }: Props) {
  const { uses, limits, words } = mapping
  const has = (use: (typeof uses)[number]): boolean => uses.includes(use)
  const set = (part: Partial<GuessedNotes>) => onMap({ ...mapping, ...part })
  const sides = sidesWritten(table, uses)
  return (
    <div className="grid grid-cols-[repeat(auto-fill,minmax(14.5rem,1fr))] gap-x-6 gap-y-4 max-sm:grid-cols-1">
      {has('date') && (
        <Pick
          label={phrases.daysAreWrittenAs}
          options={DATE_ORDER_NAMES}
          value={mapping.dates}
          onPick={(dates) => set({ dates })}
        />
      )}
      {DISTANCES.some(has) && (
        <Pick
          label={phrases.distancesAreIn}
          options={{ km: phrases.kilometres, miles: phrases.miles }}
          value={mapping.unit}
          onPick={(unit) => set({ unit })}
        />
      )}
      <Pick
        label={phrases.decimalsAfter}
        options={DECIMAL_NAMES}
        value={mapping.decimals}
        onPick={(decimals) => set({ decimals })}
      />
      {uses.map(
        (use, at) =>
          use === 'limit' && (
            <Pick
              key={at}
              label={phrases.markOf(table.heads[at] || phrases.column(at + 1))}
              options={Object.fromEntries(MARKS.map((mark) => [String(mark), `${sayDecimal(mark, 2)} %`]))}
              value={limits[String(at)] === undefined ? undefined : String(limits[String(at)])}
              onPick={(mark) => set({ limits: { ...limits, [String(at)]: Number(mark) } })}
            />
          ),
      )}
      {(sides.any || has('percent')) && (
        <Pick
          label={phrases.theGaugeHas}
          options={CONTACT_NAMES}
          value={mapping.contacts}
          onPick={(contacts) => set({ contacts })}
        />
      )}
      {sides.yesNo && (
        <Pick
          label={phrases.yesBesideTheGauge}
          options={YES_MEANS_NAMES}
          value={mapping.yesMeans}
          onPick={(yesMeans) => set({ yesMeans })}
          hint={phrases.judgedByTheRows}
        />
      )}
      {strangeWords(table, mapping).map((word) => (
        <Pick
          key={word}
          label={phrases.besideTheGaugeMeans(word)}
          options={SIDE_NAMES}
          value={words[word]}
          onPick={(meaning) => set({ words: { ...words, [word]: meaning } })}
        />
      ))}
      {has('length') && (
        <>
          <TextField
            label={phrases.linksInEachLength}
            hint={phrases.innerAndOuterLinks}
            inputMode="numeric"
            defaultValue={mapping.pitches ?? ''}
            onChange={({ target }) => {
              const pitches = Number(target.value)
              const { pitches: _old, ...rest } = mapping
              onMap(Number.isInteger(pitches) && pitches >= 1 && pitches <= 400 ? { ...rest, pitches } : rest)
            }}
          />
          <Pick
            label={phrases.lengthsAreIn}
            options={{ mm: phrases.millimetres, inches: phrases.inches }}
            value={mapping.lengthUnit}
            onPick={(lengthUnit) => set({ lengthUnit })}
          />
        </>
      )}
      {has('price') && (
        <Pick
          label={phrases.pricesAreIn}
          options={Object.fromEntries(CURRENCIES.map((code) => [code, code]))}
          value={mapping.currency}
          onPick={(currency) => set({ currency })}
        />
      )}
    </div>
  )
}
