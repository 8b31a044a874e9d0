import { useState } from 'react'
import type { WearWord } from '../../core/log/entry.ts'
import { madeUpTeeth } from '../../core/school/teeth-lesson.ts'
import { toothWord, TOOTH_WORDS } from '../../core/teeth/tooth-word.ts'
import { MM_PER_PERCENT } from '../../core/teeth/evidence.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { ToothGlyph } from '../../ui/glyphs/ToothGlyph.tsx'
import { Button } from '../../ui/parts/Button.tsx'
import { useInTurn } from '../../ui/use-in-turn.ts'
import { sayFigure } from '../../words/numbers.ts'
import type { LessonProps } from './lesson-props.ts'
import { TeethPicture } from './TeethPicture.tsx'
import { words } from '../../words/stations/school/teeth-lesson.ts'
import { WORD_NAMES, ROLE_NAMES } from '../../words/names.ts'

/** The most that a profile can be matched to, %. */
const MOST = 1.3

/** A made-up sprocket in some light: give the word, or match its profile; then the truth, and where to look. */
export function TeethLesson({ seed, onNext, onLeave }: LessonProps) {
  const { record } = useOpenLog()
  const [setup] = useState(() => madeUpTeeth(seed))
  const [match, setMatch] = useState<number>()
  const [said, setSaid] = useState<WearWord>()
  const { worn, role, teeth, aids } = setup
  const answer = useInTurn(async (word: WearWord) => {
    if (said) return
    setSaid(word)
    await record([
      { kind: 'lesson', at: new Date().toISOString(), answer: { about: 'teeth', truth: worn, word } },
    ])
  })
  const truth = toothWord(worn)
  return (
    <section aria-labelledby="answer" className="flex flex-col gap-5">
      <h1 id="answer" className="text-[1.95rem] leading-tight font-medium max-sm:text-[1.4rem]">
        {words.howWornIsThisTooth(teeth, ROLE_NAMES[role])}
      </h1>
      <p className="max-w-[46rem] text-steel">
        {words.lookAtAllOfThem(role === 'cog' ? words.theChainPullsTheCog : words.theRingPullsTheChain)}
      </p>
      <TeethPicture
        setup={setup}
        {...(match !== undefined && { matchMm: match * MM_PER_PERCENT })}
        isTold={said !== undefined}
      />
      {said ? (
        <div role="status" className="flex flex-col gap-3 border-t border-hairline pt-4">
          <p className="text-[1.3rem] font-semibold">
            {said === truth
              ? words.right(WORD_NAMES[truth])
              : words.itIsYouSaid(WORD_NAMES[truth], WORD_NAMES[said])}
          </p>
          <p className="max-w-[46rem]">
            {words.itsTeethHaveShaped(sayFigure(worn), worn > 0.5 ? words.andAtTheTips : '')}
            {aids.length > 0 && words.thePaleShortTooth}
          </p>
          <div className="flex flex-wrap gap-3">
            <Button look="next" onClick={onNext}>
              {words.anotherOne}
            </Button>
            <Button onClick={onLeave}>{words.enoughForNow}</Button>
          </div>
        </div>
      ) : (
        <>
          <div role="group" aria-label={words.yourWord} className="flex flex-wrap gap-2">
            {TOOTH_WORDS.map((word) => (
              <button
                key={word}
                type="button"
                className="flex min-h-14 items-center gap-2 rounded-[3px] border-2 border-petrol px-4 text-lg font-semibold hover:bg-petrol/10"
                onClick={() => answer(word)}
              >
                <ToothGlyph word={word} className="size-7" />
                {WORD_NAMES[word]}
              </button>
            ))}
          </div>
          <div className="max-w-[34rem]">
            <label className="grid gap-1 text-sm font-medium">
              {words.orMatchItsProfile}
              <input
                type="range"
                min={0}
                max={MOST}
                step={0.02}
                value={match ?? 0}
                onChange={({ target }) => setMatch(Number(target.value))}
                aria-valuetext={toothWord(match ?? 0)}
                className="h-10 w-full accent-petrol"
              />
            </label>
            <Button
              className="mt-2"
              disabled={match === undefined}
              onClick={() => answer(toothWord(match ?? 0))}
            >
              {words.itMatches(match === undefined ? '' : `: ${WORD_NAMES[toothWord(match)]}`)}
            </Button>
          </div>
          <Button look="link" className="min-h-11 self-start" onClick={onLeave}>
            {words.backToSchool}
          </Button>
        </>
      )}
    </section>
  )
}
