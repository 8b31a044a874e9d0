import { afterEach, describe, expect, test } from '@jest/globals'
import { cleanup, render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { ForecastsContext, type ForecastStore, type GroupForecast } from '../session/use-forecasts.ts'
import { WorkingLine } from './WorkingLine.tsx'

afterEach(cleanup)

/** The line over some forecasts, and how often they were stopped and taken up. */
function shown(...groups: readonly Partial<GroupForecast>[]) {
  const asked = { stopped: 0, resumed: 0 }
  const whole = groups.map((group, i) => ({ id: `${i}`, bikes: [], chains: [], fresh: false, ...group }))
  const store: ForecastStore = {
    subscribe: () => () => undefined,
    groups: () => whole,
    stop: () => void asked.stopped++,
    resume: () => void asked.resumed++,
    askFirst: () => undefined,
  }
  const { container } = render(
    <ForecastsContext value={store}>
      <WorkingLine />
    </ForecastsContext>,
  )
  const bar = container.querySelector<HTMLElement>('span[style]')
  return { asked, width: bar?.style.width, text: screen.getByRole('status').textContent }
}

describe('the line under the bar', () => {
  test('says that chains are being worked out, and how far that is', () => {
    const { text, width } = shown({ fresh: true }, { progress: 0.5 }, {}, {})
    expect(text).toContain('Working out the chains…')
    expect(width).toBe('38%')
  })

  test('lets the work be left, and taken up', async () => {
    const { asked } = shown({ progress: 0.1 })
    await userEvent.click(screen.getByRole('button', { name: 'Not now' }))
    expect(asked).toEqual({ stopped: 1, resumed: 0 })
    cleanup()
    const left = shown({ stopped: true }, { fresh: true })
    expect(left.text).toContain('the answers shown may be older than the log')
    await userEvent.click(screen.getByRole('button', { name: 'Work it out' }))
    expect(left.asked).toEqual({ stopped: 0, resumed: 1 })
  })

  test('says so where something went wrong, rather than that it was stopped', () => {
    const { text } = shown({ fault: 'no number' }, { stopped: true })
    expect(text).toContain('The chains could not be worked out.')
    expect(text).not.toContain('Stopped')
  })

  test('is empty where everything is worked out, and where there is nothing to', () => {
    expect(shown({ fresh: true }).text).toBe('')
    cleanup()
    expect(shown().text).toBe('')
  })
})
