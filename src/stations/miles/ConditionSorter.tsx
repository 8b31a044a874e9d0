import { useState } from 'react'
import { useHotkeys } from 'react-hotkeys-hook'
import { CONDITIONS, usualAt, type Condition } from '../../core/exposure/conditions.ts'
import { totalKm } from '../../core/exposure/distance.ts'
import type { Ride } from '../../core/log/garage.ts'
import type { BikeReport } from '../../core/strategy/facts/bike-report.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { RoadSwatch } from '../../ui/drawings/RoadTextures.tsx'
import { Button } from '../../ui/parts/Button.tsx'
import { dayOf } from '../../words/day.ts'
import { SelectField, TextField } from '../../ui/parts/fields.tsx'
import { WorkSection } from '../../ui/parts/WorkSection.tsx'
import { useUnits } from '../../ui/screen-state.ts'
import { CONDITION_NAMES } from '../../words/names.ts'
import { sayCount, sayDay, sayKm } from '../../words/numbers.ts'
import { ridesMeant, settingConditions, ridesNotSet, type Which } from './not-set.ts'
import { useWeather, type Weather } from './use-weather.ts'
import { useInTurn } from '../../ui/use-in-turn.ts'
import { useOnce } from '../../ui/use-once.ts'
import { words } from '../../words/stations/miles/condition-sorter.ts'

const WHICH: Readonly<Record<Which, string>> = {
  one: words.thisRide,
  month: words.allOfItsMonth,
  route: words.allAlongTheSame,
  between: words.allBetweenTwoDays,
  all: words.allOfThem,
}

interface CurrentProps {
  readonly ride: Ride
  readonly suggested: Condition | undefined
  readonly usual: Condition
  readonly onStep: (by: number) => void
}

/** The ride in hand, and the way to its neighbours. */
function CurrentRide({ ride, suggested, usual, onStep }: CurrentProps) {
  const { now } = useOpenLog()
  const units = useUnits()
  return (
    <div
      className="flex items-baseline justify-between gap-4 border-y border-hairline py-2"
      aria-live="polite"
    >
      <p>
        <strong>{sayDay(ride.at, now)}</strong>, {sayKm(ride.km, units)}
        <span className="block text-sm text-steel">
          {suggested ? words.theWeatherSays : words.usualThen}: {CONDITION_NAMES[suggested ?? usual]}
          {ride.source && `; ${ride.source.file}`}
        </span>
      </p>
      <span className="flex shrink-0 gap-1">
        <Button aria-label={words.theRideBefore} onClick={() => onStep(-1)}>
          ↑
        </Button>
        <Button aria-label={words.theRideAfter} onClick={() => onStep(1)}>
          ↓
        </Button>
      </span>
    </div>
  )
}

interface ConditionKeysProps {
  readonly suggestion: Condition
  readonly onSay: (condition: Condition) => void
}

/** The seven conditions, each with its key. */
function ConditionKeys({ suggestion, onSay }: ConditionKeysProps) {
  return (
    <div role="group" aria-label={words.conditions} className="grid grid-cols-2 gap-1.5 max-sm:grid-cols-1">
      {CONDITIONS.map((condition, i) => (
        <button
          key={condition}
          type="button"
          onClick={() => onSay(condition)}
          className={`flex min-h-11 items-center gap-3 rounded-[3px] border px-3 text-left text-[0.95rem] hover:border-steel bench:min-h-14 ${condition === suggestion ? 'border-petrol bg-petrol/10 font-semibold' : 'border-hairline'}`}
        >
          <kbd className="font-mono text-sm text-steel">{i + 1}</kbd>
          <RoadSwatch condition={condition} />
          {CONDITION_NAMES[condition]}
        </button>
      ))}
    </div>
  )
}

interface ScopeProps {
  readonly which: Which
  readonly onWhich: (which: Which) => void
  readonly range: { readonly from: string; readonly to: string }
  readonly onRange: (range: { readonly from: string; readonly to: string }) => void
  readonly meant: readonly Ride[]
}

/** Which rides are meant: the one in hand, or many at once. */
function Scope({ which, onWhich, range, onRange, meant }: ScopeProps) {
  const units = useUnits()
  return (
    <>
      <div className="grid grid-cols-[1fr_auto] items-end gap-3 max-sm:grid-cols-1">
        <SelectField label={words.setItFor} options={WHICH} value={which} onPick={onWhich} />
        <p className="pb-2.5 text-sm text-steel">
          {sayCount(meant.length, 'ride')}, {sayKm(totalKm(meant), units)}
        </p>
      </div>
      {which === 'between' && (
        <div className="grid grid-cols-2 gap-3">
          <TextField
            label={words.from}
            type="date"
            value={range.from}
            onChange={(event) => onRange({ ...range, from: event.target.value })}
          />
          <TextField
            label={words.to}
            type="date"
            value={range.to}
            onChange={(event) => onRange({ ...range, to: event.target.value })}
          />
        </div>
      )}
    </>
  )
}

