import { describe, expect, test } from '@jest/globals'
import type { About, AnyCause, AnyFinding } from '../../core/faults/finder.ts'
import type { Network } from '../../core/faults/network.ts'
import { NOISES } from '../../core/faults/noise-network.ts'
import { SHIFTING } from '../../core/faults/shifting-network.ts'
import { sayWhyShown, sayWhyUsual } from './whys.ts'

describe('the reasons for the numbers of the fault finder', () => {
  test.each<readonly [About, Network]>([
    ['shifting', SHIFTING],
    ['noise', NOISES],
  ])('every number of %s has one, a sentence', (about, network) => {
    for (const cause of Object.keys(network.causes))
      expect(sayWhyUsual(about, cause as AnyCause)).toMatch(/^[A-Z].{9,}\.$/)
    for (const [finding, { rows }] of Object.entries(network.findings))
      for (const cause of Object.keys(rows))
        expect(sayWhyShown(about, finding as AnyFinding, cause as AnyCause)).toMatch(/^[A-Z].{9,}\.$/)
  })

  test('what is of the other network has none', () => {
    expect(sayWhyUsual('shifting', 'saddle')).toBe('')
    expect(sayWhyShown('noise', 'climb', 'frame-flex')).toBe('')
  })
})
