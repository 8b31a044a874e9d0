import { afterEach, beforeEach, expect, jest, test } from '@jest/globals'
import { cleanup, render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import type { Paper } from '../../core/paper/paper-sheet.ts'
import { SavePaper } from './SavePaper.tsx'

const saved: string[] = []
beforeEach(() => {
  saved.length = 0
  URL.createObjectURL = () => 'blob:sheet'
  URL.revokeObjectURL = () => undefined
  jest.spyOn(HTMLAnchorElement.prototype, 'click').mockImplementation(function (this: HTMLAnchorElement) {
    saved.push(this.download)
  })
})
afterEach(() => {
  cleanup()
  localStorage.clear()
  jest.restoreAllMocks()
})

const sheet = (lost: number) =>
  jest.fn<(paper: Paper) => Promise<{ bytes: Uint8Array; lost: number }>>(() =>
    Promise.resolve({ bytes: new Uint8Array([37, 80, 68, 70]), lost }),
  )

test('a sheet is set on the paper of the place until another is chosen; then every sheet is', async () => {
  const write = sheet(0)
  render(<SavePaper label="The road on paper" file="heron-road" write={write} />)
  const user = userEvent.setup()
  // The browser of the tests speaks English of the United States.
  expect(screen.getByLabelText<HTMLSelectElement>('Paper').value).toBe('letter')
  await user.selectOptions(screen.getByLabelText('Paper'), 'a4')
  await user.click(screen.getByRole('button', { name: 'The road on paper' }))
  expect(await screen.findByText('Saved.')).not.toBeNull()
  expect(write).toHaveBeenCalledWith('a4')
  expect(saved).toEqual(['heron-road.pdf'])
  cleanup()
  render(<SavePaper label="Another" file="another" write={write} />)
  expect(screen.getByLabelText<HTMLSelectElement>('Paper').value).toBe('a4')
})

test('letters that have no place in a PDF are counted', async () => {
  render(<SavePaper label="Save" file="x" write={sheet(3)} />)
  await userEvent.click(screen.getByRole('button', { name: 'Save' }))
  expect(await screen.findByText(/^Saved, but 3 letters/)).not.toBeNull()
})

test('a sheet that cannot be set says so, and what to do, and saves nothing', async () => {
  render(<SavePaper label="Save" file="x" write={() => Promise.reject(new TypeError('no picture'))} />)
  await userEvent.click(screen.getByRole('button', { name: 'Save' }))
  expect(await screen.findByText(/could not be put on the page\. Try again, or print/)).not.toBeNull()
  expect(saved).toEqual([])
})
