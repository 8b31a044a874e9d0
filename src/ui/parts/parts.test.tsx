import { afterEach, describe, expect, jest, test } from '@jest/globals'
import { cleanup, render, screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { useState } from 'react'
import { ToothGlyph, WearMark } from '../glyphs/ToothGlyph.tsx'
import { Answer } from './Answer.tsx'
import { Choice, SelectField, TextField } from './fields.tsx'
import { Notices, useNotice } from './notices.tsx'
import { Sheet } from './Sheet.tsx'

afterEach(cleanup)

describe('a field', () => {
  test('says what is wrong with it right where it is, and to a screen reader', () => {
    render(
      <TextField
        label="Length, mm"
        hint="new: 304.8 mm"
        fault="Read the length off the rule."
        defaultValue="12"
      />,
    )
    const input = screen.getByLabelText<HTMLInputElement>('Length, mm')
    expect(input.getAttribute('aria-invalid')).toBe('true')
    const told = (input.getAttribute('aria-describedby') ?? '')
      .split(' ')
      .map((id) => document.getElementById(id)?.textContent)
    expect(told).toEqual(['new: 304.8 mm', 'Read the length off the rule.'])
    expect(input.value).toBe('12')
  })

  test('without a fault claims none', () => {
    render(<TextField label="Length, mm" />)
    expect(screen.getByLabelText('Length, mm').hasAttribute('aria-invalid')).toBe(false)
    expect(screen.queryByRole('alert')).toBeNull()
  })

  test('of several takes the one picked', async () => {
    const picked = jest.fn()
    const roads: Record<'dry' | 'mud', string> = { dry: 'dry road', mud: 'mud' }
    render(<SelectField label="Conditions" options={roads} value="dry" onPick={picked} />)
    await userEvent.selectOptions(screen.getByLabelText('Conditions'), 'mud')
    expect(picked).toHaveBeenCalledWith('mud')
  })
})

function Sides() {
  const [side, setSide] = useState<'clear' | 'drops'>()
  return (
    <Choice
      legend="The 0.75 side"
      value={side}
      onPick={setSide}
      options={[
        { value: 'clear', label: 'does not enter' },
        { value: 'drops', label: 'drops in' },
      ]}
    />
  )
}

describe('a choice', () => {
  test('is a named group in which nothing is chosen until something is', async () => {
    render(<Sides />)
    const group = screen.getByRole('group', { name: 'The 0.75 side' })
    expect(within(group).queryByRole('radio', { checked: true })).toBeNull()
    await userEvent.click(screen.getByRole('radio', { name: 'drops in' }))
    expect(screen.getByRole<HTMLInputElement>('radio', { name: 'drops in' }).checked).toBe(true)
  })

  test('is reached and changed by keyboard', async () => {
    render(<Sides />)
    await userEvent.tab()
    expect(document.activeElement).toBe(screen.getByRole('radio', { name: 'does not enter' }))
    await userEvent.keyboard(' ')
    expect(screen.getByRole<HTMLInputElement>('radio', { name: 'does not enter' }).checked).toBe(true)
  })
})

describe('wear words', () => {
  test('always stand beside their glyph, which itself says nothing', () => {
    for (const word of ['fresh', 'good', 'watch', 'swap', 'spent', 'unsure'] as const) {
      const { container } = render(<WearMark word={word} />)
      expect(container.textContent).toBe(word)
      expect(container.querySelector('svg')?.getAttribute('aria-hidden')).toBe('true')
      cleanup()
    }
  })

  test('have six different teeth, and unsure alone is dashed', () => {
    const shapes = (['fresh', 'good', 'watch', 'swap', 'spent', 'unsure'] as const).map((word) => {
      const { container } = render(<ToothGlyph word={word} />)
      const path = container.querySelector('path')
      const shape = `${path?.getAttribute('d')} ${path?.getAttribute('stroke-dasharray')}`
      cleanup()
      return shape
    })
    expect(new Set(shapes).size).toBe(6)
    expect(shapes.filter((shape) => !shape.endsWith('null'))).toEqual([shapes[5]])
  })
})

test('an answer is the station’s one heading, with its word for those who cannot see the mark', () => {
  render(
    <Answer word="watch" detail="Six readings." action={<button type="button">Measure it</button>}>
      The chain is at 0.56 %.
    </Answer>,
  )
  expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('The chain is at 0.56 %.')
  expect(screen.getByText('watch')).not.toBeNull()
  expect(screen.getByText('Six readings.')).not.toBeNull()
})

test('a sheet opens with the first thing to do in hand and closes on Escape', async () => {
  const closed = jest.fn()
  render(
    <Sheet open onClose={closed} title="New entry" note="What was done?">
      <button type="button">A reading</button>
    </Sheet>,
  )
  expect(screen.getByRole('dialog', { name: 'New entry' })).not.toBeNull()
  expect(document.activeElement?.textContent).toBe('A reading')
  await userEvent.keyboard('{Escape}')
  expect(closed).toHaveBeenCalled()
})

test('a notice says what was done and offers the way back', async () => {
  const undone = jest.fn()
  function Teller() {
    const tell = useNotice()
    return (
      <button type="button" onClick={() => tell('3 rides added.', { label: 'Undo', run: undone })}>
        Add
      </button>
    )
  }
  render(
    <Notices>
      <Teller />
    </Notices>,
  )
  await userEvent.click(screen.getByRole('button', { name: 'Add' }))
  expect(await screen.findByText('3 rides added.')).not.toBeNull()
  await userEvent.click(screen.getByRole('button', { name: 'Undo' }))
  expect(undone).toHaveBeenCalledTimes(1)
})
