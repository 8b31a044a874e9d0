import { useRef, useState } from 'react'
import { useHotkeys } from 'react-hotkeys-hook'
import { CONDITIONS, usualAt, type Condition } from '../../core/exposure/conditions.ts'
import { totalKm } from '../../core/exposure/distance.ts'
import type { BikeReport } from '../../core/strategy/bike-report.ts'
import { ServiceError } from '../../services/patient-fetch.ts'
import { useOpenLog } from '../../store/log-context.ts'
import { RoadSwatch } from '../../ui/drawings/RoadTextures.tsx'
import { Button } from '../../ui/parts/Button.tsx'
import { dayOf } from '../../ui/parts/day.ts'
import { SelectField, TextField } from '../../ui/parts/fields.tsx'
import { WorkSection } from '../../ui/parts/WorkSection.tsx'
import { useUnits } from '../../ui/screen-state.ts'
import { CONDITION_NAMES } from '../../ui/words/names.ts'
import { sayCount, sayDay, sayKm } from '../../ui/words/numbers.ts'
import { ridesMeant, sayingConditions, unsaidRides, type Which } from './unsaid.ts'
import { suggestFromWeather } from './weather-suggestions.ts'

const WHICH: Readonly<Record<Which, string>> = {
  one: 'this ride',
  month: 'all of its month',
  route: 'all along the same way',
  between: 'all between two days',
  all: 'all of them',
}

interface Suggestions {
  readonly found: ReadonlyMap<string, Condition>
  readonly said: string
}

