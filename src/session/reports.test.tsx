import { afterEach, describe, expect, jest, test } from '@jest/globals'
import { cleanup, render, screen } from '@testing-library/react'
import { Component, type ReactNode } from 'react'
import { commuter, kite, noon, ride, written } from '../../test/log.ts'
import type { EntryDraft } from '../core/log/entries.ts'
import type { BikeState, Garage } from '../core/log/garage.ts'
import { replay } from '../core/log/replay.ts'
import { bikeReport } from '../core/strategy/facts/bike-report.ts'
import { LogContext, useReportsInTurn, type OpenLog } from './log-context.ts'

afterEach(() => {
  cleanup()
  jest.restoreAllMocks()
})

const NOW = noon(4, 1)
/** A workshop of so many bikes. */
const workshop = (count: number, more: readonly EntryDraft[] = []): Garage =>
  replay(
    written([
      ...commuter,
      ...Array.from(
        { length: count - 1 },
        (_, i) => ({ ...kite, bike: `kite ${i}`, name: `Kite ${i}` }) as EntryDraft,
      ),
      ...more,
    ]),
  )
const logOf = (garage: Garage): OpenLog => ({ garage, now: NOW }) as unknown as OpenLog

/** What a page says that broke. */
class Boundary extends Component<{ readonly children: ReactNode }, { readonly said?: string }> {
  override state: { readonly said?: string } = {}
  static getDerivedStateFromError = (error: Error) => ({ said: error.message })
  override render = (): ReactNode =>
    this.state.said === undefined ? this.props.children : <p role="alert">{this.state.said}</p>
}
const seen: (readonly string[] | undefined)[] = []
function Names() {
  const reports = useReportsInTurn()
  seen.push(reports?.map(({ totalKm }) => totalKm.toFixed(0)))
  return <p role="status">{reports ? `${reports.length} bikes` : 'not yet'}</p>
}
const page = (garage: Garage) => (
  <Boundary>
    <LogContext value={logOf(garage)}>
      <Names />
    </LogContext>
  </Boundary>
)

describe('what the log says of every bike, on a page', () => {
  test('is there at once where the bikes are few', () => {
    render(page(workshop(5)))
    expect(screen.getByRole('status').textContent).toBe('5 bikes')
  })

  test('of a workshop comes a moment later, and is what each bike’s own report says', async () => {
    const garage = workshop(30)
    render(page(garage))
    expect(screen.getByRole('status').textContent).toBe('not yet')
    expect(await screen.findByText('30 bikes')).toBeTruthy()
    expect(seen.at(-1)).toEqual(
      [...garage.bikes.values()].map((bike) => bikeReport(garage, bike, NOW).totalKm.toFixed(0)),
    )
  })

  test('stays as it was until the log as it is now was gone through', async () => {
    const { rerender } = render(page(workshop(20)))
    await screen.findByText('20 bikes')
    seen.length = 0
    rerender(page(workshop(21, [ride(1, 5, 60)])))
    expect(screen.getByRole('status').textContent).toBe('20 bikes')
    await screen.findByText('21 bikes')
    expect(seen.every((one) => one !== undefined)).toBe(true)
    expect(seen.at(-1)?.[0]).toBe('60')
  })

  test('where it cannot be said the page says so, and does not wait for ever', async () => {
    jest.spyOn(console, 'error').mockImplementation(() => undefined)
    const garage = workshop(20)
    const bikes = new Map(garage.bikes)
    bikes.set('odd', { entry: undefined } as unknown as BikeState)
    render(page({ ...garage, bikes }))
    expect((await screen.findByRole('alert')).textContent).toMatch(/undefined/)
  })
})
