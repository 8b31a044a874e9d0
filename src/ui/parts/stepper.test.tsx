import { afterEach, describe, expect, test } from '@jest/globals'
import { cleanup, render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { useState } from 'react'
import { INSTRUMENTS } from '../../core/measure/instruments.ts'
import type { Instrument } from '../../core/measure/reading.ts'
import { InstrumentPicture } from '../drawings/InstrumentPicture.tsx'
import { Stepper } from './Stepper.tsx'

afterEach(cleanup)

function Length({ from }: { readonly from: number }) {
  const [value, setValue] = useState(from)
  return (
    <Stepper label="Length, mm" value={value} step={0.5} min={304.8} max={306} digits={2} onStep={setValue} />
  )
}
const shown = () => screen.getByLabelText<HTMLInputElement>('Length, mm').value

describe('a stepper', () => {
  test('is changed without typing, and stays within its ends', async () => {
    render(<Length from={305} />)
    await userEvent.click(screen.getByRole('button', { name: 'Length, mm: more' }))
    expect(shown()).toBe('305.5')
    for (let i = 0; i < 4; i++)
      await userEvent.click(screen.getByRole('button', { name: 'Length, mm: more' }))
    expect(shown()).toBe('306')
    for (let i = 0; i < 9; i++)
      await userEvent.click(screen.getByRole('button', { name: 'Length, mm: less' }))
    expect(shown()).toBe('304.8')
  })

  test('begins at a new chain’s length where nothing was read yet', async () => {
    render(<Length from={NaN} />)
    expect(shown()).toBe('')
    await userEvent.click(screen.getByRole('button', { name: 'Length, mm: more' }))
    expect(shown()).toBe('305.3')
  })

  test('takes typing too', async () => {
    render(<Length from={NaN} />)
    await userEvent.type(screen.getByLabelText('Length, mm'), '305.7')
    expect(shown()).toBe('305.7')
  })
})

describe('the picture of an instrument', () => {
  const drawn = (
    instrument: Instrument,
    props: { result?: 'clear' | 'drops'; percent?: number } = {},
  ): string => {
    const { container } = render(<InstrumentPicture instrument={instrument} {...props} />)
    const picture = container.innerHTML
    cleanup()
    return picture
  }

  test('is its own for each, and says nothing a screen reader would miss', () => {
    const pictures = (Object.keys(INSTRUMENTS) as Instrument[]).map((instrument) => drawn(instrument))
    expect(new Set(pictures).size).toBe(pictures.length)
    for (const picture of pictures) expect(picture).toContain('aria-hidden="true"')
  })

  test('shows how far a side went in, and where a pointer stands', () => {
    expect(drawn('two-contact-limit', { result: 'drops' })).not.toBe(
      drawn('two-contact-limit', { result: 'clear' }),
    )
    expect(drawn('three-contact-scale', { percent: 0.2 })).not.toBe(
      drawn('three-contact-scale', { percent: 0.8 }),
    )
  })
})
