import { useState } from 'react'
import { madeUpSkip, skipFutures } from '../../core/school/skip-lesson.ts'
import { SKIP_LIKELY } from '../../core/strategy/facts/teeth-facts.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { CautionNote } from '../../ui/parts/Empty.tsx'
import { useInTurn } from '../../ui/use-in-turn.ts'
import { sayChance, sayCount, sayFigure } from '../../words/numbers.ts'
import type { LessonProps } from './lesson-props.ts'

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
      aria-label={`Of ${skipped.length} hard pushes ${count} skipped.`}
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
        Will it skip on the {cog} under a hard push?
      </h1>
      <ul className="list-disc pl-6 text-[1.1rem] leading-relaxed">
        <li>
          {chains === 1
            ? `One chain ran on these cogs, and came off at ${sayFigure(lastChain)} %.`
            : `${chains} chains ran on these cogs; the last came off at ${sayFigure(lastChain)} %.`}
        </li>
        <li>
          The teeth of the {cog}, the cog that is ridden most, look {look} by eye.
        </li>
        {tool && <li>The cog-check tool says {tool === 'pass' ? 'good' : 'worn out'}.</li>}
        <li>
          {nextChain === 0
            ? 'You want to fit a new chain.'
            : `You want to fit a chain from the hook; it reads ${sayFigure(nextChain)} %.`}
        </li>
        <li>A cassette costs {CASSETTE}.</li>
      </ul>
      {said === undefined ? (
        <div className="flex flex-wrap gap-3">
          <Button look="firm" onClick={() => answer(true)}>
            It skips: new cogs with it
          </Button>
          <Button look="firm" onClick={() => answer(false)}>
            It holds: fit the chain alone
          </Button>
          <Button look="link" className="min-h-11" onClick={onLeave}>
            Back to School
          </Button>
        </div>
      ) : (
        <div role="status" className="flex flex-col gap-4 border-t border-hairline pt-4">
          <p className="text-[1.3rem] leading-snug font-semibold">
            It skipped in {count} of 100 futures. The app says: {sayChance(futures.p)}.
          </p>
          <Rides skipped={futures.skipped} />
          <p>
            Your choice costs {costOf(said)} on average; the app’s,{' '}
            {appSkips ? 'new cogs' : 'the chain alone'}, {costOf(appSkips)}.{' '}
            {!said && count > 0 && `And ${sayCount(count, 'rider')} in 100 found out by a slip.`}
          </p>
          <p className="text-steel">
            Teeth follow a long chain slowly. What counts is how far they are ahead of the next chain: a used
            chain may still run where a new one skips.
          </p>
          <CautionNote>
            A slip throws a knee into the bar. Never find out by standing on the pedals.
          </CautionNote>
          <div className="flex flex-wrap gap-3">
            <Button look="next" onClick={onNext}>
              Another one
            </Button>
            <Button onClick={onLeave}>Enough for now</Button>
          </div>
        </div>
      )}
    </section>
  )
}
