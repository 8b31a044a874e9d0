import { Link } from 'react-router'
import type { ChainReport } from '../../core/strategy/facts/bike-report.ts'
import type { Surprise } from '../../core/wear/surprise.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { Section } from '../../ui/parts/Section.tsx'
import { sayChance } from '../../ui/words/numbers.ts'
import { mendFor, sayCause, sayIfSo, saySurprise } from '../../ui/words/surprise.ts'

interface Props {
  readonly chain: ChainReport
  readonly surprise: Surprise
  /** The bike's, %. */
  readonly limit: number
}

/** A look that was not to be expected: what may lie behind it, the likeliest first, each with the way to put it right. */
export function SurpriseQuestion({ chain, surprise, limit }: Props) {
  const { garage } = useOpenLog()
  const last = chain.readings.findLast(({ used }) => used)?.entry.id
  return (
    <Section
      id="odd"
      title="Not what was expected"
      note={`${saySurprise(surprise)} Chance that the log is complete: ${sayChance(surprise.asLogged)}.`}
      className="border-l-4 border-ochre pl-5"
    >
      <ul className="max-w-[52rem]">
        {surprise.causes.map(({ cause, p, ifSo }) => {
          const { path, label } = mendFor(cause, last)
          return (
            <li
              key={`${cause.kind} ${cause.kind === 'wrong-chain' ? cause.chain : ''}`}
              className="grid grid-cols-[minmax(0,1fr)_9rem_13rem] items-baseline gap-x-6 border-t border-hairline py-2 max-sm:grid-cols-1"
            >
              <span>
                <span className="font-medium">{sayCause(cause, garage)}</span>{' '}
                <span className="text-[0.95rem] text-steel">{sayIfSo(ifSo, limit)}</span>
              </span>
              <span className="text-[0.95rem] text-steel">{sayChance(p)}</span>
              <Link to={path} className="underline underline-offset-4">
                {label}
              </Link>
            </li>
          )
        })}
      </ul>
      <p className="mt-2 text-sm text-steel">
        If it is none of these, a second reading settles it. Until then the forecast uses all readings, and no
        swap is advised unless every likely answer calls for one.
      </p>
    </Section>
  )
}
