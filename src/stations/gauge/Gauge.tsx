import { useSearchParams } from 'react-router'
import { useMemo, useState } from 'react'
import type { Instrument } from '../../core/measure/reading.ts'
import { disagreements, type Disagreement } from '../../core/measure/disagreement.ts'
import type { ChainReport } from '../../core/strategy/facts/bike-report.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { Answer } from '../../ui/parts/Answer.tsx'
import { Button } from '../../ui/parts/Button.tsx'
import { NoChain } from '../../ui/parts/NoChain.tsx'
import { Section } from '../../ui/parts/Section.tsx'
import { useUnits } from '../../ui/screen-state.ts'
import { useBikeId } from '../../ui/use-bike-id.ts'
import { CAUSE_WORDS, sayDisagreement, saySettle, saySettled } from '../../words/disagreement.ts'
import { SHORT_INSTRUMENT } from '../../words/names.ts'
import { sayFigure, sayPercent } from '../../words/numbers.ts'
import { sayNextLook, verdictGrounds, verdictSentence } from '../../words/verdict.tsx'
import { useAnswer } from '../../session/use-answer.ts'
import { useJudged, type JudgedBike } from '../../session/verdicts.ts'
import { Evidence } from './Evidence.tsx'
import { HowWorkedOut } from './HowWorkedOut.tsx'
import { History } from './History.tsx'
import { LimitChoice } from './LimitChoice.tsx'
import { MeasureNow } from './MeasureNow.tsx'
import { NextWorth } from './NextWorth.tsx'
import { PrintStrip } from './PrintStrip.tsx'
import { SurpriseQuestion } from './SurpriseQuestion.tsx'
import { ReadingList } from './ReadingList.tsx'
import { TakeReading } from './TakeReading.tsx'
import { Tools } from './Tools.tsx'
import { useToolNames } from './use-tool-names.ts'
import { words } from '../../words/stations/gauge/gauge.ts'

interface Wanted {
  readonly tool: string
  readonly instrument: Instrument
}

interface HeadProps {
  readonly judged: JudgedBike
  readonly chain: ChainReport
  readonly conflict: Disagreement | undefined
  readonly onTake: (wanted?: Wanted) => void
}

/** The verdict; or, where two instruments contradict one another, that first, and what would settle it. */
function Head({ judged, chain, conflict, onTake }: HeadProps) {
  const { now } = useOpenLog()
  const units = useUnits()
  const nameOf = useToolNames()
  const measured = chain.lastReadingAt !== undefined
  const { report, answer, verdict, fresh, fault } = judged
  const doubts = verdict?.reasons.some(({ kind }) => kind === 'tools-disagree')
  if (conflict && !conflict.settled && answer && doubts) {
    const { settle } = conflict
    return (
      <Answer
        word="unsure"
        detail={words.togetherTheyMakeProbably(
          CAUSE_WORDS[conflict.cause],
          sayPercent(answer.now.mean),
          sayFigure(answer.now.p05),
          sayFigure(answer.now.p95),
          saySettle(conflict),
        )}
        action={
          <Button look="next" onClick={() => onTake({ tool: settle, instrument: settle })}>
            {words.takeItWithThe(SHORT_INSTRUMENT[settle])}
          </Button>
        }
      >
        {sayDisagreement(conflict, nameOf)}
      </Answer>
    )
  }
  return (
    <Answer
      word={verdict?.word ?? 'unsure'}
      detail={
        fault ?? (
          <>
            {!fresh && measured && answer && words.beingUpdatedWithWhat}
            {conflict &&
              (conflict.settled ? saySettled(conflict, nameOf) : sayDisagreement(conflict, nameOf))}{' '}
            {verdictGrounds(report, chain, answer)}{' '}
            {measured &&
              verdict &&
              (verdict.action === 'answer-first'
                ? words.aSecondReadingSettles
                : sayNextLook(verdict, units, now))}
          </>
        )
      }
      action={
        verdict?.action === 'answer-first' ? (
          <Button look="next" onClick={() => goTo('odd')}>
            {words.answerIt}
          </Button>
        ) : (
          <Button look="next" onClick={() => onTake()}>
            {words.takeAReading}
          </Button>
        )
      }
    >
      {verdictSentence(report, answer, verdict, units)}
    </Answer>
  )
}

/** Brings a stretch of the station into sight, and the reader's place with it. */
function goTo(id: 'take' | 'odd'): void {
  const stretch = document.getElementById(id)
  stretch?.scrollIntoView({ block: 'start' })
  stretch?.focus({ preventScroll: true })
}

/** Gauge: how far the chain has lengthened, how sure that is, and when to look again. */
export default function Gauge() {
  const { garage } = useOpenLog()
  const judged = useJudged(useBikeId(garage))
  const report = judged?.report
  const [search] = useSearchParams()
  const beside = search.has('now')
  const { answer: worth, fresh: isWorthNow } = useAnswer(
    'next-look',
    report?.chain?.nextLook,
    report?.chain?.part.entry.part ?? '',
  )
  const [wanted, setWanted] = useState<Wanted>()
  const chain = report?.chain
  const links = chain?.part.entry.spec.type === 'chain' ? chain.part.entry.spec.links : 114
  const look = chain?.look
  const [conflict] = useMemo(() => (look ? disagreements(look, links) : []), [look, links])
  if (!judged || !report || beside) return <MeasureNow />
  if (!chain) return <NoChain bike={report.bike.entry.name} />
  const take = (next?: Wanted) => {
    if (next) setWanted({ ...next })
    goTo('take')
  }
  const { answer, fresh } = judged
  const measured = chain.lastReadingAt !== undefined
  return (
    <div className="flex flex-col gap-8">
      <Head judged={judged} chain={chain} conflict={conflict} onTake={take} />
      {answer?.surprise && fresh && (
        <SurpriseQuestion chain={chain} surprise={answer.surprise} limit={report.limit.percent} />
      )}
      <Evidence report={report} chain={chain} answer={measured ? answer : undefined} />
      <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] gap-x-14 gap-y-8 border-t border-hairline pt-6 max-lg:grid-cols-1 bench:grid-cols-1">
        <div className="flex flex-col gap-8">
          <ReadingList chain={chain} {...(answer && fresh && { answer })} />
          {worth && isWorthNow && <NextWorth answer={worth} onPick={take} />}
          <History report={report} chain={chain} answer={answer} />
        </div>
        <div className="max-lg:order-first bench:order-first">
          <TakeReading key={chain.part.entry.part} report={report} chain={chain} wanted={wanted} />
        </div>
      </div>
      {answer && <HowWorkedOut chain={chain.part.entry.part} />}
      <Section title={words.theLimit} className="border-t border-hairline pt-6">
        <LimitChoice report={report} />
      </Section>
      <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] gap-x-14 gap-y-8 border-t border-hairline pt-6 max-lg:grid-cols-1">
        <Tools />
        <PrintStrip />
      </div>
    </div>
  )
}
