import { useState } from 'react'
import type { GaugeAnswer } from '../../core/log/kinds/lesson.ts'
import type { Reading } from '../../core/measure/reading.ts'
import { evidenceOf } from '../../core/measure/likelihood.ts'
import {
  madeUpChain,
  rightAt,
  slipsOf,
  type LessonInstrument,
  type PutOn,
} from '../../core/school/gauge-lesson.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { Choice } from '../../ui/parts/fields.tsx'
import { useInTurn } from '../../ui/use-in-turn.ts'
import { INSTRUMENT_NAMES, SHORT_INSTRUMENT } from '../../words/names.ts'
import { sayLimit } from '../../words/numbers.ts'
import { GaugeBench } from './GaugeBench.tsx'
import { GaugeTruth } from './GaugeTruth.tsx'
import { ReadIt } from './ReadIt.tsx'
import type { LessonProps } from './lesson-props.ts'
import { words } from '../../words/stations/school/gauge-lesson.ts'

/** The lesson's answer, from what was read. */
function answerOf(reading: Reading, put: PutOn, setup: ReturnType<typeof madeUpChain>): GaugeAnswer {
  const held = {
    about: 'gauge',
    instrument: setup.instrument,
    truth: setup.e,
    right: rightAt(setup, put.from),
    slips: slipsOf(setup, put),
  } as const
  if (reading.instrument === 'two-contact-limit' || reading.instrument === 'three-contact-limit')
    return { ...held, limit: reading.limit, result: reading.result }
  const evidence = evidenceOf(reading)
  return evidence.form === 'value' ? { ...held, read: Math.min(6, Math.max(-3, evidence.value)) } : held
}

const YES_NO = (yes: string, no: string) => [
  { value: 'yes' as const, label: yes },
  { value: 'no' as const, label: no },
]

interface Props extends LessonProps {
  readonly instrument: LessonInstrument
}

/** A made-up chain, its elongation hidden: put the instrument on it, read it, and be told the truth. */
export function GaugeLesson({ instrument, seed, onNext, onLeave }: Props) {
  const { record } = useOpenLog()
  const [setup] = useState(() => madeUpChain(instrument, seed))
  const [put, setPut] = useState<PutOn>(() => ({
    isTight: false,
    // It begins over the joining link or near it, as it may lie on a stand.
    from: -3,
    side: setup.side === 0.5 ? 0.75 : 0.5,
    isPushed: false,
    besideMm: ((seed % 7) - 3) * 0.35,
  }))
  const [done, setDone] = useState<{ readonly answer: GaugeAnswer; readonly reading: Reading }>()
  const change = (next: Partial<PutOn>): void => setPut({ ...put, ...next })
  const isLimit = instrument.endsWith('-limit')
  const isGauge = isLimit || instrument.endsWith('-scale')
  const save = useInTurn(async (reading: Reading) => {
    if (done) return
    const answer = answerOf(reading, put, setup)
    setDone({ answer, reading })
    await record([{ kind: 'lesson', at: new Date().toISOString(), answer }])
  })
  return (
    <section aria-labelledby="answer" className="flex flex-col gap-5">
      <h1 id="answer" className="text-[1.95rem] leading-tight font-medium max-sm:text-[1.4rem]">
        {isLimit
          ? words.doesTheSideOfTheGo(sayLimit(setup.side), SHORT_INSTRUMENT[instrument])
          : words.howLongIsThisChain(SHORT_INSTRUMENT[instrument])}
      </h1>
      <p className="max-w-[46rem] text-steel">{words.putItOnAs}</p>
      <GaugeBench setup={setup} put={put} onMove={(links) => !done && change({ from: put.from + links })} />
      <fieldset disabled={done !== undefined} className="flex flex-wrap gap-x-8 gap-y-4">
        <legend className="sr-only">{words.howItIsPut}</legend>
        <span className="flex flex-wrap gap-2 self-end">
          <Button onClick={() => change({ from: put.from - 1 })}>{words.oneLinkBack}</Button>
          <Button onClick={() => change({ from: put.from + 1 })}>{words.oneLinkOn}</Button>
          <Button onClick={() => change({ from: put.from + 10 })}>{words.tenLinksOn}</Button>
        </span>
        <Choice<'yes' | 'no'>
          legend={words.theChain}
          value={put.isTight ? 'yes' : 'no'}
          onPick={(value) => change({ isTight: value === 'yes' })}
          options={YES_NO(words.bigRingBigCog, words.smallCogHanging)}
        />
        {isLimit && (
          <Choice<'0.5' | '0.75'>
            legend={words.sideTowardsTheChain}
            value={put.side === 0.5 ? '0.5' : '0.75'}
            onPick={(value) => change({ side: Number(value) })}
            options={[
              { value: '0.5', label: '0.5 %' },
              { value: '0.75', label: '0.75 %' },
            ]}
          />
        )}
        {isGauge && (
          <Choice<'yes' | 'no'>
            legend={words.howFarIn}
            value={put.isPushed ? 'yes' : 'no'}
            onPick={(value) => change({ isPushed: value === 'yes' })}
            options={YES_NO(words.pushedWithTheThumb, words.byItsOwnWeight).reverse()}
          />
        )}
      </fieldset>
      {done ? (
        <GaugeTruth
          setup={setup}
          done={done}
          noise={INSTRUMENT_NAMES[instrument]}
          onNext={onNext}
          onLeave={onLeave}
        />
      ) : (
        <ReadIt setup={setup} put={put} onBeside={(besideMm) => change({ besideMm })} onRead={save} />
      )}
      {!done && (
        <Button look="link" className="min-h-11 self-start" onClick={onLeave}>
          {words.backToSchool}
        </Button>
      )}
    </section>
  )
}
