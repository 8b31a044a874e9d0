import { cassettesWith, cogRange, isUsualCogCount } from '../../core/gearing/cassettes.ts'
import { CassetteProfile } from '../../ui/drawings/CassetteProfile.tsx'
import { TextField } from '../../ui/parts/fields.tsx'
import { sayCount } from '../../words/numbers.ts'
import { teethOf } from './bike-form.ts'
import { words } from '../../words/stations/shelf/cogs-field.ts'

interface Props {
  readonly value: string
  readonly fault: string | undefined
  readonly onChange: (text: string) => void
  /** The owner has said that an unusual number of cogs is right. */
  readonly isCounted: boolean
  readonly onCounted: (isCounted: boolean) => void
}

/** The teeth of a cassette: each cog, or its range with the usual cassettes of that range to pick from. */
export function CogsField({ value, fault, onChange, isCounted, onCounted }: Props) {
  const range = cogRange(value)
  const count = teethOf(value).length
  return (
    <div className={range ? 'col-span-full min-w-0' : 'min-w-0'}>
      <TextField
        label={words.teethOnTheCogs}
        placeholder={words.n1128Or11}
        autoCapitalize="off"
        fault={fault}
        value={value}
        onChange={(event) => onChange(event.target.value)}
      />
      {range && (
        <fieldset className="mt-2">
          <legend className="text-sm">{words.toHowManyCogs(range.smallest, range.largest)}</legend>
          <ul className="mt-1 divide-y divide-hairline border-y border-hairline">
            {cassettesWith(range).map(({ teeth, isCommon }) => (
              <li key={teeth.join(' ')}>
                <button
                  type="button"
                  className="flex min-h-14 w-full items-center gap-3 py-1 text-left hover:text-petrol"
                  onClick={() => onChange(teeth.join(' '))}
                >
                  <span className="w-16 shrink-0 font-medium">{sayCount(teeth.length, 'cog')}</span>
                  <CassetteProfile teeth={teeth} />
                  <span className="min-w-0 text-sm text-steel">
                    {teeth.join(' ')}
                    {!isCommon && <span className="block">{words.evenStepsCheckEach}</span>}
                  </span>
                </button>
              </li>
            ))}
          </ul>
        </fieldset>
      )}
      {!range && count > 0 && !isUsualCogCount(count) && (
        <label className="mt-1 flex min-h-11 items-center gap-3 text-[0.95rem]">
          <input
            type="checkbox"
            className="size-6 shrink-0 accent-petrol"
            checked={isCounted}
            onChange={(event) => onCounted(event.target.checked)}
          />
          {words.itReallyHas(sayCount(count, 'cog'))}
        </label>
      )}
    </div>
  )
}
