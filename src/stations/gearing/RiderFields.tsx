import { BREATHS, powerByBreath } from '../../core/gearing/hill.ts'
import { BIKE_BOUNDS } from '../../core/log/kinds/bike.ts'
import { GEARING_BOUNDS } from '../../core/log/kinds/gearing.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { Section } from '../../ui/parts/Section.tsx'
import { Stepper } from '../../ui/parts/Stepper.tsx'
import { useUnits } from '../../ui/screen-state.ts'
import { BREATH_NAMES, sayMass } from '../../words/gearing-words.ts'
import { sayCount } from '../../words/numbers.ts'
import type { GearingInHand } from './use-gearing.ts'
import { words } from '../../words/stations/gearing/rider-fields.ts'

const isWithin = (value: number, [least, most]: readonly [number, number]): boolean =>
  value >= least && value <= most

const BOUNDS = {
  powerW: GEARING_BOUNDS.powerW,
  hillPercent: GEARING_BOUNDS.hillPercent,
  cadenceRpm: GEARING_BOUNDS.rpm,
  slowestRpm: GEARING_BOUNDS.rpm,
  massKg: BIKE_BOUNDS.massKg,
  circumferenceMm: BIKE_BOUNDS.circumferenceMm,
} as const

/** Who rides, and up what: power or breath, the hill, the cadences. Each says where its figure comes from. */
export function RiderFields({ gearing }: { readonly gearing: GearingInHand }) {
  const { rider, move, hasMoved, keepMoved, dropMoved } = gearing
  const units = useUnits()
  const set = (name: keyof typeof BOUNDS, value: number) => {
    // A figure half typed is none yet.
    if (isWithin(value, BOUNDS[name])) move({ [name]: value })
  }
  const hillFrom = rider.isHillTyped
    ? words.asYouSetIt
    : rider.ownHill
      ? words.steepest200MOfOfYours(
          sayCount(rider.ownHill.rides, 'ride'),
          rider.ownHill.over50Percent,
          rider.ownHill.over1000Percent,
        )
      : words.aGuessNoneOfYour
  return (
    <Section title={words.youAndTheHill} note={words.whatTheGearsAre}>
      <div className="grid grid-cols-2 gap-4 max-sm:grid-cols-1">
        <Stepper
          label={words.steepestHill}
          hint={hillFrom}
          value={Math.round(10 * rider.hillPercent) / 10}
          step={0.5}
          min={GEARING_BOUNDS.hillPercent[0]}
          max={GEARING_BOUNDS.hillPercent[1]}
          digits={1}
          onStep={(value) => set('hillPercent', value)}
        />
        <Stepper
          label={words.powerForAnHour}
          hint={`${rider.isPowerGuessed ? words.aGuessByBreath : words.asYouSetIt}`}
          value={Math.round(rider.powerW)}
          step={5}
          min={GEARING_BOUNDS.powerW[0]}
          max={GEARING_BOUNDS.powerW[1]}
          digits={0}
          onStep={(value) => set('powerW', value)}
        />
        <Stepper
          label={words.riderBikeAndLoad}
          hint={`${rider.isMassGuessed ? words.aGuess : ''}${sayMass(rider.massKg, units === 'metric' ? 'imperial' : 'metric')}`}
          value={Math.round(rider.massKg)}
          step={1}
          min={BIKE_BOUNDS.massKg[0]}
          max={BIKE_BOUNDS.massKg[1]}
          digits={0}
          onStep={(value) => set('massKg', value)}
        />
        <Stepper
          label={words.wheelMmRound}
          hint={rider.isWheelGuessed ? words.aGuess2 : words.asYouSetIt}
          value={Math.round(rider.circumferenceMm)}
          step={5}
          min={BIKE_BOUNDS.circumferenceMm[0]}
          max={BIKE_BOUNDS.circumferenceMm[1]}
          digits={0}
          onStep={(value) => set('circumferenceMm', value)}
        />
        <Stepper
          label={words.slowestCadenceOnAClimb}
          value={Math.round(rider.slowestRpm)}
          step={5}
          min={GEARING_BOUNDS.rpm[0]}
          max={GEARING_BOUNDS.rpm[1]}
          digits={0}
          onStep={(value) => set('slowestRpm', value)}
        />
        <Stepper
          label={words.cadenceOnTheFlat}
          value={Math.round(rider.cadenceRpm)}
          step={5}
          min={GEARING_BOUNDS.rpm[0]}
          max={GEARING_BOUNDS.rpm[1]}
          digits={0}
          onStep={(value) => set('cadenceRpm', value)}
        />
      </div>
      <p className="mt-3 text-sm text-steel">{words.noPowerMeterHow}</p>
      <div className="mt-1 flex flex-wrap gap-2">
        {BREATHS.map((breath) => (
          <Button key={breath} onClick={() => set('powerW', powerByBreath(breath, rider.massKg))}>
            {BREATH_NAMES[breath]}: {powerByBreath(breath, rider.massKg)} W
          </Button>
        ))}
      </div>
      {hasMoved && (
        <div className="mt-4 flex flex-wrap gap-3">
          <Button look="firm" onClick={keepMoved}>
            {words.keepTheseFigures}
          </Button>
          <Button onClick={dropMoved}>{words.backToWhatWas}</Button>
        </div>
      )}
    </Section>
  )
}
