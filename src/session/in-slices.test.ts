import { expect, test } from '@jest/globals'
import { inSlices } from './in-slices.ts'

/** Steps that each hold the page for so long, ms. */
function* slow(count: number, eachMs: number, walked: number[] = []): Generator<void, string, undefined> {
  for (let i = 0; i < count; i++) {
    const until = performance.now() + eachMs
    while (performance.now() < until);
    walked.push(i)
    yield
  }
  return 'all of them'
}

test('what fits in one slice is walked at once', async () => {
  const walked: number[] = []
  const coming = inSlices(slow(5, 0, walked))
  expect(walked).toEqual([0, 1, 2, 3, 4])
  expect(await coming).toBe('all of them')
})

test('others have their turn between two slices', async () => {
  const walked: number[] = []
  const seen: number[] = []
  const coming = inSlices(slow(12, 8, walked))
  expect(walked.length).toBeLessThan(12)
  const look = (): void => {
    seen.push(walked.length)
    if (walked.length < 12) setTimeout(look)
  }
  setTimeout(look)
  expect(await coming).toBe('all of them')
  // Each look found the walk further on than the one before: the page was never held to its end.
  expect(seen.length).toBeGreaterThan(1)
  expect([...seen].sort((a, b) => a - b)).toEqual(seen)
})

test('what nobody wants any longer is left where it is', async () => {
  const walked: number[] = []
  let isWanted = true
  const coming = inSlices(slow(1000, 5, walked), () => isWanted)
  isWanted = false
  expect(await coming).toBeUndefined()
  expect(walked.length).toBeLessThan(1000)
})

test('a step that fails fails the whole walk', async () => {
  function* failing(): Generator<void, string, undefined> {
    yield
    throw new RangeError('no such chain')
  }
  await expect(inSlices(failing())).rejects.toThrow('no such chain')
})
