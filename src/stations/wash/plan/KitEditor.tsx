import { KIT_TOOLS, type KitTool, type WashWay } from '../../../core/lube/wash-ways.ts'
import type { Brakes } from '../../../core/log/kinds/bike.ts'
import type { BikeReport } from '../../../core/strategy/facts/bike-report.ts'
import type { WashFacts } from '../../../core/strategy/facts/wash-facts.ts'
import { useOpenLog } from '../../../session/log-context.ts'
import { Button } from '../../../ui/parts/Button.tsx'
import { Choice } from '../../../ui/parts/fields.tsx'
import { useInTurn } from '../../../ui/use-in-turn.ts'
import { sayCount, sayDay } from '../../../words/numbers.ts'
import { KIT_NAMES, WAY_NAMES } from '../../../words/wash-words.ts'
import { words } from '../../../words/stations/wash/plan/kit-editor.ts'

interface Props {
  readonly report: BikeReport
  readonly facts: WashFacts
  /** The way that is planned now. */
  readonly way: WashWay
}

const BRAKES: readonly { readonly value: Brakes; readonly label: string }[] = [
  { value: 'disc', label: words.discBrakes },
  { value: 'rim', label: words.rimBrakes },
]

/** What one tap changes. */
interface KitChange {
  readonly tool?: KitTool
  readonly noSolvent?: boolean
  readonly isUsual?: boolean
  readonly isWaxFresh?: true
}

interface TickProps {
  readonly label: string
  readonly isOn: boolean
  readonly onTick: (isOn: boolean) => void
}

function Tick({ label, isOn, onTick }: TickProps) {
  return (
    <label className="flex min-h-11 items-center gap-2">
      <input
        type="checkbox"
        className="size-5 accent-petrol"
        checked={isOn}
        onChange={({ target }) => onTick(target.checked)}
      />
      {label}
    </label>
  )
}

/** What there is to wash with, said once; and what of this bike the plan depends on. */
export function KitEditor({ report, facts: { wants, isKitGuessed, wax }, way }: Props) {
  const { record, now } = useOpenLog()
  const { kit, noSolvent, school } = wants
  // One tap after another, each on what the one before it left.
  const write = useInTurn(async (change: KitChange) => {
    const { tool, noSolvent: without = noSolvent, isUsual = school === way } = change
    const waxSince = change.isWaxFresh ? now : wax?.since
    // Another way that was said to be the usual one stays so until this one is.
    const usual = isUsual ? way : school === way ? undefined : school
    const tools =
      tool === undefined ? kit : kit.includes(tool) ? kit.filter((one) => one !== tool) : [...kit, tool]
    await record(
      [
        {
          kind: 'kit',
          at: now,
          tools: [...tools],
          ...(without && { noSolvent: true }),
          ...(usual && { school: usual }),
          ...(waxSince !== undefined && { waxSince }),
        },
      ],
      words.washKitSaved,
    )
  })
  const { id, format: _format, action: _action, ...bike } = report.bike.entry
  return (
    <details className="text-[0.95rem]">
      <summary className="min-h-11 cursor-pointer py-2 underline underline-offset-4">
        {words.whatYouHaveToWash(isKitGuessed ? words.aGuessSoFar : '')}
      </summary>
      <ul className="grid grid-cols-2 gap-x-6 max-sm:grid-cols-1">
        {KIT_TOOLS.map((tool) => (
          <li key={tool}>
            <Tick label={KIT_NAMES[tool]} isOn={kit.includes(tool)} onTick={() => write({ tool })} />
          </li>
        ))}
        <li>
          <Tick
            label={words.noSolventNearMy}
            isOn={noSolvent}
            onTick={(isOn) => write({ noSolvent: isOn })}
          />
        </li>
        <li>
          <Tick
            label={words.myUsualWay(WAY_NAMES[way])}
            isOn={school === way}
            onTick={(isOn) => write({ isUsual: isOn })}
          />
        </li>
      </ul>
      {kit.includes('pot') && (
        <p className="flex flex-wrap items-center gap-x-4">
          <span>
            {wax
              ? words.inThisWaxSince(sayCount(wax.dips, 'dip'), sayDay(wax.since, now))
              : words.whenWasTheWax}
          </span>
          <Button look="link" className="min-h-11" onClick={() => write({ isWaxFresh: true })}>
            {words.freshWaxToday}
          </Button>
        </p>
      )}
      <Choice<Brakes>
        legend={words.has(bike.name)}
        className="mt-2"
        value={bike.brakes ?? 'disc'}
        onPick={(brakes) => void record([{ ...bike, brakes, supersedes: id }], words.bikeSaved)}
        options={BRAKES}
      />
    </details>
  )
}
