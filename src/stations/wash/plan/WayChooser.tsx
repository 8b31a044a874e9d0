import type { Lube } from '../../../core/lube/lubes.ts'
import { WASH_WAYS, type WashWay } from '../../../core/lube/wash-ways.ts'
import { WAYS } from '../../../core/lube/ways.ts'
import { useOpenLog } from '../../../session/log-context.ts'
import { Choice, SelectField } from '../../../ui/parts/fields.tsx'
import { LUBE_NAMES } from '../../../ui/words/names.ts'
import { namePart } from '../../../ui/words/part-name.ts'
import { sayWayReason, WAY_TALK } from '../../../ui/words/say-ways.ts'
import { WAY_NAMES } from '../../../ui/words/wash-words.ts'
import type { useWashPlan } from './use-wash-plan.ts'

type Planned = ReturnType<typeof useWashPlan>

const MINUTES = ['any', '15', '30', '40', '60', '90'] as const
type Minutes = (typeof MINUTES)[number]

const TIMES: readonly { readonly value: Minutes; readonly label: string }[] = MINUTES.map((value) => ({
  value,
  label: value === 'any' ? 'as long as it takes' : `${value} min`,
}))

/** Chains that go into the pot with the one on the bike, and which of them goes on afterwards. */
function ChainPicker({
  planned,
}: {
  readonly planned: Planned & { readonly all: readonly { readonly id: string }[] }
}) {
  const { garage } = useOpenLog()
  const { picked, fits, choice, setChoice, all } = planned
  const ids = picked.map(({ id }) => id)
  return (
    <div className="flex flex-wrap items-end gap-x-8 gap-y-3">
      <fieldset>
        <legend className="mb-1 text-sm font-medium">Which chains?</legend>
        <div className="flex flex-wrap gap-x-5">
          {all.map(({ id }) => (
            <label key={id} className="flex min-h-11 items-center gap-2 text-[0.95rem]">
              <input
                type="checkbox"
                className="size-5 accent-petrol"
                checked={ids.includes(id)}
                // One chain at least: an empty pot is no wash.
                disabled={ids.length === 1 && ids.includes(id)}
                onChange={({ target }) =>
                  setChoice({
                    ...choice,
                    chains: target.checked ? [...ids, id] : ids.filter((one) => one !== id),
                  })
                }
              />
              {namePart(garage, id)}
            </label>
          ))}
        </div>
      </fieldset>
      {picked.length > 1 && fits !== undefined && (
        <SelectField
          label="Goes on the bike afterwards"
          className="w-56"
          value={fits}
          options={Object.fromEntries(ids.map((id) => [id, namePart(garage, id)]))}
          onPick={(id) => setChoice({ ...choice, fits: id })}
        />
      )}
    </div>
  )
}

/** Time at hand, way of washing, what goes on: suggested, and changed with a tap. */
export function WayChooser({
  planned,
  all,
}: {
  readonly planned: Planned
  readonly all: readonly { readonly id: string }[]
}) {
  const { choice, setChoice, way, lube, judged, ways, best, isPot } = planned
  const { lubes } = WAYS[way]
  const against = judged?.con.filter(({ why }) => why !== 'misfit').map(sayWayReason) ?? []
  return (
    <div className="flex flex-col gap-4">
      <Choice<Minutes>
        legend="How much time do you have?"
        value={MINUTES.find((one) => one === String(choice.minutes)) ?? 'any'}
        onPick={(value) => {
          const { minutes: _, ...rest } = choice
          setChoice(value === 'any' ? rest : { ...rest, minutes: Number(value) })
        }}
        options={TIMES}
      />
      <div className="flex flex-wrap items-end gap-x-6 gap-y-3">
        <SelectField<WashWay>
          label="How"
          className="w-72"
          value={way}
          options={
            Object.fromEntries(
              [...WASH_WAYS]
                .sort(
                  (a, b) => ways.findIndex((one) => one.way === a) - ways.findIndex((one) => one.way === b),
                )
                .map((one) => [one, `${WAY_NAMES[one]}${one === best?.way ? ' (suggested)' : ''}`]),
            ) as Record<WashWay, string>
          }
          onPick={(next) => {
            const { lube: _, ...rest } = choice
            setChoice({ ...rest, way: next })
          }}
        />
        {lubes.length > 1 && (
          <Choice<Exclude<Lube, 'none'>>
            legend="What goes on"
            value={lube}
            onPick={(next) => setChoice({ ...choice, lube: next })}
            options={lubes.map((value) => ({ value, label: LUBE_NAMES[value] }))}
          />
        )}
      </div>
      <p className="max-w-[52rem] text-[0.95rem] text-steel">
        {WAY_TALK[way]}
        {against.length > 0 && ` Against it: ${against.join('; ')}.`}
      </p>
      {isPot && all.length > 1 && <ChainPicker planned={{ ...planned, all }} />}
    </div>
  )
}
