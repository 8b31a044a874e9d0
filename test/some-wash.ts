import fc from 'fast-check'
import { KIT_TOOLS, WASH_WAYS } from '../src/core/lube/wash-ways.ts'
import { WAYS } from '../src/core/lube/ways.ts'
import type { WashJob } from '../src/core/session/wash-steps.ts'

/** A wash of any way, of any bike, with any kit; chains are named after the bike. */
export const someWash = (bike = ''): fc.Arbitrary<WashJob> =>
  fc
    .record({
      way: fc.constantFrom(...WASH_WAYS),
      hasDiscs: fc.boolean(),
      isElectric: fc.boolean(),
      spares: fc.nat({ max: 2 }),
      kit: fc.subarray([...KIT_TOOLS]),
    })
    .map(({ way, hasDiscs, isElectric, spares, kit }): WashJob => {
      const isPot = way === 're-wax' || way === 'strip-wax'
      const on = `${bike}on`
      const chains = [on, ...Array.from({ length: isPot ? spares : 0 }, (_, i) => `${bike}spare ${i}`)]
      return {
        way,
        lube: WAYS[way].lubes[0] ?? 'wet-lube',
        bike: { hasDiscs, isElectric },
        chains: chains.map((id) => ({ id, isOn: id === on })),
        fits: chains.at(-1) ?? on,
        kit,
      }
    })
