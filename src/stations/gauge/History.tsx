import { useMemo, useState } from 'react'
import { chainStory, kmAtWear } from '../../core/exposure/chain-story.ts'
import type { BikeReport, ChainReport } from '../../core/strategy/facts/bike-report.ts'
import type { WearAnswer } from '../../core/wear/outlook.ts'
import { likelySlips } from '../../core/strategy/facts/likely-slips.ts'
import { useAnswers } from '../../session/use-forecasts.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { HistoryChart, type ChainPegs, type LikelyWay } from '../../ui/charts/HistoryChart.tsx'
import { pegsOf } from '../../ui/charts/pegs.ts'
import { plannedAlong } from '../../ui/charts/planned.ts'
import { Choice } from '../../ui/parts/fields.tsx'
import { Section } from '../../ui/parts/Section.tsx'
import { words } from '../../words/stations/gauge/history.ts'

type Axis = 'km' | 'wear-km'

interface Props {
  readonly report: BikeReport
  readonly chain: ChainReport
  /** Absent while it is being worked out. */
  readonly answer: WearAnswer | undefined
}

/** All readings of this chain against its distance, and those of the bike's other chains laid over them from zero. */
export function History({ report, chain, answer }: Props) {
  const { garage } = useOpenLog()
  const [axis, setAxis] = useState<Axis>('km')
  const [compared, setCompared] = useState<ReadonlySet<string>>(new Set())
  const { bike } = report.bike.entry
  const current = chain.part.entry.part
  const others = useMemo(
    () =>
      [...garage.parts.values()].filter(
        (part) =>
          part.entry.spec.type === 'chain' &&
          part.entry.part !== current &&
          (garage.readings.get(part.entry.part)?.length ?? 0) > 0 &&
          part.fittings.some((fitting) => fitting.bike === bike),
      ),
    [garage, current, bike],
  )
  const shown = useMemo(
    () => [chain.part, ...others.filter((part) => compared.has(part.entry.part))],
    [chain, others, compared],
  )
  const answers = useAnswers(useMemo(() => shown.map((part) => part.entry.part), [shown]))
  const chains = useMemo((): ChainPegs[] => {
    return shown.map((part, i) => {
      const story = part.entry.part === current ? chain.story : chainStory(garage, part.entry.part)
      const readings = garage.readings.get(part.entry.part) ?? []
      return {
        name: part.entry.name,
        current: part.entry.part === current,
        pegs: pegsOf(
          readings,
          chain.biases,
          (at) => (axis === 'km' ? story.at(at).km : story.at(at).wearKm),
          likelySlips(readings, answers[i]),
        ),
      }
    })
  }, [chain, shown, answers, garage, current, axis])
  const way = useMemo((): LikelyWay | undefined => {
    // Against wear-distance what lies ahead would have no scale of its own.
    if (!answer || axis === 'wear-km' || chain.lastReadingAt === undefined) return undefined
    const today = chain.story.km
    return {
      today,
      here: answer.wayHere.map((point) => ({ ...point, x: kmAtWear(chain.story, point.x) })),
      ahead: answer.fan.map((point) => ({ ...point, x: today + point.x })),
      events: plannedAlong(report.bike.events, answer, today),
    }
  }, [answer, axis, chain, report.bike.events])
  const toggle = (part: string) => {
    const next = new Set(compared)
    if (!next.delete(part)) next.add(part)
    setCompared(next)
  }
  const isAnyStruck = chains.some(({ pegs }) => pegs.some(({ slip }) => slip !== undefined))
  if (chain.readings.length === 0 && others.length === 0) return null
  return (
    <Section title={words.everyReadingSoFar} note={words.eachWithIts90}>
      <HistoryChart chains={chains} limit={report.limit} axis={axis} way={way} />
      <div className="mt-3 flex flex-wrap items-center gap-x-6 gap-y-2">
        <Choice<Axis>
          legend={words.against}
          hideLegend
          value={axis}
          onPick={setAxis}
          options={[
            { value: 'km', label: words.distance },
            { value: 'wear-km', label: words.wearDistance },
          ]}
        />
        {others.map((part) => (
          <label key={part.entry.part} className="flex min-h-11 items-center gap-2 text-[0.95rem]">
            <input
              type="checkbox"
              className="size-5 accent-petrol"
              checked={compared.has(part.entry.part)}
              onChange={() => toggle(part.entry.part)}
            />
            {words.compareWith(part.entry.name)}
          </label>
        ))}
      </div>
      <p className="mt-1 text-sm text-steel">
        {chains.length > 1 &&
          words.inThisOrder(
            chains
              .map(({ name }, i) => `${name} ${[words.rings, words.squares, words.diamonds][i % 3]}`)
              .join(', '),
          )}
        {words.aFaintBarIsAYes}
        {isAnyStruck && words.aMarkStruckThrough}
      </p>
    </Section>
  )
}
