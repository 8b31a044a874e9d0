import { useMemo } from 'react'
import { nextReadingOf } from '../../core/strategy/what-next/what-next-ask.ts'
import { readingTurns } from '../../core/strategy/what-next/reading-turns.ts'
import { tourTurns } from '../../core/strategy/what-next/road-turns.ts'
import { teethTurns } from '../../core/strategy/what-next/teeth-turns.ts'
import { useAnswer } from '../../session/use-answer.ts'
import { useDrawsOf } from '../../session/use-forecasts.ts'
import type { JudgedBike } from '../../session/verdicts.ts'

/** What would change the verdict on a bike: readings, looks at teeth and tours, each found by trying it. */
export function useTurns({ report, answer, teeth, verdict }: JudgedBike) {
  const draws = useDrawsOf(report.chain?.part.entry.part)
  const reading = useMemo(
    () => (answer && draws ? nextReadingOf(report, answer, draws) : undefined),
    [report, answer, draws],
  )
  const tried = useAnswer('what-next', reading?.ask, `next reading of ${report.bike.entry.bike}`)
  const readings = useMemo(
    () =>
      answer && reading && tried.answer && tried.fresh
        ? readingTurns(report, answer, teeth, reading, tried.answer)
        : undefined,
    [report, answer, teeth, reading, tried.answer, tried.fresh],
  )
  const looks = useMemo(
    () => (answer && teeth && verdict ? teethTurns(report, answer, teeth, verdict) : []),
    [report, answer, teeth, verdict],
  )
  const tour = useMemo(() => answer && tourTurns(answer), [answer])
  return { reading, readings, looks, tour, fault: tried.fault }
}
