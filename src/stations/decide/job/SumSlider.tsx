import { useId, useState } from 'react'
import { TextField } from '../../../ui/parts/fields.tsx'
import { numberTyped } from '../../../words/typed.ts'
import { sayExactMoney } from '../../../words/money.ts'
import type { Job } from './use-job.ts'
import { words } from '../../../words/stations/decide/job/sum-slider.ts'

const SUM = { unit: '', ask: words.giveTheSum0, least: 0, most: 1e6 } as const
/** Marks closer together than this share of the slider are told as one. */
const APART = 0.012

/** The sum: dragged or typed, with a mark wherever the choice changes and one for the least safe sum. */
export function SumSlider({ job }: { readonly job: Job }) {
  const id = useId()
  // As it is typed, so that a figure can be half written.
  const [text, setText] = useState<string>()
  const [fault, setFault] = useState<string>()
  const { draft, steps, safe, unit, change } = job
  const { sum, currency } = draft
  const last = steps?.at(-1)?.from ?? 0
  const most = Math.max(sum, 1.15 * last, 50 * unit)
  const marks = (steps ?? [])
    .filter(({ from }) => from > 0)
    .filter(({ from }, i, all) => i === 0 || from - (all[i - 1]?.from ?? 0) > APART * most)
  const at = (minor: number): string => `calc(8px + (100% - 16px) * ${minor / most})`
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_9rem] items-end gap-x-6 max-sm:grid-cols-1">
      <div>
        <label htmlFor={id} className="text-sm font-medium">
          {words.theSum}
        </label>
        <div className="relative pt-6">
          {marks.map(({ from }) => (
            <span
              key={from}
              aria-hidden="true"
              className={`absolute top-3 h-3 w-px ${from <= sum ? 'bg-petrol' : 'bg-steel'}`}
              style={{ left: at(from) }}
            />
          ))}
          {safe.total > 0 && safe.total <= most && (
            <span
              aria-hidden="true"
              className="absolute top-0 -translate-x-1/2 text-[11px] font-semibold text-rust"
              style={{ left: at(safe.total) }}
            >
              {words.safe}
              <span className="mx-auto block h-2 w-0.5 bg-rust" />
            </span>
          )}
          <input
            id={id}
            type="range"
            className="block h-8 w-full accent-petrol"
            min={0}
            max={most}
            step={unit}
            value={sum}
            aria-valuetext={sayExactMoney(sum, currency)}
            onChange={({ target }) => {
              setText(undefined)
              setFault(undefined)
              change({ sum: Math.round(Number(target.value)) })
            }}
          />
        </div>
      </div>
      <TextField
        label={words.sum(currency)}
        inputMode="decimal"
        value={text ?? String(sum / unit)}
        fault={fault}
        onBlur={() => {
          if (fault === undefined) setText(undefined)
        }}
        onChange={({ target }) => {
          setText(target.value)
          const typed = numberTyped(target.value, SUM)
          setFault('fault' in typed ? typed.fault : undefined)
          if ('value' in typed) change({ sum: Math.round(typed.value * unit) })
        }}
      />
      <p className="col-span-full mt-1 text-sm text-steel">
        {steps
          ? words.theChoiceChangesAtTheMarks(
              marks.length > 0 && marks.length <= 12
                ? `: ${marks.map(({ from }) => sayExactMoney(from, currency)).join(', ')}`
                : '',
            )
          : (job.fault ?? words.lookingForTheSums)}
      </p>
    </div>
  )
}
