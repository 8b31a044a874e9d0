import type { Build } from '../../core/log/kinds/bike.ts'
import type { BikeEntry } from '../../core/log/kinds/bike.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { Choice } from '../../ui/parts/fields.tsx'
import { useInTurn } from '../../ui/use-in-turn.ts'

type Yes = 'yes' | 'no'
const YES: readonly { readonly value: Yes; readonly label: string }[] = [
  { value: 'yes', label: 'yes' },
  { value: 'no', label: 'no' },
]
const yesOf = (value: boolean | undefined): Yes | undefined =>
  value === undefined ? undefined : value ? 'yes' : 'no'

/** What the bike has, tap by tap: it decides which checks there are. */
export function BuildForm({ entry }: { readonly entry: BikeEntry }) {
  const { record } = useOpenLog()
  const { build = {}, brakes } = entry
  const save = useInTurn(
    async (change: { readonly build?: Build; readonly brakes?: BikeEntry['brakes'] }) => {
      const { id, action: _action, format: _format, ...held } = entry
      await record(
        [
          {
            ...held,
            supersedes: id,
            ...(change.brakes && { brakes: change.brakes }),
            build: { ...build, ...change.build },
          },
        ],
        `${entry.name}: noted.`,
      )
    },
  )
  const put = (change: Build): void => save({ build: change })
  return (
    <div className="flex flex-wrap gap-x-10 gap-y-4">
      <Choice<'disc' | 'rim'>
        legend="Brakes on"
        value={brakes}
        onPick={(value) => save({ brakes: value })}
        options={[
          { value: 'disc', label: 'discs' },
          { value: 'rim', label: 'the rim' },
        ]}
      />
      <Choice<'hydraulic' | 'cable'>
        legend="Brakes worked by"
        value={build.brakeLine}
        onPick={(brakeLine) => put({ brakeLine })}
        options={[
          { value: 'hydraulic', label: 'fluid' },
          { value: 'cable', label: 'cable' },
        ]}
      />
      <Choice<'tubes' | 'tubeless'>
        legend="Tyres with"
        value={build.tyres}
        onPick={(tyres) => put({ tyres })}
        options={[
          { value: 'tubes', label: 'tubes' },
          { value: 'tubeless', label: 'sealant, no tubes' },
        ]}
      />
      <Choice<'through' | 'quick-release' | 'nuts'>
        legend="Axles"
        value={build.axles}
        onPick={(axles) => put({ axles })}
        options={[
          { value: 'through', label: 'through axles' },
          { value: 'quick-release', label: 'quick releases' },
          { value: 'nuts', label: 'nuts' },
        ]}
      />
      <Choice<Yes>
        legend="Suspension"
        value={yesOf(build.suspension)}
        onPick={(value) => put({ suspension: value === 'yes' })}
        options={YES}
      />
      <Choice<Yes>
        legend="Carbon parts"
        value={yesOf(build.carbon)}
        onPick={(value) => put({ carbon: value === 'yes' })}
        options={YES}
      />
    </div>
  )
}
