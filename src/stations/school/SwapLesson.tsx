import { useState } from 'react'
import { SWAP_CHOICES, type SwapChoice } from '../../core/log/kinds/lesson.ts'
import { bestSwap, madeUpSwap, swapOutcomes, type SwapOutcome } from '../../core/school/swap-lesson.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { useUnits } from '../../ui/screen-state.ts'
import { useInTurn } from '../../ui/use-in-turn.ts'
import { sayCount, sayFigure, sayKm, sayLimit, sayPercent } from '../../words/numbers.ts'
import { SWAP_CHOICE_NAMES } from '../../words/school-words.ts'
import type { LessonProps } from './lesson-props.ts'
import { words } from '../../words/stations/school/swap-lesson.ts'
import { sayDecimal } from '../../words/grouped-number.ts'

const [WIDE, LANE, LEFT] = [620, 46, 170]

/** The cost of each choice in a hundred futures, a dot each, the mean as a line. */
function Costs({
  outcomes,
  chose,
  best,
}: {
  readonly outcomes: readonly SwapOutcome[]
  readonly chose: SwapChoice
  readonly best: SwapChoice
}) {
  const all = outcomes.flatMap(({ costs }) => costs)
  const [low, high] = [Math.min(...all), Math.max(...all)]
  const x = (cost: number): number => LEFT + ((WIDE - LEFT - 12) * (cost - low)) / (high - low || 1)
  return (
    <svg
      viewBox={`0 0 ${WIDE} ${LANE * outcomes.length + 22}`}
      role="img"
      aria-label={outcomes
        .map(({ choice, mean }) => words.toPer1000Km(SWAP_CHOICE_NAMES[choice], sayDecimal(mean, 1)))
        .join('; ')}
      className="w-full max-w-[48rem]"
    >
      {outcomes.map(({ choice, costs, mean }, lane) => {
        const y = LANE * lane + LANE / 2
        return (
          <g key={choice}>
            <text
              x={0}
              y={y + 1}
              className={`text-[13px] ${choice === chose ? 'fill-ink font-semibold' : 'fill-steel'}`}
            >
              {SWAP_CHOICE_NAMES[choice]}
            </text>
            <text x={0} y={y + 16} className="fill-steel text-[12px]">
              {[choice === chose && words.yours, choice === best && words.theApps].filter(Boolean).join(', ')}
            </text>
            {costs.map((cost, i) => (
              <circle key={i} cx={x(cost)} cy={y - 8 + ((i * 7) % 17)} r={2.6} className="fill-petrol/40" />
            ))}
            <path d={`M${x(mean)} ${y - 16}V${y + 16}`} className="stroke-rust" strokeWidth={3} />
          </g>
        )
      })}
      <text x={LEFT} y={LANE * outcomes.length + 16} className="fill-steel text-[12px]">
        {words.per1000Km(sayDecimal(low, 0))}
      </text>
      <text x={WIDE - 12} y={LANE * outcomes.length + 16} textAnchor="end" className="fill-steel text-[12px]">
        {sayDecimal(high, 0)}
      </text>
    </svg>
  )
}

/** A short story of a worn chain: swap, ride on, or run it all to the end? Then a hundred futures of each. */
export function SwapLesson({ seed, onNext, onLeave }: LessonProps) {
  const { record } = useOpenLog()
  const units = useUnits()
  const [story] = useState(() => madeUpSwap(seed))
  const [told, setTold] = useState<{
    readonly chose: SwapChoice
    readonly outcomes: readonly SwapOutcome[]
  }>()
  const { read, readSd, cogsWorn, chainPrice, cassettePrice, limit, rate, chainsBefore } = story
  const best = told && bestSwap(told.outcomes)
  const mine = told?.outcomes.find(({ choice }) => choice === told.chose)
  const answer = useInTurn(async (chose: SwapChoice) => {
    if (told) return
    const outcomes = swapOutcomes(story)
    setTold({ chose, outcomes })
    const [good, own] = [bestSwap(outcomes), outcomes.find(({ choice }) => choice === chose)]
    if (!good || !own) return
    const lostShare = Math.min(100, Math.max(0, (own.mean - good.mean) / Math.max(1, good.mean)))
    await record([
      {
        kind: 'lesson',
        at: new Date().toISOString(),
        answer: { about: 'swap', best: good.choice, chose, lostShare },
      },
    ])
  })
  return (
    <section aria-labelledby="answer" className="flex flex-col gap-5">
      <h1 id="answer" className="text-[1.95rem] leading-tight font-medium max-sm:text-[1.4rem]">
        {words.swapOrRideOn}
      </h1>
      <ul className="list-disc pl-6 text-[1.1rem] leading-relaxed">
        <li>
          {words.theChainReadsProbably(
            sayPercent(read),
            sayFigure(read - 1.64 * readSd),
            sayFigure(read + 1.64 * readSd),
            sayLimit(limit),
          )}
        </li>
        <li>
          {words.theirTeethHaveProbably(
            chainsBefore === 0 ? words.itIsTheFirst : words.ranOnTheseCogs(sayCount(chainsBefore, 'chain')),
            sayFigure(cogsWorn),
          )}
        </li>
        <li>
          {words.aChainCostsACassette(
            chainPrice,
            cassettePrice,
            sayFigure(rate),
            sayKm(1000, 'metric'),
            units === 'imperial' ? ` (${sayKm(1000, 'imperial')})` : '',
          )}
        </li>
      </ul>
      {!told ? (
        <div className="flex flex-wrap gap-3">
          {SWAP_CHOICES.map((choice) => (
            <Button key={choice} look="firm" onClick={() => answer(choice)}>
              {SWAP_CHOICE_NAMES[choice].replace(/^./, (letter) => letter.toUpperCase())}
            </Button>
          ))}
          <Button look="link" className="min-h-11" onClick={onLeave}>
            {words.backToSchool}
          </Button>
        </div>
      ) : (
        best &&
        mine && (
          <div role="status" className="flex flex-col gap-4 border-t border-hairline pt-4">
            <p className="text-[1.3rem] leading-snug font-semibold">
              {mine === best
                ? words.theAppDoesTheSame(sayDecimal(mine.mean, 1))
                : words.yoursPer1000Km(
                    sayDecimal(mine.mean, 1),
                    SWAP_CHOICE_NAMES[best.choice],
                    sayDecimal(best.mean, 1),
                  )}
              {mine !== best && Math.abs(mine.mean - best.mean) < 0.03 * best.mean && words.theTwoAreNearly}
            </p>
            <Costs outcomes={told.outcomes} chose={told.chose} best={best.choice} />
            <p className="text-steel">
              {words.hardPushesThatSkip(
                told.outcomes
                  .map(({ choice, skips }) => `${SWAP_CHOICE_NAMES[choice]} ${sayDecimal(skips, 1)}`)
                  .join('; '),
                sayWhyBest(best.choice),
              )}
            </p>
            <div className="flex flex-wrap gap-3">
              <Button look="next" onClick={onNext}>
                {words.anotherOne}
              </Button>
              <Button onClick={onLeave}>{words.enoughForNow}</Button>
            </div>
          </div>
        )
      )}
    </section>
  )
}

/** Why a choice is the cheapest, in general. */
function sayWhyBest(choice: SwapChoice): string {
  switch (choice) {
    case 'swap-now':
      return words.earlyIsCheapWhere
    case 'ride-on':
      return words.whatIsLeftOfTheChain
    case 'run-out':
      return words.lateIsRightWhere
  }
}
