import { afterEach, expect, test } from '@jest/globals'
import { configureStore } from '@reduxjs/toolkit'
import { cleanup, render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { Provider } from 'react-redux'
import { screenSlice } from '../ui/screen-state.ts'
import { mannerOf, writeBy } from '../words/manner.ts'
import MannerSheet from './MannerSheet.tsx'

afterEach(() => {
  cleanup()
  writeBy(mannerOf('en-IE', 'browser', 'browser'))
})

/** The sheet over a store that writes as was chosen, as the app's does. */
function shown(language: string) {
  const store = configureStore({ reducer: { screen: screenSlice.reducer } })
  const write = () => {
    const { numbers, dates } = store.getState().screen
    writeBy(mannerOf(language, numbers, dates))
  }
  write()
  store.subscribe(write)
  render(
    <Provider store={store}>
      <MannerSheet onClose={() => undefined} />
    </Provider>,
  )
  return store
}
const example = (): string => (screen.getByRole('status').textContent ?? '').replaceAll('\u00a0', ' ')

test('until somebody chooses, all follows the browser, and an example shows how', () => {
  shown('de-DE')
  expect(example()).toBe('Like this: 12 345 km, 6,4 km, 12 December 2026.')
  expect(screen.getAllByRole<HTMLInputElement>('radio', { checked: true })).toHaveLength(3)
})

test('each choice shows at once in the example, and none moves the others', async () => {
  const store = shown('en-IE')
  const user = userEvent.setup()
  await user.click(screen.getByRole('radio', { name: '12.345,6' }))
  expect(example()).toBe('Like this: 12.345 km, 6,4 km, 12 December 2026.')
  await user.click(screen.getByRole('radio', { name: 'December 12, 2026' }))
  expect(example()).toContain('December 12, 2026')
  await user.click(screen.getByRole('radio', { name: 'miles and inches' }))
  expect(example()).toBe('Like this: 7.671 mi, 4 mi, December 12, 2026.')
  expect(store.getState().screen).toMatchObject({
    numbers: 'point-comma',
    dates: 'month-day',
    units: 'imperial',
  })
})

test('a choice can be given back to the browser', async () => {
  const store = shown('fr-FR')
  const user = userEvent.setup()
  await user.click(screen.getByRole('radio', { name: '12,345.6' }))
  expect(example()).toContain('12,345 km')
  const [first] = screen.getAllByRole('radio', { name: 'as the browser' })
  if (first) await user.click(first)
  expect(store.getState().screen.numbers).toBe('browser')
  expect(example()).toContain('6,4 km')
})