interface AllAtOnceProps {
  readonly weather: Weather
  readonly count: number
  readonly onWeather: () => void
  readonly onUsual: () => void
}

/** Agreeing with the weather, or with the bike's usual, for everything that is left. */
function AllAtOnce({ weather, count, onWeather, onUsual }: AllAtOnceProps) {
  return (
    <>
      <p role="status" className="text-sm text-steel empty:hidden">
        {weather.said}
      </p>
      <div className="flex flex-wrap gap-3">
        {weather.asking ? (
          <Button onClick={weather.stop}>{words.stopAsking}</Button>
        ) : weather.found.size > 0 ? (
          <Button look="firm" onClick={onWeather}>
            {words.agreeWithAll(weather.found.size)}
          </Button>
        ) : (
          <Button onClick={() => void weather.ask()}>{words.askTheWeather}</Button>
        )}
        <Button onClick={onUsual}>{words.theUsualForAll(count)}</Button>
      </div>
    </>
  )
}

/** Keys of the sorter, heard wherever in it one is, but not on its buttons and fields. */
function useSorterKeys(
  onStep: (by: number) => void,
  onAgree: () => void,
  onSay: (condition: Condition) => void,
) {
  return useHotkeys<HTMLDivElement>(['1', '2', '3', '4', '5', '6', '7', 'down', 'up', 'enter'], (event) => {
    if (event.target instanceof HTMLElement && event.target.closest('button, input, select, a')) return
    event.preventDefault()
    const { key } = event
    const condition = CONDITIONS[Number(key) - 1]
    if (key === 'ArrowDown' || key === 'ArrowUp') onStep(key === 'ArrowDown' ? 1 : -1)
    else if (key === 'Enter') onAgree()
    else if (condition) onSay(condition)
  })
}

/** A fast way through rides without a condition: one key each, or many at once. */
export function ConditionSorter({ report }: { readonly report: BikeReport }) {
  const { record, now } = useOpenLog()
  const units = useUnits()
  const bike = report.bike.entry
  const notSet = ridesNotSet(report.bike.rides)
  const [place, setPlace] = useState(0)
  const [which, setWhich] = useState<Which>('one')
  const [range, setRange] = useState({ from: dayOf(notSet[0]?.at ?? now), to: dayOf(now) })
  const weather = useWeather(notSet, bike)
  const last = notSet.length - 1
  const current = notSet[Math.min(place, last)]
  const meant = ridesMeant(notSet, current, which, range)
  const suggested = current && weather.found.get(current.id)
  const suggestion = suggested ?? usualAt(bike, current?.at ?? now)

  const say = useInTurn(async (condition: Condition) => {
    if (meant.length === 0) return
    const said = new Map(meant.map(({ id }) => [id, condition]))
    await record(
      settingConditions(said, 'rider', now),
      `${sayCount(meant.length, 'ride')}, ${sayKm(totalKm(meant), units)}: ${CONDITION_NAMES[condition]}.`,
    )
  })
  const [sayAll] = useOnce(async (said: ReadonlyMap<string, Condition>, from: 'weather' | 'usual') => {
    const done = await record(
      settingConditions(said, from, now),
      `${sayCount(said.size, 'ride')} ${from === 'weather' ? words.setFromTheWeather : words.setAsUsual}.`,
    )
    if (done) weather.forget()
  })
  const step = (by: number) => setPlace((at) => Math.max(0, Math.min(last, Math.min(at, last) + by)))
  const keys = useSorterKeys(step, () => say(suggestion), say)
  if (!current) return null
  return (
    <div ref={keys}>
      <WorkSection id="conditions" title={`${sayCount(notSet.length, 'rideNeedsConditions')}`}>
        <p className="text-sm text-steel">{words.untilYouSetThem(bike.name)}</p>
        <CurrentRide ride={current} suggested={suggested} usual={suggestion} onStep={step} />
        <Scope which={which} onWhich={setWhich} range={range} onRange={setRange} meant={meant} />
        <ConditionKeys suggestion={suggestion} onSay={say} />
        <AllAtOnce
          weather={weather}
          count={notSet.length}
          onWeather={() => sayAll(weather.found, 'weather')}
          onUsual={() => sayAll(new Map(notSet.map((ride) => [ride.id, ride.condition])), 'usual')}
        />
      </WorkSection>
    </div>
  )
}
