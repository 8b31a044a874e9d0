import { describe, expect, test } from '@jest/globals'
import { sayMeasured, sayPictureFault } from './say-picture.ts'

describe('what is said of a picture', () => {
  test('names the wear and how sure it is, and nothing where it is within that', () => {
    expect(sayMeasured({ valleyExcessMm: 0.42, sdMm: 0.09 })).toBe(
      'The valleys are 0.42 mm wider than new, give or take 0.09 mm.',
    )
    expect(sayMeasured({ valleyExcessMm: -0.04, sdMm: 0.09 })).toBe(
      'The valleys are as wide as new, within 0.18 mm.',
    )
  })

  test('says why there is none, and what to do', () => {
    expect(sayPictureFault('other-count', 'cog 19', 19, 17)).toContain(
      'I count 17 teeth here; cog 19 has 19.',
    )
    expect(sayPictureFault('blurred', 'cog 19', 19)).toContain('take another')
    expect(sayPictureFault('no-picture', 'cog 19', 19)).toContain('JPEG or PNG')
  })
})
