import { useState } from 'react'
import { madeUpSkip, skipFutures } from '../../core/school/skip-lesson.ts'
import { SKIP_LIKELY } from '../../core/strategy/facts/teeth-facts.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { CautionNote } from '../../ui/parts/Empty.tsx'
import { useInTurn } from '../../ui/use-in-turn.ts'
import { sayChance, sayCount, sayFigure } from '../../words/numbers.ts'
import type { LessonProps } from './lesson-props.ts'
import { words } from '../../words/stations/school/skip-lesson.ts'
import { WORD_NAMES } from '../../words/names.ts'

/** Prices of the story, in any money: a cassette, and fitting one afterwards once more. */
const CASSETTE = 60
const AGAIN = 10
const SHOWN_ROW = 20

/** A hundred rides as dots: those that skipped are crossed. */
function Rides({ skipped }: { readonly skipped: readonly boolean[] }) {
  const count = skipped.filter(Boolean).length
  return (
    <svg
      viewBox={`0 0 ${SHOWN_ROW * 16} ${Math.ceil(skipped.length / SHOWN_ROW) * 16}`}
      role="img"
      aria-label={words.ofHardPushesSkipped(skipped.length, count)}
      className="w-full max-w-[30rem]"
    >
      {[...skipped]
        .sort((a, b) => Number(b) - Number(a))
        .map((isBad, i) => {
          const [x, y] = [(i % SHOWN_ROW) * 16 + 8, Math.floor(i / SHOWN_ROW) * 16 + 8]
          return isBad ? (
            <path
              key={i}
              d={`M${x - 5} ${y - 5}l10 10M${x + 5} ${y - 5}l-10 10`}
              className="stroke-rust"
              strokeWidth={3}
            />
          ) : (
            <circle key={i} cx={x} cy={y} r={5} className="fill-petrol/50" />
          )
        })}
    </svg>
  )
}

/** A short story of a chain to be fitted on used cogs: will it skip? Then a hundred futures, and what each choice costs in them. */
export function SkipLesson({ seed, onNext, onLeave }: LessonProps) {
  const { record } = useOpenLog()
  const [story] = useState(() => madeUpSkip(seed))
  const [futures] = useState(() => skipFutures(story))
  const [said, setSaid] = useState<boolean>()
  const { cog, lastChain, chains, look, nextChain, tool } = story
  const answer = useInTurn(async (saidSkips: boolean) => {
    if (said !== undefined) return
    setSaid(saidSkips)
    await record([
      { kind: 'lesson', at: new Date().toISOString(), answer: { about: 'skip', p: futures.p, saidSkips } },
    ])
  })
  const count = futures.skipped.filter(Boolean).length
  // Fitting the chain alone costs a cassette, and the work again, wherever it skips.
  const costs = { alone: (count / 100) * (CASSETTE + AGAIN), both: CASSETTE }
  const appSkips = futures.p >= SKIP_LIKELY
  const costOf = (skips: boolean): string => (skips ? costs.both : costs.alone).toFixed(0)
  return (
    <section aria-labelledby="answer" className="flex flex-col gap-5">
      <h1 id="answer" className="text-[1.95rem] leading-tight font-medium max-sm:text-[1.4rem]">
        {words.willItSkipOnTheUnder(cog)}
      </h1>
      <ul className="list-disc pl-6 text-[1.1rem] leading-relaxed">
        <li>
          {chains === 1
            ? words.oneChainRanOnThese(sayFigure(lastChain))
            : words.chainsRanOnThese(chains, sayFigure(lastChain))}
        </li>
        <li>{words.theTeethOfTheTheCog(cog, WORD_NAMES[look])}</li>
        {tool && <li>{words.theCogCheckTool(tool === 'pass' ? words.good : words.wornOut)}</li>}
        <li>{nextChain === 0 ? words.youWantToFit : words.youWantToFitA(sayFigure(nextChain))}</li>
        <li>{words.aCassetteCosts(CASSETTE)}</li>
      </ul>
      {said === undefined ? (
        <div className="flex flex-wrap gap-3">
          <Button look="firm" onClick={() => answer(true)}>
            {words.itSkipsNewCogs}
          </Button>
          <Button look="firm" onClick={() => answer(false)}>
            {words.itHoldsFitTheChain}
          </Button>
          <Button look="link" className="min-h-11" onClick={onLeave}>
            {words.backToSchool}
          </Button>
        </div>
      ) : (
        <div role="status" className="flex flex-col gap-4 border-t border-hairline pt-4">
          <p className="text-[1.3rem] leading-snug font-semibold">
            {words.itSkippedInOf100(count, sayChance(futures.p))}
          </p>
          <Rides skipped={futures.skipped} />
          <p>
            {words.yourChoiceCostsOnAverage(
              costOf(said),
              appSkips ? words.newCogs : words.theChainAlone,
              costOf(appSkips),
            )}{' '}
            {!said && count > 0 && words.andIn100Found(sayCount(count, 'rider'))}
          </p>
          <p className="text-steel">{words.teethFollowALong}</p>
          <CautionNote>{words.aSlipThrowsAKnee}</CautionNote>
          <div className="flex flex-wrap gap-3">
            <Button look="next" onClick={onNext}>
              {words.anotherOne}
            </Button>
            <Button onClick={onLeave}>{words.enoughForNow}</Button>
          </div>
        </div>
      )}
    </section>
  )
}
