import { KIT_TOOLS } from '../../../core/lube/wash-ways.ts'
import type { Brakes } from '../../../core/log/kinds/bike.ts'
import type { BikeReport } from '../../../core/strategy/facts/bike-report.ts'
import type { WashFacts } from '../../../core/strategy/facts/wash-facts.ts'
import { useOpenLog } from '../../../session/log-context.ts'
import { Choice } from '../../../ui/parts/fields.tsx'
import { KIT_NAMES } from '../../../ui/words/wash-words.ts'

interface Props {
  readonly report: BikeReport
  readonly facts: WashFacts
}

const BRAKES: readonly { readonly value: Brakes; readonly label: string }[] = [
  { value: 'disc', label: 'disc brakes' },
  { value: 'rim', label: 'rim brakes' },
]

/** What there is to wash with, said once; and what of this bike the plan depends on. */
export function KitEditor({ report, facts: { wants, isKitGuessed } }: Props) {
  const { record, now } = useOpenLog()
  const { kit, noSolvent, school } = wants
  const write = (tools: typeof kit, without: boolean) =>
    record(
      [
        {
          kind: 'kit',
          at: now,
          tools: [...tools],
          ...(without && { noSolvent: true }),
          ...(school && { school }),
        },
      ],
      'Wash kit saved.',
    )
  const { id, format: _format, action: _action, ...bike } = report.bike.entry
  return (
    <details className="text-[0.95rem]">
      <summary className="min-h-11 cursor-pointer py-2 underline underline-offset-4">
        What you have to wash with{isKitGuessed ? ': a guess so far' : ''}
      </summary>
      <ul className="grid grid-cols-2 gap-x-6 max-sm:grid-cols-1">
        {KIT_TOOLS.map((tool) => (
          <li key={tool}>
            <label className="flex min-h-11 items-center gap-2">
              <input
                type="checkbox"
                className="size-5 accent-petrol"
                checked={kit.includes(tool)}
                onChange={({ target }) =>
                  void write(target.checked ? [...kit, tool] : kit.filter((one) => one !== tool), noSolvent)
                }
              />
              {KIT_NAMES[tool]}
            </label>
          </li>
        ))}
        <li>
          <label className="flex min-h-11 items-center gap-2">
            <input
              type="checkbox"
              className="size-5 accent-petrol"
              checked={noSolvent}
              onChange={({ target }) => void write(kit, target.checked)}
            />
            no solvent near my chains
          </label>
        </li>
      </ul>
      <Choice<Brakes>
        legend={`${bike.name} has`}
        className="mt-2"
        value={bike.brakes ?? 'disc'}
        onPick={(brakes) => void record([{ ...bike, brakes, supersedes: id }], 'Bike saved.')}
        options={BRAKES}
      />
    </details>
  )
}
