import { expect, test } from '@jest/globals'
import { isAtOdds, type SeenAs } from './teeth-at-odds.ts'

const seen = (word: SeenAs['word'], day: string): SeenAs => ({ word, at: `${day}T12:00:00.000Z` })

test('teeth that look two words less worn later than before are at odds, however much later', () => {
  expect(isAtOdds(seen('swap', '2026-01-05'), seen('good', '2026-11-05'))).toBe(true)
  expect(isAtOdds(seen('good', '2026-11-05'), seen('swap', '2026-01-05'))).toBe(true)
  expect(isAtOdds(seen('swap', '2026-01-05'), seen('watch', '2026-11-05'))).toBe(false)
})

test('teeth that have worn on are not, unless it was in no time', () => {
  expect(isAtOdds(seen('good', '2026-01-05'), seen('spent', '2026-11-05'))).toBe(false)
  expect(isAtOdds(seen('good', '2026-11-05'), seen('swap', '2026-11-05'))).toBe(true)
  expect(isAtOdds(seen('good', '2026-11-05'), seen('swap', '2026-11-20'))).toBe(true)
  expect(isAtOdds(seen('good', '2026-11-05'), seen('watch', '2026-11-06'))).toBe(false)
})
