import { useBikeReport, useOpenLog } from '../../store/log-context.ts'
import { buttonLook } from '../../ui/parts/Button.tsx'
import { Answer } from '../../ui/parts/Answer.tsx'
import { NoBike } from '../../ui/parts/NoBike.tsx'
import { NoChain } from '../../ui/parts/NoChain.tsx'
import { Section } from '../../ui/parts/Section.tsx'
import { useUnits } from '../../ui/screen-state.ts'
import { useBikeId } from '../../ui/use-bike-id.ts'
import { sayNextLook, verdictGrounds, verdictOf, verdictSentence } from '../../ui/words/verdict.tsx'
import { useForecast } from '../../workers/use-forecasts.ts'
import { Evidence } from './Evidence.tsx'
import { LimitChoice } from './LimitChoice.tsx'
import { ReadingList } from './ReadingList.tsx'
import { TakeReading } from './TakeReading.tsx'

/** Gauge: how far the chain has lengthened, how sure that is, and when to look again. */
export default function Gauge() {
  const { garage, now } = useOpenLog()
  const units = useUnits()
  const report = useBikeReport(useBikeId(garage))
  const { answer, fault } = useForecast(report?.chain?.question)
  if (!report)
    return (
      <NoBike what="Add one, and then measure its chain here: with a rule, a drop-in gauge or a caliper." />
    )
  const { chain } = report
  if (!chain) return <NoChain bike={report.bike.entry.name} />
  const measured = chain.lastReadingAt !== undefined
  return (
    <div className="flex flex-col gap-8">
      <Answer
        word={verdictOf(report, answer)}
        detail={
          fault ?? (
            <>
              {verdictGrounds(report, chain, answer)} {measured && answer && sayNextLook(answer, units, now)}
            </>
          )
        }
        action={
          <a href="#take" className={buttonLook('next')}>
            Take a reading
          </a>
        }
      >
        {verdictSentence(report, answer, units)}
      </Answer>
      <Evidence report={report} chain={chain} answer={measured ? answer : undefined} />
      <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] gap-x-14 gap-y-8 border-t border-hairline pt-6 max-lg:grid-cols-1">
        <ReadingList chain={chain} />
        <div className="flex flex-col gap-8 max-lg:order-first">
          <TakeReading key={chain.part.entry.part} report={report} chain={chain} />
        </div>
      </div>
      <Section title="The limit" className="border-t border-hairline pt-6">
        <LimitChoice report={report} />
      </Section>
    </div>
  )
}
