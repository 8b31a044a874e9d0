import { useRef, useState } from 'react'
import type { Condition } from '../../core/exposure/conditions.ts'
import type { BikeEntry } from '../../core/log/kinds/bike.ts'
import type { Ride } from '../../core/log/garage.ts'
import { ServiceError } from '../../services/patient-fetch.ts'
import { sayCount } from '../../words/numbers.ts'
import { suggestFromWeather } from './weather-suggestions.ts'
import { words } from '../../words/stations/miles/use-weather.ts'

export interface Weather {
  readonly found: ReadonlyMap<string, Condition>
  /** What there is to say: how far the asking is, what it brought, why it failed. */
  readonly said: string | undefined
  readonly asking: boolean
  readonly ask: () => Promise<void>
  readonly stop: () => void
  readonly forget: () => void
}

const NOTHING: ReadonlyMap<string, Condition> = new Map()

/** Asks the weather service what rides were probably ridden in. Nothing is written by it. */
export function useWeather(notSet: readonly Ride[], bike: BikeEntry): Weather {
  const [found, setFound] = useState(NOTHING)
  const [said, setSaid] = useState<string>()
  const [asking, setAsking] = useState(false)
  const control = useRef<AbortController>(undefined)
  const ask = async () => {
    const running = new AbortController()
    control.current = running
    setAsking(true)
    setSaid(words.askingTheWeatherService)
    try {
      const told = await suggestFromWeather(notSet, bike, {
        signal: running.signal,
        onWait: (_ms, why) => setSaid(words.tryingAgain(why)),
        onProgress: (done, of) => setSaid(words.askingTheWeatherServiceOf(done, of)),
      })
      const without = notSet.length - told.size
      setFound(told)
      setSaid(
        words.theWeatherServiceKnows(
          sayCount(told.size, 'ride'),
          without > 0 ? words.haveNoPlaceToAsk(without) : '',
        ),
      )
    } catch (error) {
      const why = error instanceof ServiceError ? error.message : words.theWeatherServiceDid
      setSaid(running.signal.aborted ? words.stoppedNothingWasChanged : words.sortThemByHand(why))
    } finally {
      setAsking(false)
    }
  }
  return {
    found,
    said,
    asking,
    ask,
    stop: () => control.current?.abort(),
    forget: () => {
      setFound(NOTHING)
      setSaid(undefined)
    },
  }
}
