import type { Candidate, NextReadingAnswer } from '../../core/measure/next-reading.ts'
import { Section } from '../../ui/parts/Section.tsx'
import { sayFigure } from '../../words/numbers.ts'
import { useToolNames } from './use-tool-names.ts'

/** A small chance as odds: "1 in 60". */
function sayOdds(p: number): string {
  if (p < 0.002) return 'under 1 in 500'
  const n = 1 / p
  return `1 in ${n >= 20 ? Math.round(n / 5) * 5 : n >= 4 ? Math.round(n) : n.toFixed(1)}`
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
      title="What another reading would tell you"
      note={`The chance that the verdict is wrong is ${sayOdds(wrongNow)} now; the chain is known to ±${sayFigure(halfNow)}.${
        narrowest.candidate && narrowest.half < halfNow - 0.005
          ? ` Another reading with the ${nameOf(narrowest.candidate.tool)} would narrow that most, to ±${sayFigure(narrowest.half)}.`
          : ' Another reading would hardly narrow that.'
      }`}
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
      <p className="mt-2 text-sm text-steel">
        Wrong verdict after it, and how closely the chain is then known, on average over what it could say.
        Tap one to take it.
      </p>
    </Section>
  )
}
