import { describe, expect, test } from '@jest/globals'
import { commuter, written } from '../../../../test/log.ts'
import { replay } from '../../../core/log/replay.ts'
import type { Need } from '../../../core/strategy/shelf/shopping.ts'
import type { Offer } from '../../../services/parts-supplier.ts'
import { factsSchema, keptFacts, shownFacts } from './fact-fields.ts'
import { offerFor, pricesFrom } from './offers.ts'

const garage = replay(written(commuter))
const offer = (sku: string, more: Partial<Offer> = {}): Offer => ({
  sku,
  item: 'chain',
  name: sku,
  minor: 2000,
  currency: 'EUR',
  inStock: 2,
  leadDays: 3,
  facts: { speeds: 11 },
  ...more,
})
const need = (item: Need['item']): Need => ({ item, bike: 'heron', why: 'due', isSure: true })

describe('what a supplier has for a need', () => {
  test('of what fits, what is to be had comes first, then the cheaper', () => {
    const offers = [
      offer('sold-out', { minor: 500, inStock: 0 }),
      offer('dear', { minor: 3000 }),
      offer('cheap'),
      offer('ten', { minor: 100, facts: { speeds: 10 } }),
    ]
    expect(offerFor(garage, need('chain'), offers)).toMatchObject({
      offer: { sku: 'cheap' },
      isSubstitute: false,
      says: 'fits',
    })
  })

  test('where it is sold out another stands in; where nothing does, it is said to be sold out', () => {
    const pulleys = offer('pulleys', { item: 'pulleys', inStock: 0, facts: undefined as never })
    const whole = offer('whole', {
      item: 'derailleur',
      insteadOf: 'pulleys',
      facts: { speeds: 11, capacityTeeth: 40, largestCog: 46 },
    })
    expect(offerFor(garage, need('pulleys'), [pulleys, whole])).toMatchObject({
      offer: { sku: 'whole' },
      isSubstitute: true,
    })
    const short = { ...whole, facts: { speeds: 11, capacityTeeth: 20, largestCog: 46 } as never }
    expect(offerFor(garage, need('pulleys'), [pulleys, short])).toMatchObject({ offer: { sku: 'pulleys' } })
    expect(offerFor(garage, need('ring'), [pulleys])).toBeUndefined()
  })
})

describe('prices from a supplier', () => {
  const bike = garage.bikes.get('heron')
  if (!bike) throw new Error('no bike')
  test('are the cheapest of what may fit, by what each is priced as; what does not fit, or is other money, is left aside', () => {
    const offers = [
      offer('a', { minor: 3000 }),
      offer('b', { minor: 2500 }),
      offer('ten', { minor: 100, facts: { speeds: 10 } }),
      offer('pounds', { minor: 10, currency: 'GBP' }),
      offer('lube', { item: 'drip-lube', minor: 900 }),
      offer('hard', { item: 'hard-chain', minor: 6000 }),
    ]
    expect(pricesFrom(garage, bike, offers)).toEqual({
      currency: 'EUR',
      minor: { chain: 2500, hardChain: 6000 },
    })
    expect(pricesFrom(garage, bike, [])).toBeUndefined()
  })
})

describe('facts of fit as they are typed', () => {
  test('come back as they were, those that are left empty stay away, and what does not belong is not kept', async () => {
    const facts = { speeds: 11, teeth: [11, 13, 15], freehub: 'splined' }
    const typed = await factsSchema.validate(shownFacts(facts))
    expect(keptFacts(typed, 'cassette')).toEqual(facts)
    expect(keptFacts(typed, 'chain')).toEqual({ speeds: 11 })
    expect(keptFacts(await factsSchema.validate(shownFacts()), 'ring')).toBeUndefined()
  })

  test('a tooth count that cannot be is told', async () => {
    await expect(factsSchema.validate({ ...shownFacts(), teeth: '11 400' })).rejects.toThrow(
      'between 5 and 120',
    )
  })
})
