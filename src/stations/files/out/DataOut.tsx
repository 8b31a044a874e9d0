import { useState } from 'react'
import { Button } from '../../../ui/parts/Button.tsx'
import { Section } from '../../../ui/parts/Section.tsx'
import { sayPackage } from '../../../words/out-words.ts'
import { LeaveOut } from './LeaveOut.tsx'
import { useDataPackage } from './use-data-package.ts'

/** One package on its way. */
function Making({
  withoutPeople,
  onAgain,
}: {
  readonly withoutPeople: boolean
  readonly onAgain: () => void
}) {
  const state = useDataPackage(withoutPeople)
  const isOver = state.at === 'saved' || state.at === 'failed'
  return (
    <>
      <p role="status" className="mt-3 text-[0.95rem]">
        {sayPackage(state)}
      </p>
      {state.at === 'making' && (
        <progress
          className="mt-2 h-2 w-full accent-petrol"
          max={1}
          value={state.share}
          aria-label="Making the data package"
        />
      )}
      <Button className="mt-2" onClick={onAgain}>
        {isOver ? 'Make another' : 'Cancel'}
      </Button>
    </>
  )
}

/** Everything the log says as open tables. */
export function DataOut() {
  const [withoutPeople, setWithoutPeople] = useState(false)
  const [making, setMaking] = useState(false)
  return (
    <Section
      title="Data package"
      note="Bikes, parts, rides, readings, washes, checks, costs and today’s forecasts as CSV tables in one ZIP, with units and keys (datapackage.json). Opens in any spreadsheet."
    >
      <LeaveOut label="Leave out names and places" value={withoutPeople} onChange={setWithoutPeople} />
      {making ? (
        <Making withoutPeople={withoutPeople} onAgain={() => setMaking(false)} />
      ) : (
        <Button className="mt-3" onClick={() => setMaking(true)}>
          Save the data package
        </Button>
      )}
    </Section>
  )
}
