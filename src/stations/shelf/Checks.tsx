import type { FittingCheck } from '../../core/strategy/fitting-checks.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { sayCheck } from '../../words/fitting.ts'
import { words } from '../../words/stations/shelf/checks.ts'

const WEIGHTS = { stop: words.stop, care: words.takeCare, note: words.look } as const

/** What to know before the part goes on: said before, not after. */
export function Checks({ checks }: { readonly checks: readonly FittingCheck[] }) {
  const { garage } = useOpenLog()
  return (
    <ul aria-label={words.beforeItGoesOn} aria-live="polite" className="flex flex-col gap-2 empty:hidden">
      {checks.map((check, i) => (
        <li
          key={i}
          className={`border-l-4 pl-3 text-[0.95rem] leading-snug ${check.weight === 'note' ? 'border-steel' : check.weight === 'care' ? 'border-ochre' : 'border-rust'}`}
        >
          <strong
            className={
              check.weight === 'note' ? 'text-steel' : check.weight === 'care' ? 'text-ochre' : 'text-rust'
            }
          >
            {WEIGHTS[check.weight]}
          </strong>{' '}
          {sayCheck(check, garage)}
        </li>
      ))}
    </ul>
  )
}
