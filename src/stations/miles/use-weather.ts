import { useRef, useState } from 'react'
import type { Condition } from '../../core/exposure/conditions.ts'
import type { BikeEntry } from '../../core/log/kinds/bike.ts'
import type { Ride } from '../../core/log/garage.ts'
import { ServiceError } from '../../services/patient-fetch.ts'
import { sayCount } from '../../words/numbers.ts'
import { suggestFromWeather } from './weather-suggestions.ts'

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
    setSaid('Asking the weather service…')
    try {
      const told = await suggestFromWeather(notSet, bike, {
        signal: running.signal,
        onWait: (_ms, why) => setSaid(`${why} Trying again…`),
        onProgress: (done, of) => setSaid(`Asking the weather service: ${done} of ${of} days…`),
      })
      const without = notSet.length - told.size
      setFound(told)
      setSaid(
        `The weather service knows ${sayCount(told.size, 'ride')}${without > 0 ? `; ${without} have no place to ask about` : ''}. Check them, or agree with all.`,
      )
    } catch (error) {
      const why = error instanceof ServiceError ? error.message : 'The weather service did not answer.'
      setSaid(
        running.signal.aborted
          ? 'Stopped. Nothing was changed.'
          : `${why} Sort them by hand, or ask again later.`,
      )
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
