import { afterEach, describe, expect, test } from '@jest/globals'
import { cleanup, fireEvent, render, screen } from '@testing-library/react'
import { useState } from 'react'
import { useInTurn } from './use-in-turn.ts'
import { useOnce } from './use-once.ts'

afterEach(cleanup)

/** A write that ends when the test says so. */
function slowWrite() {
  const waiting: (() => void)[] = []
  let count = 0
  return {
    count: () => count,
    run: () =>
      new Promise<void>((resolve) => {
        count++
        waiting.push(resolve)
      }),
    end: () => waiting.shift()?.(),
  }
}
const later = () => new Promise((resolve) => setTimeout(resolve, 10))

describe('a button that writes', () => {
  test('pressed five times while it is slow writes once, says that it is busy, and can then be pressed again', async () => {
    const write = slowWrite()
    function Adder() {
      const [add, busy] = useOnce(write.run)
      return <button onClick={add}>{busy ? 'Adding…' : 'Add'}</button>
    }
    render(<Adder />)
    const button = screen.getByRole('button')
    for (let i = 0; i < 5; i++) fireEvent.click(button)
    expect(write.count()).toBe(1)
    expect(button.textContent).toBe('Adding…')
    write.end()
    await screen.findByText('Add')
    await later()
    fireEvent.click(button)
    expect(write.count()).toBe(2)
  })
})

describe('keys hit one after another', () => {
  test('are each answered in turn, by what the screen shows by then', async () => {
    const seen: number[] = []
    function Counter() {
      const [at, setAt] = useState(0)
      const press = useInTurn(async () => {
        seen.push(at)
        await later()
        setAt(at + 1)
      })
      return <button onClick={press}>{at}</button>
    }
    render(<Counter />)
    for (let i = 0; i < 3; i++) fireEvent.click(screen.getByRole('button'))
    await screen.findByText('3')
    expect(seen).toEqual([0, 1, 2])
  })
})
