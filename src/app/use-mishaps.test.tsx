import { expect, test } from '@jest/globals'
import { act, render, screen } from '@testing-library/react'
import { Notices } from '../ui/parts/notices.tsx'
import { mishapOf, useMishaps } from './use-mishaps.ts'

const happening = (type: string, of: object): Event => Object.assign(new Event(type), of)
const rejected = (reason: unknown) => happening('unhandledrejection', { reason })

test('a promise that nobody caught, an error and a refused worker are heard of', () => {
  expect(mishapOf(rejected(new Error('It is gone.')))).toBe('It is gone.')
  expect(mishapOf(rejected('said in words'))).toBe('said in words')
  expect(mishapOf(happening('error', { error: new TypeError('no such thing') }))).toBe('no such thing')
  expect(mishapOf(happening('error', { message: 'Script error.' }))).toBe('Script error.')
  expect(mishapOf(happening('securitypolicyviolation', { effectiveDirective: 'worker-src' }))).toMatch(
    /refused/,
  )
})

test('what is no fault, or told elsewhere, is not', () => {
  expect(
    mishapOf(happening('securitypolicyviolation', { effectiveDirective: 'style-src-attr' })),
  ).toBeUndefined()
  expect(mishapOf(rejected(new DOMException('stopped', 'AbortError')))).toBeUndefined()
  expect(mishapOf(happening('error', { message: 'ResizeObserver loop limit exceeded' }))).toBeUndefined()
  expect(mishapOf(rejected(new Error('Failed to fetch dynamically imported module: x')))).toBeUndefined()
  expect(mishapOf(happening('error', {}))).toBeUndefined()
})

function Page() {
  useMishaps()
  return null
}

test('it is told once, however often it happens, and the page goes on', async () => {
  render(
    <Notices>
      <Page />
    </Notices>,
  )
  act(() => {
    for (let i = 0; i < 5; i++) window.dispatchEvent(rejected(new Error('The disk is away.')))
  })
  expect(await screen.findAllByText(/Something failed out of sight: The disk is away\. Look/)).toHaveLength(1)
})
