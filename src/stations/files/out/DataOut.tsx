import { useState } from 'react'
import { Button } from '../../../ui/parts/Button.tsx'
import { Section } from '../../../ui/parts/Section.tsx'
import { sayPackage } from '../../../words/out-words.ts'
import { LeaveOut } from './LeaveOut.tsx'
import { useDataPackage } from './use-data-package.ts'
import { words } from '../../../words/stations/files/out/data-out.ts'

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
          aria-label={words.makingTheDataPackage}
        />
      )}
      <Button className="mt-2" onClick={onAgain}>
        {isOver ? words.makeAnother : words.cancel}
      </Button>
    </>
  )
}

/** Everything the log says as open tables. */
export function DataOut() {
  const [withoutPeople, setWithoutPeople] = useState(false)
  const [making, setMaking] = useState(false)
  return (
    <Section title={words.dataPackage} note={words.bikesPartsRidesReadings}>
      <LeaveOut label={words.leaveOutNamesAndPlaces} value={withoutPeople} onChange={setWithoutPeople} />
      {making ? (
        <Making withoutPeople={withoutPeople} onAgain={() => setMaking(false)} />
      ) : (
        <Button className="mt-3" onClick={() => setMaking(true)}>
          {words.saveTheDataPackage}
        </Button>
      )}
    </Section>
  )
}
