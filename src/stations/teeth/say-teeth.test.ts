import { describe, expect, test } from '@jest/globals'
import type { CogRisk } from '../../core/strategy/facts/teeth-facts.ts'
import { sayChainAsked, sayCogRisks } from './say-teeth.ts'

const plain = (text: string): string => text.replaceAll('\u00a0', ' ')
const cog = (teeth: number, fresh: number, asked?: number, soldSingly = true): CogRisk => ({
  part: 'cassette',
  teeth,
  soldSingly,
  fresh,
  now: 0.004,
  ...(asked !== undefined && { asked }),
})

describe('what is said of cogs', () => {
  test('a fresh chain: those where it is likely to skip, what to replace, and those in doubt', () => {
    const said = sayCogRisks([cog(13, 0.64), cog(15, 0.75), cog(18, 0.3), cog(24, 0.05)])
    expect(`${said.subject}${said.strong}${said.advice}`).toBe(
      'A fresh chain will probably skip on the 13 and 15. Replace those cogs, or keep the old chain.',
    )
    expect(plain(said.detail)).toContain('about 3 in 4 on the worst')
    expect(plain(said.detail)).toContain('It may skip on the 18 too')
    expect(plain(said.detail)).toContain('The other 1 cog is good')
    expect(sayCogRisks([cog(13, 0.64, undefined, false)]).advice).toContain('Replace the cassette')
  })

  test('the chain that is on runs, and the fresh one is not forgotten', () => {
    const said = sayChainAsked([cog(13, 0.64, 0.01), cog(15, 0.75, 0.02)], undefined)
    expect(`${said.subject}${said.strong}${said.advice}`).toBe('The chain that is on runs on all cogs.')
    expect(said.detail).toContain('A fresh one will probably skip on the 13 and 15.')
    expect(sayChainAsked([cog(13, 0.1, 0.02)], undefined).detail).toContain('So will a fresh one.')
  })

  test('one from the shelf is named, and the one that is on stays where it would skip', () => {
    const said = sayChainAsked([cog(13, 0.9, 0.6), cog(15, 0.75, 0.1)], 'Chain 2')
    expect(`${said.subject}${said.strong}`).toBe('Chain 2 will probably skip on the 13.')
    expect(said.advice).toContain('leave on the chain that is on')
    expect(sayChainAsked([cog(13, 0.9, 0.3)], 'Chain 2').advice).toBe(' Keep the one that is on.')
  })
})
