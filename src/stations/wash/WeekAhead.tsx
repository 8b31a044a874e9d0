import { useEffect, useRef, useState } from 'react'
import type { BikeReport } from '../../core/strategy/facts/bike-report.ts'
import { livesOf } from '../../core/strategy/facts/own-lives.ts'
import {
  weekAdvice,
  weekWeather,
  type WeekAdvice,
  type WeekWeather,
} from '../../core/strategy/facts/week-ahead.ts'
import { ServiceError } from '../../services/patient-fetch.ts'
import { weatherAt } from '../../services/weather.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { LUBE_NAMES } from '../../words/names.ts'
import { words } from '../../words/stations/wash/week-ahead.ts'

const DAY_MS = 86_400_000
/** Today and the six days after it. */
const DAYS_AFTER = 6

function sayAdvice(advice: WeekAdvice | undefined, report: BikeReport): string {
  const lube = report.chain?.lube
  const name = lube ? LUBE_NAMES[lube.lube] : words.lube
  switch (advice) {
    case 'wet-lube-now':
      return words.rainWashesDryLube
    case 'lube-now':
      return words.theDoesNotLast(name)
    case 'lasts':
      return words.theLastsThroughItDry(name)
    case 'dry':
      return words.nothingToDoForIt
    case undefined:
      return ''
  }
}

interface Props {
  readonly report: BikeReport
  readonly week: WeekWeather | undefined
  readonly onWeek: (week: WeekWeather) => void
}

/** The week's weather where this bike was last ridden, when it is asked for: rain ahead changes what goes on the chain. */
export function WeekAhead({ report, week, onWeek }: Props) {
  const { garage, now } = useOpenLog()
  const [said, setSaid] = useState<string>()
  const asking = useRef<AbortController>(undefined)
  useEffect(() => () => asking.current?.abort(), [])
  const place = report.bike.rides.findLast((ride) => ride.place)?.place
  if (!place || report.bike.entry.usualCondition === 'indoor') return null
  const ask = async (): Promise<void> => {
    const control = new AbortController()
    asking.current = control
    setSaid(words.askingTheWeatherService)
    try {
      const to = new Date(Date.parse(now) + DAYS_AFTER * DAY_MS).toISOString()
      onWeek(weekWeather(await weatherAt(place, now, to, { signal: control.signal })))
      setSaid(undefined)
    } catch (error) {
      if (control.signal.aborted) return
      setSaid(error instanceof ServiceError ? error.message : words.theWeatherServiceDid)
    }
  }
  return (
    <p role="status" className="flex flex-wrap items-center gap-x-4 text-[0.95rem]">
      {week && (
        <span>
          {words.rainOnOfTheNext(
            week.wetDays,
            week.days,
            sayAdvice(weekAdvice(report, week, livesOf(garage)), report),
          )}
        </span>
      )}
      {said && <span className="text-steel">{said}</span>}
      {!week && (
        <Button look="link" className="min-h-11" onClick={() => void ask()}>
          {words.askForThisWeeks}
        </Button>
      )}
    </p>
  )
}
