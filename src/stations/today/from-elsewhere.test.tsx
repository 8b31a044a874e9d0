import { afterEach, expect, test } from '@jest/globals'
import { cleanup, screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { useState, type ReactNode } from 'react'
import { liveLog } from '../../../test/live-log.tsx'
import { commuter, noon, ride, written } from '../../../test/log.ts'
import { SAFE } from '../../../test/open-log.tsx'
import type { Entry } from '../../core/log/entries.ts'
import type { Overruled } from '../../core/log/overruled.ts'
import { liveEntries } from '../../core/log/supersede.ts'
import { SafeKeepingContext, type SafeKeeping } from '../../session/safe-keeping.ts'
import { Notices } from '../../ui/parts/notices.tsx'
import { ChangedElsewhere } from './ChangedElsewhere.tsx'
import { FolderNote } from './FolderNote.tsx'
import { TwoVersions } from './TwoVersions.tsx'

afterEach(cleanup)

const drafts = [...commuter, ride(1, 5, 40)]
const ridden = written(drafts).find(({ kind }) => kind === 'ride') as Entry & { kind: 'ride' }

function Kept({
  keeping,
  overruled: first = [],
  children,
}: {
  readonly keeping?: Partial<SafeKeeping>
  readonly overruled?: readonly Overruled[]
  readonly children: ReactNode
}) {
  const [overruled, setOverruled] = useState(first)
  const overruledSeen = (ids: readonly string[]) => {
    setOverruled((held) => held.filter(({ id }) => !ids.includes(id)))
    return Promise.resolve()
  }
  return (
    <Notices>
      <SafeKeepingContext value={{ ...SAFE, overruled, overruledSeen, ...keeping }}>
        {children}
      </SafeKeepingContext>
    </Notices>
  )
}

const km = (entries: readonly Entry[]): readonly number[] =>
  liveEntries(entries).flatMap((entry) => (entry.kind === 'ride' ? [entry.km] : []))

const asked = (theirs: Entry) =>
  liveLog(drafts, {
    screen: (
      <Kept keeping={{ aside: [{ text: JSON.stringify(theirs), why: 'differs', said: 'it differs' }] }}>
        <TwoVersions />
      </Kept>
    ),
    now: noon(3, 11),
    at: '/',
  })

test('an entry that a file says otherwise is asked about with both versions; the chosen one counts', async () => {
  const { entries } = asked({ ...ridden, km: 999 })
  const region = await screen.findByRole('region', { name: 'Entries of two versions' })
  expect(region.textContent).toMatch(/Here\. .*40\skm/)
  expect(region.textContent).toMatch(/Came in\. .*999\skm/)
  await userEvent.click(screen.getByRole('button', { name: /^This one is right: Here.*40\skm/ }))
  await waitFor(() => expect(screen.queryByRole('region')).toBeNull())
  expect(km(entries())).toEqual([40])
  expect(entries().at(-1)).toMatchObject({ kind: 'ride', km: 40, supersedes: ridden.id })
})

test('the version that came in can be the right one', async () => {
  const { entries } = asked({ ...ridden, km: 41 })
  await userEvent.click(await screen.findByRole('button', { name: /^This one is right: Came in.*41\skm/ }))
  await waitFor(() => expect(km(entries())).toEqual([41]))
})

test('where both read the same in a line, the fields that tell them apart are said', async () => {
  asked({ ...ridden, at: ridden.at.replace('T12:', 'T13:') })
  const region = await screen.findByRole('region', { name: 'Entries of two versions' })
  expect(region.textContent).toMatch(/Here\. [^(]*\(at \d\d:00\)/)
  expect(region.textContent).toMatch(/Came in\. [^(]*\(at \d\d:00\)/)
})

const withdrawn = [...drafts, { kind: 'withdraw', at: noon(2, 1), targets: [ridden.id] } as const]
const changed = (overruled: readonly Overruled[]) =>
  liveLog(withdrawn, {
    screen: (
      <Kept overruled={overruled}>
        <ChangedElsewhere />
      </Kept>
    ),
    now: noon(3, 11),
    at: '/',
  })

test('what another device took out is told, and put back with one press', async () => {
  const { entries } = changed([{ id: ridden.id }])
  expect((await screen.findByRole('region', { name: 'Changed elsewhere' })).textContent).toMatch(
    /changed 1 entry of this log.*Taken out: .*40\skm/,
  )
  expect(km(entries())).toEqual([])
  await userEvent.click(screen.getByRole('button', { name: 'Put it all back' }))
  await waitFor(() => expect(km(entries())).toEqual([40]))
  expect(screen.queryByRole('region')).toBeNull()
})

test('all right: it is not told again, and stays as it is', async () => {
  const { entries } = changed([{ id: ridden.id }])
  await userEvent.click(await screen.findByRole('button', { name: 'All right' }))
  await waitFor(() => expect(screen.queryByRole('region')).toBeNull())
  expect(km(entries())).toEqual([])
})

test('a file of the folder that cannot be read is told by its name; one of the demo’s is not', () => {
  const folder: SafeKeeping['folder'] = {
    state: {
      name: 'Bench',
      status: 'kept',
      broughtIn: 0,
      passed: [
        { name: 'jolt-mile-a.json', why: 'unreadable', said: 'It is empty. Choose it again.' },
        { name: 'demo-jolt-mile-b.json', why: 'demo', said: '' },
      ],
    },
    choose: () => Promise.resolve(),
    resume: () => Promise.resolve(),
    leave: () => Promise.resolve(),
  }
  liveLog(drafts, {
    screen: (
      <Kept keeping={{ folder }}>
        <FolderNote />
      </Kept>
    ),
    now: noon(3, 11),
    at: '/',
  })
  expect(screen.getByText(/Not taken in from Bench/)).not.toBeNull()
  expect(
    screen.getByText(
      'jolt-mile-a.json: It is empty. Open Jolt Mile on the device it comes from: the file is written again there.',
    ),
  ).not.toBeNull()
  expect(screen.queryByText(/demo-jolt-mile/)).toBeNull()
})
