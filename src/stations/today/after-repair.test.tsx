import { afterEach, expect, test } from '@jest/globals'
import { cleanup, screen } from '@testing-library/react'
import { commuter, noon, ride } from '../../../test/log.ts'
import { openLog } from '../../../test/open-log.tsx'
import type { EntryDraft } from '../../core/log/entries.ts'
import { AfterRepair } from './AfterRepair.tsx'

afterEach(cleanup)
const mended: EntryDraft = {
  kind: 'fault',
  at: noon(2, 1),
  fault: 'f1',
  bike: 'heron',
  about: 'shifting',
  answers: [],
  found: ['bent-hanger'],
  outcome: 'mended',
}

test('a bike that was ridden since it was mended is asked about, and leads to the fault finder', () => {
  const { show, report } = openLog([...commuter, mended, ride(2, 3, 30)])
  show(<AfterRepair bikes={[report.bike.entry]} />)
  expect(screen.getByRole('link', { name: 'Is it gone on Heron?' }).getAttribute('href')).toBe('/faults')
})

test('nothing is asked before it was ridden, nor of a bike that had nothing', () => {
  const { show, report } = openLog([...commuter, ride(1, 3, 30), mended])
  show(<AfterRepair bikes={[report.bike.entry]} />)
  expect(screen.queryByText('Ridden since it was mended')).toBeNull()
})
