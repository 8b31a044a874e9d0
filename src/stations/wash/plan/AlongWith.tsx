import type { BikeId } from '../../../core/log/entry.ts'
import type { BikeReport } from '../../../core/strategy/facts/bike-report.ts'
import type { WashChoice } from '../../../core/strategy/wash-choice.ts'
import { Button } from '../../../ui/parts/Button.tsx'
import { SelectField } from '../../../ui/parts/fields.tsx'
import type { PlannedBike } from './use-wash-plan.ts'
import { WayChooser } from './WayChooser.tsx'
import { words } from '../../../words/stations/wash/plan/along-with.ts'

interface Props {
  /** Bikes that are washed along with the one in hand. */
  readonly along: readonly PlannedBike[]
  /** Bikes that could be. */
  readonly others: readonly BikeReport[]
  readonly onChoose: (bike: BikeId, choice: WashChoice | undefined) => void
}

const NONE = ''

/** Other bikes in the same session: one pair of hands, one pot, one stand. */
export function AlongWith({ along, others, onChoose }: Props) {
  return (
    <>
      {along.map((planned) => {
        const { bike, name } = planned.report.bike.entry
        return (
          <section
            key={bike}
            aria-label={words.alongWithIt(name)}
            className="flex flex-col gap-3 border-t border-hairline pt-4"
          >
            <div className="flex flex-wrap items-center gap-x-5">
              <h3 className="font-semibold">{words.alongWithIt(name)}</h3>
              <Button look="link" className="min-h-11" onClick={() => onChoose(bike, undefined)}>
                {words.leaveOut(name)}
              </Button>
            </div>
            <WayChooser planned={planned} onChoose={(choice) => onChoose(bike, choice)} />
          </section>
        )
      })}
      {others.length > 0 && (
        <SelectField
          label={words.washAnotherBikeAlong}
          className="w-72"
          value={NONE}
          options={{
            [NONE]: words.noOtherBike,
            ...Object.fromEntries(others.map(({ bike }) => [bike.entry.bike, bike.entry.name])),
          }}
          onPick={(bike) => {
            if (bike !== NONE) onChoose(bike, {})
          }}
        />
      )}
    </>
  )
}
