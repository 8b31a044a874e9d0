import { COMPLAINTS, contradictions, movedBy, type AnyFinding } from '../../core/faults/finder.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { Section } from '../../ui/parts/Section.tsx'
import { FINDING_WORDS } from '../../words/faults/findings.ts'
import { sayMoved } from '../../words/faults/say-fault.ts'
import { sayList } from '../../words/numbers.ts'
import { withAnswer } from './given.ts'
import type { SearchInHand } from './use-search.ts'
import { words } from '../../words/stations/faults/answers-given.ts'

/** An answer in words: what was said, or how the log answers by itself. */
function sayAnswer({ given, search, kept }: SearchInHand, finding: AnyFinding): string {
  const said = given[finding] ?? search.known[finding]
  const { values } = FINDING_WORDS[finding]
  if (finding === 'cogs' && kept.cogs.length > 0) return sayList(kept.cogs.map(String))
  if (typeof said === 'string') return values[said] ?? said
  if (Array.isArray(said)) return sayList((said as readonly string[]).map((one) => values[one] ?? one))
  return finding === 'gauge' ? words.asYourReadingsHave : words.asYouTappedIt
}

/** What was answered, what each answer moved, and the way to take it back; and answers that contradict one another. */
export function AnswersGiven({ hand }: { readonly hand: SearchInHand }) {
  const { kept, change, search, given, view } = hand
  // What was not tapped among the complaints is no answer of its own.
  const isUntapped = (finding: AnyFinding): boolean =>
    COMPLAINTS.some((one) => one === finding && !kept.complaints.includes(one))
  const isShown = (finding: AnyFinding): boolean => given[finding] !== undefined && !isUntapped(finding)
  const mine = search.ready.findings.filter(isShown)
  const logs = search.ready.findings.filter(
    (one) => search.known[one] !== undefined && given[one] === undefined,
  )
  const odd = contradictions(given)
  if (mine.length + logs.length === 0) return null
  const takeBack = (finding: AnyFinding) => {
    const without = withAnswer(kept, finding, undefined)
    const { tapped, ...rest } = without
    change({
      ...rest,
      complaints: kept.complaints.filter((one) => one !== finding),
      cogs: finding === 'cogs' ? [] : kept.cogs,
      ...(tapped && finding !== 'period' && { tapped }),
    })
  }
  return (
    <Section title={words.whatEachAnswerMoved}>
      {odd.map(({ findings: [a, b] }) => (
        <p key={`${a} ${b}`} role="alert" className="mb-2 border-l-4 border-ochre pl-3 text-[0.95rem]">
          {a === b
            ? words.hasTwoAnswersItIsCounted(FINDING_WORDS[a].title)
            : words.andContradictOneAnother(FINDING_WORDS[a].title, FINDING_WORDS[b].title)}
        </p>
      ))}
      <ul className="border-t border-hairline/70">
        {[...mine, ...logs].map((finding) => (
          <li
            key={finding}
            className="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-3 border-b border-hairline/70 py-1.5 text-[0.95rem] leading-snug"
          >
            <span>
              {FINDING_WORDS[finding].title}{' '}
              <strong className="font-semibold">{sayAnswer(hand, finding)}</strong>
              <span className="block text-steel">
                {logs.includes(finding) && words.fromYourLog}
                {sayMoved(movedBy(search, given, finding, view.ranking.causes))}
              </span>
            </span>
            {mine.includes(finding) && (
              <Button
                look="link"
                onClick={() => takeBack(finding)}
                aria-label={words.takeBack(FINDING_WORDS[finding].title)}
                className="min-h-11"
              >
                {words.takeBack2}
              </Button>
            )}
          </li>
        ))}
      </ul>
    </Section>
  )
}
