import { afterAll, beforeAll } from '@jest/globals'

/** Heights that nothing has where nothing is laid out, px: a list that draws what is in sight alone needs some. */
const HEIGHTS = { clientHeight: 4000, offsetHeight: 50 } as const

/** Gives everything a height for the tests of a file, so that long lists are drawn. */
export function giveHeights(): void {
  const held = Object.getOwnPropertyDescriptors(HTMLElement.prototype)
  beforeAll(() => {
    for (const [name, value] of Object.entries(HEIGHTS))
      Object.defineProperty(HTMLElement.prototype, name, { value, configurable: true })
  })
  afterAll(() => {
    for (const name of Object.keys(HEIGHTS) as (keyof typeof HEIGHTS)[]) {
      Reflect.deleteProperty(HTMLElement.prototype, name)
      if (held[name]) Object.defineProperty(HTMLElement.prototype, name, held[name])
    }
  })
}
