import { useState } from 'react'
import { cadenceOf } from '../../core/gearing/bench.ts'
import { kmToMiles, milesToKm } from '../../core/units/convert.ts'
import { Stepper } from '../../ui/parts/Stepper.tsx'
import { useUnits } from '../../ui/screen-state.ts'
import { sayDevelopment, sayRpm, saySpeed } from '../../words/gearing-words.ts'
import type { GearingInHand, OnBench } from './use-gearing.ts'
import { words } from '../../words/stations/gearing/gear-table.ts'
import { sayDecimal } from '../../words/grouped-number.ts'

interface Props {
  readonly one: OnBench
  readonly gearing: GearingInHand
}

/** Every gear of a set-up: ratio, development, step, speed at the cadence, cadence at a speed, how much of the energy goes through it. */
export function GearTable({ one, gearing }: Props) {
  const units = useUnits()
  const isMetric = units === 'metric'
  const [speedKmh, setSpeed] = useState(25)
  const { rider, used } = gearing
  const shares = one.shifted?.gears ?? (one.isOwn ? used : [])
  const shareOf = (ring: number, cog: number): number =>
    shares.find((gear) => gear.ring === ring && gear.cog === cog)?.share ?? 0
  return (
    <div>
      <div className="mb-2 max-w-56">
        <Stepper
          label={isMetric ? words.cadenceAtASpeed : words.cadenceAtASpeedMph}
          value={isMetric ? speedKmh : Number(kmToMiles(speedKmh).toFixed(1))}
          step={1}
          min={3}
          max={isMetric ? 80 : 50}
          digits={0}
          onStep={(value) => Number.isFinite(value) && setSpeed(isMetric ? value : milesToKm(value))}
        />
      </div>
      <div className="overflow-x-auto" role="region" aria-label={words.everyGear} tabIndex={0}>
        <table className="w-full min-w-[34rem] border-collapse text-[0.95rem] tabular-nums">
          <thead>
            <tr className="border-b border-hairline text-right text-sm text-steel">
              <th scope="col" className="py-1 text-left font-normal">
                {words.gear}
              </th>
              <th scope="col" className="font-normal">
                {words.ratio}
              </th>
              <th scope="col" className="font-normal">
                {words.perTurn}
              </th>
              <th scope="col" className="font-normal">
                {words.toTheNext}
              </th>
              <th scope="col" className="font-normal">
                {words.at(sayRpm(rider.cadenceRpm))}
              </th>
              <th scope="col" className="font-normal">
                {words.at2(saySpeed(speedKmh, units))}
              </th>
              <th scope="col" className="font-normal">
                {words.yourWork}
              </th>
              <th scope="col" className="pl-3 text-left font-normal">
                {words.note}
              </th>
            </tr>
          </thead>
          <tbody>
            {one.bench.gears.map((gear) => (
              <tr key={`${gear.ring}x${gear.cog}`} className="border-b border-hairline/70 text-right">
                <th scope="row" className="py-1 text-left font-mono font-normal">
                  {gear.ring} × {gear.cog}
                </th>
                <td>{sayDecimal(gear.ratio, 2)}</td>
                <td>{sayDevelopment(gear.developmentM, units)}</td>
                <td>{gear.stepPercent === undefined ? '' : `${Math.round(gear.stepPercent)}\u00a0%`}</td>
                <td>{saySpeed(gear.speedKmh, units)}</td>
                <td>{sayRpm(cadenceOf(speedKmh, gear.developmentM))}</td>
                <td>{shares.length > 0 ? `${Math.round(100 * shareOf(gear.ring, gear.cog))}\u00a0%` : ''}</td>
                <td className="pl-3 text-left text-steel">
                  {gear.isCrossed ? words.slanted : gear.isDouble ? words.theNextRingHas : ''}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </div>
  )
}
