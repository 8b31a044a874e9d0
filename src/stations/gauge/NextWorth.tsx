import type { Candidate, NextReadingAnswer } from '../../core/measure/next-reading.ts'
import { Section } from '../../ui/parts/Section.tsx'
import { sayFigure } from '../../words/numbers.ts'
import { useToolNames } from './use-tool-names.ts'
import { words } from '../../words/stations/gauge/next-worth.ts'
import { sayDecimal } from '../../words/grouped-number.ts'

/** A small chance as odds: "1 in 60". */
function sayOdds(p: number): string {
  if (p < 0.002) return words.under1In500
  const n = 1 / p
  return words.n1In(n >= 20 ? Math.round(n / 5) * 5 : n >= 4 ? Math.round(n) : sayDecimal(n, 1))
}

interface Props {
  readonly answer: NextReadingAnswer
  readonly onPick: (candidate: Candidate) => void
}

/** What each possible next reading would be worth: how far it would bring down the chance of a wrong verdict. */
export function NextWorth({ answer, onPick }: Props) {
  const nameOf = useToolNames()
  const { wrongNow, halfNow, values } = answer
  const narrowest = values.reduce(
    (best, one) => (one.half < best.half ? one : best),
    values[0] ?? { half: halfNow, candidate: undefined },
  )
  return (
    <Section
      title={words.whatAnotherReadingWould}
      note={words.theChanceThatTheVerdict(
        sayOdds(wrongNow),
        sayFigure(halfNow),
        narrowest.candidate && narrowest.half < halfNow - 0.005
          ? words.anotherReadingWithTheWould(nameOf(narrowest.candidate.tool), sayFigure(narrowest.half))
          : words.anotherReadingWouldHardly,
      )}
    >
      <ul className="border-b border-hairline">
        {values.map(({ candidate, wrong, half }) => (
          <li key={candidate.tool} className="border-t border-hairline">
            <button
              type="button"
              onClick={() => onPick(candidate)}
              className="grid min-h-11 w-full grid-cols-[11rem_minmax(0,1fr)_7rem_4rem] items-center gap-3 py-1.5 text-left text-[0.95rem] hover:text-petrol max-sm:grid-cols-[minmax(0,1fr)_6.5rem_3.5rem]"
            >
              <span>{nameOf(candidate.tool)}</span>
              <span aria-hidden="true" className="h-2 bg-hairline/60 max-sm:hidden">
                <span
                  className="block h-full bg-petrol"
                  style={{
                    width: `${wrongNow > 0 ? Math.max(0, Math.min(100, 100 * (1 - wrong / wrongNow))) : 0}%`,
                  }}
                />
              </span>
              <span className="text-right">{sayOdds(wrong)}</span>
              <span className="text-right text-steel">±{sayFigure(half)}</span>
            </button>
          </li>
        ))}
      </ul>
      <p className="mt-2 text-sm text-steel">{words.wrongVerdictAfterItAndHow}</p>
    </Section>
  )
}
