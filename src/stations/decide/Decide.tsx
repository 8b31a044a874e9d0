import { STATIONS } from '../../ui/places.ts'
import { Link } from 'react-router'
import { Ahead } from './Ahead.tsx'
import { PlansCompared } from './plans/PlansCompared.tsx'
import { useOpenLog } from '../../session/log-context.ts'
import { ElongationChart } from '../../ui/charts/ElongationChart.tsx'
import { Answer } from '../../ui/parts/Answer.tsx'
import { buttonLook } from '../../ui/parts/Button.tsx'
import { CautionNote } from '../../ui/parts/Empty.tsx'
import { NoBike } from '../../ui/parts/NoBike.tsx'
import { Section } from '../../ui/parts/Section.tsx'
import { useUnits } from '../../ui/screen-state.ts'
import { useBikeId } from '../../ui/use-bike-id.ts'
import { sayAction, sayCaution, sayReason } from '../../ui/words/advice.ts'
import { NEXT_STEP } from '../../ui/words/next-step.ts'
import { sayChance, sayFigure } from '../../ui/words/numbers.ts'
import { sayLimitDates, sayNextLook } from '../../ui/words/verdict.tsx'
import { useJudged } from '../../session/verdicts.ts'

/** Decide: one recommendation, its reasons in order, what it risks, and what would change it. */
export default function Decide() {
  const { garage, now } = useOpenLog()
  const units = useUnits()
  const judged = useJudged(useBikeId(garage))
  if (!judged) return <NoBike what="Add one and measure its chain. This page then says what to do." />
  const { report, answer, verdict, fresh, fault } = judged
  const { name } = report.bike.entry
  if (!verdict) return <Answer word="unsure">{fault ?? `Working out ${name}’s chain…`}</Answer>
  const next = NEXT_STEP[verdict.action]
  const measured = report.chain?.lastReadingAt !== undefined
  return (
    <div className="flex flex-col gap-8">
      <Answer
        word={verdict.word}
        detail={
          answer && measured
            ? `${fresh ? '' : 'Being updated with what was added. '}The chain is at ${sayFigure(answer.now.mean)} %, probably ${sayFigure(answer.now.p05)} to ${sayFigure(answer.now.p95)}. ${
                verdict.confidence === undefined
                  ? sayNextLook(verdict, units, now)
                  : `Confidence: ${sayChance(verdict.confidence)}.`
              }`
            : undefined
        }
        action={
          <Link to={next.path} className={buttonLook('next')}>
            {next.label}
          </Link>
        }
      >
        {name}: <strong className="font-bold">{sayAction(verdict, units)}</strong>
      </Answer>
      {verdict.cautions.length > 0 && (
        <div className="flex flex-col gap-3">
          {verdict.cautions.map((caution) => (
            <CautionNote key={caution}>{sayCaution(caution)}</CautionNote>
          ))}
        </div>
      )}
      <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,1.25fr)] gap-x-14 gap-y-8 border-t border-hairline pt-6 max-lg:grid-cols-1">
        <Section title="Why">
          <ol className="flex flex-col">
            {verdict.reasons.map((reason, i) => (
              <li
                key={i}
                className="grid grid-cols-[2rem_1fr] border-b border-hairline py-2.5 leading-snug first:border-t"
              >
                <span className="font-mono text-sm text-steel">{i + 1}</span>
                {sayReason(reason, units, garage.tools)}
              </li>
            ))}
          </ol>
          <p className="mt-4 text-[0.95rem] text-steel">
            What would change this: {measured ? 'a reading with a second instrument' : 'a first reading'}, or
            another{' '}
            <Link to={STATIONS.gauge.path} className="underline underline-offset-4">
              limit
            </Link>
            . The maker’s limits and instructions come before anything said here.
          </p>
        </Section>
        {answer && report.chain && measured && (
          <Section title="The way so far, and ahead" note={sayLimitDates(answer, now)}>
            <ElongationChart
              chain={report.chain}
              answer={answer}
              limit={report.limit}
              events={report.bike.events}
            />
          </Section>
        )}
      </div>
      {answer && report.chain && measured && <Ahead report={report} answer={answer} />}
      <PlansCompared key={report.bike.entry.bike} judged={judged} />
    </div>
  )
}
