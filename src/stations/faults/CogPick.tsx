import clsx from 'clsx'
import { words } from '../../words/stations/faults/cog-pick.ts'

interface Props {
  /** Tooth counts, smallest first. */
  readonly cogs: readonly number[]
  readonly picked: readonly number[]
  readonly onPick: (picked: readonly number[]) => void
}

/** The cassette from behind, each cog a button as tall as it is large: tapped where it happens. */
export function CogPick({ cogs, picked, onPick }: Props) {
  const largest = Math.max(...cogs)
  const toggle = (cog: number) =>
    onPick(picked.includes(cog) ? picked.filter((one) => one !== cog) : [...picked, cog])
  return (
    <fieldset className="min-w-0">
      <legend className="mb-1 text-sm font-medium">{words.onWhichCogsTap}</legend>
      <div className="flex items-end gap-1">
        {cogs.map((cog) => {
          const isPicked = picked.includes(cog)
          return (
            <button
              key={cog}
              type="button"
              aria-pressed={isPicked}
              aria-label={words.cog(cog)}
              onClick={() => toggle(cog)}
              className={clsx(
                'flex min-h-28 min-w-0 max-w-14 flex-1 flex-col items-center justify-end gap-1 rounded-[3px] border bench:min-h-32',
                isPicked ? 'border-petrol bg-petrol/10 font-semibold' : 'border-hairline hover:border-steel',
              )}
            >
              <span
                aria-hidden="true"
                className={clsx('w-2 rounded-[2px]', isPicked ? 'bg-petrol' : 'bg-steel/70')}
                style={{ height: `${(4.2 * cog) / largest}rem` }}
              />
              <span className="pb-1 font-mono text-sm">{cog}</span>
            </button>
          )
        })}
      </div>
      <div className="mt-1 flex gap-4 text-sm">
        <button
          type="button"
          className="min-h-8 underline underline-offset-4"
          onClick={() => onPick(picked.length === cogs.length ? [] : cogs)}
        >
          {picked.length === cogs.length ? words.noneOfThem : words.allOfThem}
        </button>
        {picked.length > 0 && picked.length < cogs.length && (
          <button type="button" className="min-h-8 underline underline-offset-4" onClick={() => onPick([])}>
            {words.notSure}
          </button>
        )}
      </div>
    </fieldset>
  )
}
