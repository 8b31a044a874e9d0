import clsx from 'clsx'
import { useState } from 'react'
import type { AnyCause } from '../../core/faults/finder.ts'
import { chancesOf } from '../../core/faults/network.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { Section } from '../../ui/parts/Section.tsx'
import { sayChance } from '../../words/numbers.ts'
import { FINDING_WORDS } from '../../words/faults/findings.ts'
import { sayWhyShown, sayWhyUsual } from '../../words/faults/whys.ts'
import { RATE_REASONS, sayCauseWith } from '../../words/faults/say-fault.ts'
import type { SearchInHand } from './use-search.ts'
import { words } from '../../words/stations/faults/suspects.ts'

/** So many causes are shown at first, and none that is less likely than this. */
const [SHOWN, LEAST] = [6, 0.01]

/** Which of the answers speak for a cause, and the network's reason for each. */
function speaksFor({ search, given }: SearchInHand, cause: AnyCause) {
  const answers = { ...search.known, ...given }
  return search.ready.findings.flatMap((finding) => {
    const said = answers[finding]
    if (typeof said !== 'string') return []
    const one = search.ready.network.findings[finding]
    const row = one.rows[cause]
    if (!row) return []
    const at = one.values.indexOf(said)
    const [its, usual] = [chancesOf(one, [cause])[at] ?? 0, chancesOf<AnyCause>(one, [])[at] ?? 0]
    const isFor = its > 1.2 * usual
    return isFor
      ? [
          {
            finding,
            answer: FINDING_WORDS[finding].values[said] ?? said,
            why: sayWhyShown(search.about, finding, cause),
          },
        ]
      : []
  })
}

function Grounds({ hand, cause }: { readonly hand: SearchInHand; readonly cause: AnyCause }) {
  const { search } = hand
  const moved = search.moved.filter((one) => one.cause === cause)
  const speaking = speaksFor(hand, cause)
  return (
    <div className="pt-1 pb-3 text-[0.95rem] leading-snug">
      <p className="text-steel">
        {words.beforeAnythingWasAnswered(sayChance(search.rates[cause]), sayWhyUsual(search.about, cause))}
      </p>
      {moved.map(({ by, from, to }) => (
        <p key={by} className="text-steel">
          {words.fromYourLogBecame(sayChance(from), sayChance(to), RATE_REASONS[by])}
        </p>
      ))}
      {speaking.length > 0 && (
        <ul className="mt-1 list-disc pl-5">
          {speaking.map(({ finding, answer, why }) => (
            <li key={finding}>
              {FINDING_WORDS[finding].title} {answer}. <span className="text-steel">{why}</span>
            </li>
          ))}
        </ul>
      )}
    </div>
  )
}

interface Props {
  readonly hand: SearchInHand
  /** The cogs that worn cogs would mean. */
  readonly blamed: readonly number[]
  readonly onFound: (cause: AnyCause) => void
  /** What the road did to the teeth is still being worked out. */
  readonly isAwaited: boolean
}

/** What may be behind it, the likeliest first; several may be true at once. Each opens to its grounds. */
export function Suspects({ hand, blamed, onFound, isAwaited }: Props) {
  const { ranking } = hand.view
  const [all, showAll] = useState(false)
  const [opened, open] = useState<AnyCause>()
  const causes = ranking.causes.filter(({ p }, i) => (all || i < SHOWN) && (all || p >= LEAST))
  return (
    <Section title={words.whatMayBeBehind} note={words.severalMayBeTrue}>
      {isAwaited && (
        <p role="status" className="mb-2 text-sm text-steel">
          {words.workingItOutWhat}
        </p>
      )}
      <ol className="border-t border-hairline/70">
        {causes.map(({ cause, p }) => (
          <li key={cause} className="border-b border-hairline/70">
            <button
              type="button"
              aria-expanded={opened === cause}
              onClick={() => open(opened === cause ? undefined : cause)}
              className="grid min-h-12 w-full grid-cols-[minmax(0,1fr)_7.5rem] items-center gap-x-3 py-1.5 text-left bench:min-h-14"
            >
              <span className={clsx('leading-tight', p >= 0.5 && 'font-semibold')}>
                {sayCauseWith(cause, blamed)}
              </span>
              <span className="text-right text-[0.95rem] text-steel">{sayChance(p)}</span>
              <span aria-hidden="true" className="col-span-2 mt-1 block h-1.5 rounded-full bg-hairline/50">
                <span
                  className={clsx('block h-full rounded-full', p >= 0.5 ? 'bg-rust' : 'bg-petrol')}
                  style={{ width: `${Math.max(1, 100 * p)}%` }}
                />
              </span>
            </button>
            {opened === cause && (
              <>
                <Grounds hand={hand} cause={cause} />
                <div className="pb-3">
                  <Button onClick={() => onFound(cause)}>{words.thisIsItMend}</Button>
                </div>
              </>
            )}
          </li>
        ))}
        <li className="flex justify-between gap-3 py-2 text-[0.95rem] text-steel">
          <span>{words.somethingElse}</span>
          <span>{sayChance(ranking.elsewhere)}</span>
        </li>
      </ol>
      <Button look="link" onClick={() => showAll(!all)}>
        {all ? words.showTheLikeliestOnly : words.showAll(ranking.causes.length)}
      </Button>
    </Section>
  )
}
