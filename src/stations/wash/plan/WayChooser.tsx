import type { Lube } from '../../../core/lube/lubes.ts'
import { WASH_WAYS, type WashWay } from '../../../core/lube/wash-ways.ts'
import { WAYS } from '../../../core/lube/ways.ts'
import type { WashChoice } from '../../../core/strategy/wash-choice.ts'
import { useOpenLog } from '../../../session/log-context.ts'
import { Choice, SelectField } from '../../../ui/parts/fields.tsx'
import { LUBE_NAMES } from '../../../words/names.ts'
import { namePart } from '../../../words/part-name.ts'
import { sayWayReason, WAY_TALK } from '../../../words/say-ways.ts'
import { WAY_NAMES } from '../../../words/wash-words.ts'
import type { PlannedBike } from './use-wash-plan.ts'
import { words } from '../../../words/stations/wash/plan/way-chooser.ts'

const MINUTES = ['any', '15', '30', '40', '60', '90'] as const
type Minutes = (typeof MINUTES)[number]

const TIMES: readonly { readonly value: Minutes; readonly label: string }[] = MINUTES.map((value) => ({
  value,
  label: value === 'any' ? words.asLongAsItTakes : words.min(value),
}))

/** How much time there is for all of it. */
export function TimeChooser({
  minutes,
  onPick,
}: {
  readonly minutes: number | undefined
  readonly onPick: (minutes: number | undefined) => void
}) {
  return (
    <Choice<Minutes>
      legend={words.howMuchTimeDo}
      value={MINUTES.find((one) => one === String(minutes)) ?? 'any'}
      onPick={(value) => onPick(value === 'any' ? undefined : Number(value))}
      options={TIMES}
    />
  )
}

interface Props {
  readonly planned: PlannedBike
  readonly onChoose: (choice: WashChoice) => void
}

/** Chains that go into the pot with the one on the bike, and which of them goes on afterwards. */
function ChainPicker({ planned, onChoose }: Props) {
  const { garage } = useOpenLog()
  const { picked, job, choice, facts, report } = planned
  const ids = picked.map(({ id }) => id)
  const nameOf = (id: string): string => namePart(garage, id, report.bike.entry.bike)
  return (
    <div className="flex flex-wrap items-end gap-x-8 gap-y-3">
      <fieldset>
        <legend className="mb-1 text-sm font-medium">{words.whichChains}</legend>
        <div className="flex flex-wrap gap-x-5">
          {facts.chains.map(({ id }) => (
            <label key={id} className="flex min-h-11 items-center gap-2 text-[0.95rem]">
              <input
                type="checkbox"
                className="size-5 accent-petrol"
                checked={ids.includes(id)}
                // One chain at least: an empty pot is no wash.
                disabled={ids.length === 1 && ids.includes(id)}
                onChange={({ target }) =>
                  onChoose({
                    ...choice,
                    chains: target.checked ? [...ids, id] : ids.filter((one) => one !== id),
                  })
                }
              />
              {nameOf(id)}
            </label>
          ))}
        </div>
      </fieldset>
      {picked.length > 1 && job && (
        <SelectField
          label={words.goesOnTheBike}
          className="w-56"
          value={job.fits}
          options={Object.fromEntries(ids.map((id) => [id, nameOf(id)]))}
          onPick={(id) => onChoose({ ...choice, fits: id })}
        />
      )}
    </div>
  )
}

/** Way of washing one bike, what goes on, which chains: suggested, and changed with a tap. */
export function WayChooser({ planned, onChoose }: Props) {
  const { choice, way, lube, judged, ways, best, isPot, facts } = planned
  const { lubes } = WAYS[way]
  const against = judged?.con.filter(({ why }) => why !== 'misfit').map(sayWayReason) ?? []
  const rank = (one: WashWay): number => ways.findIndex((other) => other.way === one)
  return (
    <>
      <div className="flex flex-wrap items-end gap-x-6 gap-y-3">
        <SelectField<WashWay>
          label={words.how}
          className="w-72"
          value={way}
          options={
            Object.fromEntries(
              [...WASH_WAYS]
                .sort((a, b) => rank(a) - rank(b))
                .map((one) => [one, one === best?.way ? words.suggested(WAY_NAMES[one]) : WAY_NAMES[one]]),
            ) as Record<WashWay, string>
          }
          onPick={(next) => {
            const { lube: _, ...rest } = choice
            onChoose({ ...rest, way: next })
          }}
        />
        {lubes.length > 1 && (
          <Choice<Exclude<Lube, 'none'>>
            legend={words.whatGoesOn}
            value={lube}
            onPick={(next) => onChoose({ ...choice, lube: next })}
            options={lubes.map((value) => ({ value, label: LUBE_NAMES[value] }))}
          />
        )}
      </div>
      <p className="max-w-[52rem] text-[0.95rem] text-steel">
        {WAY_TALK[way]}
        {against.length > 0 && words.againstIt(against.join('; '))}
      </p>
      {isPot && facts.chains.length > 1 && <ChainPicker planned={planned} onChoose={onChoose} />}
    </>
  )
}