/** A fast way through rides that want a surface: one key each, or many at once. */
export function ConditionSorter({ report }: { readonly report: BikeReport }) {
  const { record, now } = useOpenLog()
  const units = useUnits()
  const bike = report.bike.entry
  const unsaid = unsaidRides(report.bike.rides)
  const [place, setPlace] = useState(0)
  const [which, setWhich] = useState<Which>('one')
  const [range, setRange] = useState({ from: dayOf(unsaid[0]?.at ?? now), to: dayOf(now) })
  const [weather, setWeather] = useState<Suggestions>()
  const [asking, setAsking] = useState<string>()
  const stop = useRef<AbortController>(undefined)
  const current = unsaid[Math.min(place, unsaid.length - 1)]
  const meant = ridesMeant(unsaid, current, which, range)
  const suggested = current && weather?.found.get(current.id)
  const usual = current && usualAt(bike, current.at)
  const suggestion = suggested ?? usual

  const say = async (rides: typeof meant, condition: Condition) => {
    if (rides.length === 0) return
    const said = new Map(rides.map(({ id }) => [id, condition]))
    await record(
      sayingConditions(said, 'told', now),
      `${sayCount(rides.length, 'ride')}, ${sayKm(totalKm(rides), units)}: ${CONDITION_NAMES[condition]}.`,
    )
  }
  const sayAll = async (said: ReadonlyMap<string, Condition>, from: 'weather' | 'usual') => {
    const done = await record(
      sayingConditions(said, from, now),
      `${sayCount(said.size, 'ride')} said by the ${from === 'weather' ? 'weather' : 'usual'}.`,
    )
    if (done) setWeather(undefined)
  }
  const ask = async () => {
    const control = new AbortController()
    stop.current = control
    setAsking('Asking the weather service…')
    try {
      const found = await suggestFromWeather(unsaid, bike, {
        signal: control.signal,
        onWait: (_ms, why) => setAsking(`${why} Trying again…`),
        onProgress: (done, of) => setAsking(`Asking the weather service: ${done} of ${of} days…`),
      })
      const without = unsaid.length - found.size
      setWeather({
        found,
        said: `The weather tells of ${sayCount(found.size, 'ride')}${without > 0 ? `; ${without} have no place to ask about` : ''}. Look them through, or agree with all.`,
      })
    } catch (error) {
      setWeather({
        found: new Map(),
        said: control.signal.aborted
          ? 'Stopped. Nothing was changed.'
          : `${error instanceof ServiceError ? error.message : 'The weather could not be asked.'} Sort them by hand, or ask again later.`,
      })
    } finally {
      setAsking(undefined)
    }
  }

  const step = (by: number) =>
    setPlace((at) => Math.max(0, Math.min(unsaid.length - 1, Math.min(at, unsaid.length - 1) + by)))
  const keys = useHotkeys<HTMLDivElement>(
    ['1', '2', '3', '4', '5', '6', '7', 'down', 'up', 'enter'],
    (event, { keys: pressed }) => {
      // A key on a button or a field is that button's or field's.
      if (event.target instanceof HTMLElement && event.target.closest('button, input, select, a')) return
      const key = pressed?.[0] ?? ''
      event.preventDefault()
      if (key === 'down') step(1)
      else if (key === 'up') step(-1)
      else if (key === 'enter') {
        if (suggestion) void say(meant, suggestion)
      } else {
        const condition = CONDITIONS[Number(key) - 1]
        if (condition) void say(meant, condition)
      }
    },
  )

  if (unsaid.length === 0 || !current || !usual) return null
  return (
    <div ref={keys}>
      <WorkSection
        id="conditions"
        title={`${sayCount(unsaid.length, 'ride wants a surface', 'rides want a surface')}`}
      >
        <p className="text-sm text-steel">
          Until somebody says, {bike.name}’s usual is assumed and the forecast is the wider for it. Keys here:
          1 to 7 say, Enter agrees, arrows go up and down.
        </p>
        <div
          className="flex items-baseline justify-between gap-4 border-y border-hairline py-2"
          aria-live="polite"
        >
          <p>
            <strong>{sayDay(current.at, now)}</strong>, {sayKm(current.km, units)}
            <span className="block text-sm text-steel">
              {suggested ? 'the weather says' : 'usual then'}: {CONDITION_NAMES[suggested ?? usual]}
              {current.source && `; ${current.source.file}`}
            </span>
          </p>
          <span className="flex shrink-0 gap-1">
            <Button aria-label="The ride before" onClick={() => step(-1)}>
              ↑
            </Button>
            <Button aria-label="The ride after" onClick={() => step(1)}>
              ↓
            </Button>
          </span>
        </div>
        <div className="grid grid-cols-[1fr_auto] items-end gap-3 max-sm:grid-cols-1">
          <SelectField label="Say it of" options={WHICH} value={which} onPick={setWhich} />
          <p className="pb-2.5 text-sm text-steel">
            {sayCount(meant.length, 'ride')}, {sayKm(totalKm(meant), units)}
          </p>
        </div>
        {which === 'between' && (
          <div className="grid grid-cols-2 gap-3">
            <TextField
              label="From"
              type="date"
              value={range.from}
              onChange={(event) => setRange({ ...range, from: event.target.value })}
            />
            <TextField
              label="To"
              type="date"
              value={range.to}
              onChange={(event) => setRange({ ...range, to: event.target.value })}
            />
          </div>
        )}
        <div role="group" aria-label="Ridden in" className="grid grid-cols-2 gap-1.5 max-sm:grid-cols-1">
          {CONDITIONS.map((condition, i) => (
            <button
              key={condition}
              type="button"
              onClick={() => void say(meant, condition)}
              className={`flex min-h-11 items-center gap-3 rounded-[3px] border px-3 text-left text-[0.95rem] hover:border-steel ${condition === suggestion ? 'border-petrol bg-petrol/10 font-semibold' : 'border-hairline'}`}
            >
              <kbd className="font-mono text-sm text-steel">{i + 1}</kbd>
              <RoadSwatch condition={condition} />
              {CONDITION_NAMES[condition]}
            </button>
          ))}
        </div>
        <p role="status" className="text-sm text-steel empty:hidden">
          {asking ?? weather?.said}
        </p>
        <div className="flex flex-wrap gap-3">
          {asking !== undefined ? (
            <Button onClick={() => stop.current?.abort()}>Stop asking</Button>
          ) : weather && weather.found.size > 0 ? (
            <Button look="firm" onClick={() => void sayAll(weather.found, 'weather')}>
              Agree with all {weather.found.size}
            </Button>
          ) : (
            <Button onClick={() => void ask()}>Ask the weather</Button>
          )}
          <Button
            onClick={() => void sayAll(new Map(unsaid.map((ride) => [ride.id, ride.condition])), 'usual')}
          >
            The usual for all {unsaid.length}
          </Button>
        </div>
      </WorkSection>
    </div>
  )
}
