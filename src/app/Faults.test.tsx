import 'fake-indexeddb/auto'
import { afterEach, expect, jest, test } from '@jest/globals'
import { cleanup, render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { createMemoryRouter } from 'react-router'
import { RouterProvider } from 'react-router/dom'
import { commuter } from '../../test/log.ts'
import { readBackup } from '../formats/read-backup.ts'
import { append, until } from '../../test/ledger.ts'
import { Broken, NotFound } from './Faults.tsx'
import { ledger } from './world.ts'

afterEach(cleanup)

function Falls(): never {
  throw new Error('the drawing fell over')
}

test('a screen that breaks offers the backup, and the backup holds the whole log', async () => {
  // The broken screen may be broken because the app's pieces are not there: the backup is read back without a worker.
  Reflect.deleteProperty(globalThis, 'Worker')
  jest.spyOn(console, 'error').mockImplementation(() => undefined)
  ledger.open()
  await until(ledger, ({ status }) => status === 'open')
  const written = await append(ledger, commuter)
  let saved: Blob | undefined
  URL.createObjectURL = (blob) => {
    saved = blob as Blob
    return 'blob:backup'
  }
  URL.revokeObjectURL = () => undefined
  HTMLAnchorElement.prototype.click = () => undefined

  const router = createMemoryRouter([{ path: '/', Component: Falls, ErrorBoundary: Broken }])
  render(<RouterProvider router={router} />)
  expect(screen.getByRole('heading').textContent).toMatch(/Your log is not touched/)
  expect(screen.getByText('the drawing fell over')).not.toBeNull()

  await userEvent.click(screen.getByRole('button', { name: 'Save a backup' }))
  expect(await screen.findByText(/^Saved: all .* can be read back from it\.$/)).not.toBeNull()
  const text = await new Promise<string>((resolve) => {
    const reader = new FileReader()
    reader.onload = () => resolve(reader.result as string)
    if (saved) reader.readAsText(saved)
  })
  expect(readBackup(text).entries).toEqual(written)
})

test('an address that leads nowhere shows every station there is', () => {
  const router = createMemoryRouter([{ path: '*', Component: NotFound }], { initialEntries: ['/nowhere'] })
  render(<RouterProvider router={router} />)
  expect(screen.getAllByRole('link').map((link) => link.textContent)).toEqual([
    'Today',
    'Miles',
    'Gauge',
    'Teeth',
    'Wash',
    'Decide',
    'Fault finder',
    'Gearing',
    'Checks',
    'School',
    'Shelf',
    'Rates',
    'Compare',
    'Log',
    'Files',
  ])
})
