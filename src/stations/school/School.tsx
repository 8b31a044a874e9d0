import { useState } from 'react'
import { useSearchParams } from 'react-router'
import { eyeIn, readerIn, schoolUse } from '../../core/strategy/facts/school-facts.ts'
import { LEAST_LESSONS } from '../../core/school/rider-skill.ts'
import type { OwnError } from '../../core/school/own-error.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { Answer } from '../../ui/parts/Answer.tsx'
import { Button } from '../../ui/parts/Button.tsx'
import { Section } from '../../ui/parts/Section.tsx'
import { useInTurn } from '../../ui/use-in-turn.ts'
import { sayCount, sayDay } from '../../words/numbers.ts'
import { sayOwnError, skillTalk, skillName } from '../../words/school-words.ts'
import { ErrorDrawing } from './ErrorDrawing.tsx'
import { GaugeLesson } from './GaugeLesson.tsx'
import type { LessonProps } from './lesson-props.ts'
import { instrumentOf, SKILLS, skillsOf, type Skill, type SkillDue } from './schedule.ts'
import { SkipLesson } from './SkipLesson.tsx'
import { SwapLesson } from './SwapLesson.tsx'
import { TeethLesson } from './TeethLesson.tsx'
import { words } from '../../words/stations/school/school.ts'

const newSeed = (): number => crypto.getRandomValues(new Uint32Array(1))[0] ?? 1

function OneLesson({ skill, onLeave }: { readonly skill: Skill; readonly onLeave: () => void }) {
  const [seed, setSeed] = useState(newSeed)
  const props: LessonProps = { seed, onNext: () => setSeed(newSeed()), onLeave }
  const instrument = instrumentOf(skill)
  if (instrument) return <GaugeLesson key={seed} instrument={instrument} {...props} />
  if (skill === 'teeth') return <TeethLesson key={seed} {...props} />
  return skill === 'skip' ? <SkipLesson key={seed} {...props} /> : <SwapLesson key={seed} {...props} />
}

const errorOf = (garage: Parameters<typeof eyeIn>[0], skill: Skill): OwnError | undefined => {
  const instrument = instrumentOf(skill)
  return instrument ? readerIn(garage, instrument) : skill === 'teeth' ? eyeIn(garage) : undefined
}

/** What the lessons measured of the rider, and whether it is used. */
function OwnErrors({ skills }: { readonly skills: readonly SkillDue[] }) {
  const { garage, record, now } = useOpenLog()
  const use = schoolUse(garage)
  const change = useInTurn(async (next: Partial<typeof use>) => {
    const whole = { ...use, ...next }
    await record(
      [{ kind: 'school-use', at: now, ...whole }],
      whole.readings || whole.looks ? words.yourLessonsAreUsed : words.yourLessonsAreNot,
    )
  })
  const measured = skills.flatMap(({ skill, lessons }) => {
    const error = lessons > 0 ? errorOf(garage, skill) : undefined
    return error ? [{ skill, error }] : []
  })
  const tick = (label: string, checked: boolean, set: (value: boolean) => void) => (
    <label className="flex min-h-11 items-center gap-3">
      <input
        type="checkbox"
        className="size-6 accent-petrol"
        checked={checked}
        onChange={({ target }) => set(target.checked)}
      />
      {label}
    </label>
  )
  return (
    <Section title={words.howYouRead} note={words.measuredOnMadeUp}>
      {measured.length === 0 ? (
        <p className="text-steel">{words.nothingYetEachLesson}</p>
      ) : (
        <ul aria-label={words.howYouRead} className="border-b border-hairline">
          {measured.map(({ skill, error }) => (
            <li
              key={skill}
              className="grid grid-cols-[minmax(0,1fr)_minmax(10rem,18rem)] items-center gap-x-6 border-t border-hairline py-2 max-sm:grid-cols-1"
            >
              <span>
                <strong className="font-semibold">{skillName(skill)}</strong>
                <span className="block text-sm text-steel">
                  {sayOwnError(error, skill === 'teeth')}
                  {error.lessons < LEAST_LESSONS && words.usedFromLessonsOn(LEAST_LESSONS)}
                </span>
              </span>
              <ErrorDrawing error={error} />
            </li>
          ))}
        </ul>
      )}
      <div className="mt-3">
        {tick(words.useItForMy, use.readings, (readings) => change({ readings }))}
        {tick(words.useItForMyLooks, use.looks, (looks) => change({ looks }))}
      </div>
    </Section>
  )
}

/** A skill within a sentence. */
const within = (skill: Skill): string => skillName(skill).toLowerCase().replace('?', '')

function sayFirst(skills: readonly SkillDue[], now: string): { answer: string; detail: string } {
  const [first] = skills
  if (!first) return { answer: words.nothingToPractise, detail: '' }
  const due = skills.filter(({ isDue }) => isDue)
  if (skills.every(({ lessons }) => lessons === 0))
    return {
      answer: words.practiseFirst(within(first.skill)),
      detail: words.aLessonTakesAMinute,
    }
  if (due.length > 0)
    return {
      answer: words.practiseToday(within(first.skill)),
      detail: words.toPractiseALesson(sayCount(due.length, 'thing')),
    }
  const fresh = skills.find(({ lessons }) => lessons === 0)
  if (fresh)
    return {
      answer: words.notPractisedYet(within(fresh.skill)),
      detail: skillTalk(fresh.skill),
    }
  return {
    answer: words.nothingToPractiseToday,
    detail: first.due ? words.next(within(first.skill), sayDay(first.due, now)) : '',
  }
}

/** School: reading gauges and teeth, and judging, on made-up chains whose truth is known; what it measures can be used. */
export default function School() {
  const { garage, now } = useOpenLog()
  const [params, setParams] = useSearchParams()
  const skills = skillsOf(garage, now)
  const skill = SKILLS.find((one) => one === params.get('lesson'))
  const open = (next: Skill | undefined): void => {
    setParams(next ? { lesson: next } : {})
  }
  if (skill) return <OneLesson key={skill} skill={skill} onLeave={() => open(undefined)} />
  const { answer, detail } = sayFirst(skills, now)
  const first = skills.find(({ isDue }) => isDue) ?? skills.find(({ lessons }) => lessons === 0) ?? skills[0]
  return (
    <div className="flex flex-col gap-8">
      <Answer
        detail={detail}
        action={
          first && (
            <Button look="next" onClick={() => open(first.skill)}>
              {words.startALesson}
            </Button>
          )
        }
      >
        {answer}
      </Answer>
      <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,1.1fr)] gap-x-14 gap-y-8 max-lg:grid-cols-1">
        <Section title={words.lessons} note={words.shortAndSpacedOut}>
          <ul aria-label={words.lessons} className="border-b border-hairline">
            {skills.map(({ skill: one, lessons, due, isDue }) => (
              <li
                key={one}
                className="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-4 border-t border-hairline py-2"
              >
                <span>
                  <strong className="font-semibold">{skillName(one)}</strong>
                  {isDue && <span className="ml-2 font-semibold">{words.today}</span>}
                  <span className="block text-sm text-steel">
                    {lessons === 0
                      ? skillTalk(one)
                      : `${sayCount(lessons, 'lesson')}${due && !isDue ? words.next2(sayDay(due, now)) : ''}.`}
                  </span>
                </span>
                <Button onClick={() => open(one)}>
                  {words.practise}
                  <span className="sr-only"> {skillName(one)}</span>
                </Button>
              </li>
            ))}
          </ul>
        </Section>
        <OwnErrors skills={skills} />
      </div>
    </div>
  )
}
