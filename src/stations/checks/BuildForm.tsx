import type { Build } from '../../core/log/kinds/bike.ts'
import type { BikeEntry } from '../../core/log/kinds/bike.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { Choice } from '../../ui/parts/fields.tsx'
import { useInTurn } from '../../ui/use-in-turn.ts'
import { words } from '../../words/stations/checks/build-form.ts'

type Yes = 'yes' | 'no'
const YES: readonly { readonly value: Yes; readonly label: string }[] = [
  { value: 'yes', label: words.yes },
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
        words.noted(entry.name),
      )
    },
  )
  const put = (change: Build): void => save({ build: change })
  return (
    <div className="flex flex-wrap gap-x-10 gap-y-4">
      <Choice<'disc' | 'rim'>
        legend={words.brakesOn}
        value={brakes}
        onPick={(value) => save({ brakes: value })}
        options={[
          { value: 'disc', label: words.discs },
          { value: 'rim', label: words.theRim },
        ]}
      />
      <Choice<'hydraulic' | 'cable'>
        legend={words.brakesWorkedBy}
        value={build.brakeLine}
        onPick={(brakeLine) => put({ brakeLine })}
        options={[
          { value: 'hydraulic', label: words.fluid },
          { value: 'cable', label: words.cable },
        ]}
      />
      <Choice<'tubes' | 'tubeless'>
        legend={words.tyresWith}
        value={build.tyres}
        onPick={(tyres) => put({ tyres })}
        options={[
          { value: 'tubes', label: words.tubes },
          { value: 'tubeless', label: words.sealantNoTubes },
        ]}
      />
      <Choice<'through' | 'quick-release' | 'nuts'>
        legend={words.axles}
        value={build.axles}
        onPick={(axles) => put({ axles })}
        options={[
          { value: 'through', label: words.throughAxles },
          { value: 'quick-release', label: words.quickReleases },
          { value: 'nuts', label: words.nuts },
        ]}
      />
      <Choice<Yes>
        legend={words.suspension}
        value={yesOf(build.suspension)}
        onPick={(value) => put({ suspension: value === 'yes' })}
        options={YES}
      />
      <Choice<Yes>
        legend={words.carbonParts}
        value={yesOf(build.carbon)}
        onPick={(value) => put({ carbon: value === 'yes' })}
        options={YES}
      />
    </div>
  )
}
