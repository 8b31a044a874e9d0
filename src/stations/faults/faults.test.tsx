import { afterEach, describe, expect, test } from '@jest/globals'
import { cleanup, fireEvent, render, screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { openLog } from '../../../test/open-log.tsx'
import { commuter, noon, ride } from '../../../test/log.ts'
import { SHIFTING } from '../../core/faults/shifting-network.ts'
import { NOISES } from '../../core/faults/noise-network.ts'
import type { AnyFinding } from '../../core/faults/finder.ts'
import { tapPeriod } from '../../core/faults/tap-period.ts'
import { CAUSE_NAMES, NOISE_NAMES } from '../../words/faults/causes.ts'
import { FINDING_WORDS } from '../../words/faults/findings.ts'
import { REPAIRS } from '../../words/faults/repairs.ts'
import { blamedCogs, sayMoved } from '../../words/faults/say-fault.ts'
import { sayRhythm } from '../../words/faults/tap-words.ts'
import { CogPick } from './CogPick.tsx'
import { TestDrawing } from './drawings/TestDrawing.tsx'
import Faults from './Faults.tsx'
import { entryAnswers, givenOf, withAnswer } from './given.ts'
import { EMPTY_SEARCH, keepSearch, recallSearch } from './kept-search.ts'

afterEach(() => {
  cleanup()
  localStorage.clear()
})
const LOG = [...commuter, ride(1, 2, 400)]
const COGS = [11, 13, 15, 17, 19, 21, 24, 28, 32, 37, 42]

describe('the words', () => {
  const findings = { ...SHIFTING.findings, ...NOISES.findings }
  test('every finding has a word for each of its values, and every test says how it is made', () => {
    for (const [name, { values, way }] of Object.entries(findings)) {
      const words = FINDING_WORDS[name as AnyFinding]
      expect([name, Object.keys(words.values).sort()]).toEqual([name, [...values].sort()])
      if (way !== 'feel') expect([name, words.how?.length ?? 0]).not.toEqual([name, 0])
      if (way === 'wheel-up' || way === 'ride') expect([name, words.caution]).not.toEqual([name, undefined])
    }
  })

  test('every cause has a name and a repair with steps; what may throw a rider has a caution', () => {
    const causes = [...Object.keys(SHIFTING.causes), ...Object.keys(NOISES.causes)]
    expect(Object.keys({ ...CAUSE_NAMES, ...NOISE_NAMES }).sort()).toEqual([...new Set(causes)].sort())
    for (const { steps } of Object.values(REPAIRS)) expect(steps.length).toBeGreaterThan(0)
    for (const cause of ['worn-cogs', 'worn-chain', 'worn-ring', 'freehub', 'broken-tooth'] as const)
      expect(REPAIRS[cause].caution).toMatch(/throws/)
  })

  test('every test is drawn, with words for those who do not see it', () => {
    for (const [name, { way }] of Object.entries(findings)) {
      if (way === 'feel') continue
      const { container } = render(<TestDrawing finding={name as AnyFinding} cogs={COGS} />)
      expect([name, container.querySelectorAll('svg').length]).not.toEqual([name, 0])
      cleanup()
    }
  })

  test('worn cogs are named: those tapped, else those that skip most', () => {
    expect(blamedCogs([15, 13], [])).toEqual([13, 15])
    const risks = [
      { teeth: 11, p: 0.7 },
      { teeth: 13, p: 0.5 },
      { teeth: 15, p: 0.1 },
    ]
    expect(blamedCogs([], risks)).toEqual([11, 13])
    expect(blamedCogs([11, 13, 15, 17], risks)).toEqual([11, 13])
    expect(blamedCogs([], [{ teeth: 11, p: 0.1 }])).toEqual([])
  })

  test('what an answer moved is said by what moved most', () => {
    expect(sayMoved([{ cause: 'worn-chain', from: 0.2, to: 0.6 }])).toMatch(/^a worn chain 20.% → 60.%$/)
    expect(sayMoved([{ cause: 'worn-chain', from: 0.2, to: 0.205 }])).toBe('moved hardly anything')
  })

  test('a rhythm is said with how sure, or why it cannot be', () => {
    const bike = { links: 112, ring: 42, cog: 17 }
    const turns = Array.from({ length: 17 }, (_, i) => i)
    const chain = tapPeriod({ jerks: [0.5, 3.17, 5.83, 8.5, 11.17, 13.83], turns }, bike)
    expect(sayRhythm(chain, bike)).toMatch(
      /every 2\.67 crank turns: once per turn of the chain .* stiff or bad link\./,
    )
    expect(sayRhythm(tapPeriod({ jerks: [1], turns }, bike), bike)).toMatch(/^Too few jerks/)
  })
})

describe('a search in hand', () => {
  test('is kept from one visit to the next, and what cannot be read is no search', () => {
    const search = { ...EMPTY_SEARCH, complaints: ['slips'] as const, cogs: [11], later: ['gauge'] as const }
    keepSearch('own', 'heron', search)
    expect(recallSearch('own', 'heron')).toEqual(search)
    expect(recallSearch('demo', 'heron')).toEqual(EMPTY_SEARCH)
    localStorage.setItem('jolt-mile fault own heron', '{"about":"weather"}')
    expect(recallSearch('own', 'heron')).toEqual(EMPTY_SEARCH)
    keepSearch('own', 'heron', EMPTY_SEARCH)
    expect(localStorage.getItem('jolt-mile fault own heron')).toBeNull()
  })

  test('answers are what was tapped; a cog that the bike does not have is passed over', () => {
    const search = { ...EMPTY_SEARCH, complaints: ['jumps'] as const, cogs: [12, 13] }
    expect(givenOf(search, COGS)).toMatchObject({ jumps: 'yes', cogs: 'one' })
    const both = withAnswer(search, 'load', ['hard-only', 'light-too'])
    expect(givenOf(both, COGS).load).toEqual(['hard-only', 'light-too'])
    expect(givenOf(withAnswer(both, 'load', []), COGS)).not.toHaveProperty('load')
    expect(entryAnswers({ ...both, tapped: { chain: 0.9, none: 0.1 } })).toEqual([
      { finding: 'jumps', said: ['yes'] },
      { finding: 'period', said: ['chain'] },
      { finding: 'load', said: ['hard-only', 'light-too'] },
    ])
  })

  test('cogs are tapped on the drawn cassette, all at once or none', async () => {
    let picked: readonly number[] = []
    const { rerender } = render(<CogPick cogs={COGS} picked={picked} onPick={(next) => (picked = next)} />)
    await userEvent.click(screen.getByRole('button', { name: 'Cog 13' }))
    expect(picked).toEqual([13])
    rerender(<CogPick cogs={COGS} picked={picked} onPick={(next) => (picked = next)} />)
    await userEvent.click(screen.getByRole('button', { name: 'All of them' }))
    expect(picked).toEqual(COGS)
  })
})

describe('Fault finder', () => {
  test('asks, ranks, tells what each answer moved, and takes it back', async () => {
    const { show } = openLog(LOG)
    show(<Faults />)
    expect(screen.getByRole('heading', { level: 1 }).textContent).toMatch(/What does Heron do\?/)
    await userEvent.click(screen.getByRole('button', { name: 'The chain jumps to another cog and back' }))
    await userEvent.click(screen.getByRole('button', { name: 'lightly too' }))
    expect(screen.getByRole('heading', { level: 1 }).textContent).toMatch(/cable tension/)
    const moved = screen.getByRole('region', { name: 'What each answer moved' })
    expect(within(moved).getAllByRole('listitem')).toHaveLength(2)
    await userEvent.click(within(moved).getByRole('button', { name: /Take back: How hard/ }))
    expect(within(moved).getAllByRole('listitem')).toHaveLength(1)
  })

  test('a test is answered with one tap, or put off', async () => {
    const { show } = openLog(LOG)
    show(<Faults />)
    await userEvent.click(screen.getByRole('button', { name: 'The chain jumps to another cog and back' }))
    const test = () => screen.getByRole('region', { name: 'Next test' })
    const title = within(test()).getByRole('heading', { level: 3 }).textContent
    await userEvent.click(within(test()).getByRole('button', { name: 'Not now' }))
    expect(within(test()).getByRole('heading', { level: 3 }).textContent).not.toBe(title)
  })

  test('answers that contradict one another are said to', async () => {
    const { show } = openLog(LOG)
    show(<Faults />)
    await userEvent.click(screen.getByRole('button', { name: 'only hard' }))
    await userEvent.click(screen.getByRole('button', { name: 'lightly too' }))
    expect(screen.getByRole('alert').textContent).toMatch(/has two answers: it is counted as not sure/)
  })

  test('what was found is logged as mended, with what was answered', async () => {
    const { show, recorded } = openLog(LOG)
    show(<Faults />)
    await userEvent.click(screen.getByRole('button', { name: 'The pedals jump forward' }))
    await userEvent.click(screen.getByRole('button', { name: /^worn cogs/ }))
    await userEvent.click(screen.getByRole('button', { name: 'This is it: mend it' }))
    expect(screen.getByRole('link', { name: 'Check the teeth' })).toBeTruthy()
    await userEvent.click(screen.getByRole('button', { name: 'It is mended' }))
    expect(recorded).toMatchObject([
      {
        kind: 'fault',
        bike: 'heron',
        about: 'shifting',
        answers: [{ finding: 'slips', said: ['yes'] }],
        found: ['worn-cogs'],
        outcome: 'mended',
      },
    ])
  })

  test('a search that found nothing is logged as that, and begins anew', async () => {
    const { show, recorded } = openLog(LOG)
    show(<Faults />)
    await userEvent.click(screen.getByRole('button', { name: 'It grinds or rattles' }))
    await userEvent.click(screen.getByRole('button', { name: 'Cog 11' }))
    await userEvent.click(screen.getByRole('button', { name: 'Nothing found: log it' }))
    expect(recorded).toMatchObject([{ kind: 'fault', found: [], cogs: [11], outcome: 'not-found' }])
    expect(screen.getByRole('heading', { level: 1 }).textContent).toMatch(/What does Heron do\?/)
  })

  test('asks once after a ride whether it is gone', async () => {
    const { show, recorded } = openLog([
      ...LOG,
      {
        kind: 'fault',
        at: noon(2, 1),
        fault: 'f1',
        bike: 'heron',
        about: 'shifting',
        answers: [],
        found: ['bent-hanger'],
        outcome: 'mended',
      },
      ride(2, 3, 30),
    ])
    show(<Faults />)
    const asked = screen.getByRole('region', { name: 'After the repair' })
    expect(asked.textContent).toMatch(/Heron was ridden since you mended it/)
    await userEvent.click(within(asked).getByRole('button', { name: 'Still there' }))
    expect(recorded).toMatchObject([
      { kind: 'fault', fault: 'f1', afterwards: 'still-there', found: ['bent-hanger'] },
    ])
  })

  test('a noise has questions of its own', async () => {
    const { show } = openLog(LOG)
    show(<Faults />)
    await userEvent.click(screen.getByRole('button', { name: 'It creaks' }))
    await userEvent.click(screen.getByRole('button', { name: 'only seated' }))
    expect(screen.getByRole('heading', { level: 1 }).textContent).toMatch(/seat post|saddle/)
  })

  test('taps too few to tell a period are said to be', async () => {
    const { show } = openLog(LOG)
    show(<Faults />)
    await userEvent.click(screen.getByText(/Turn the crank and tap along/))
    await userEvent.click(screen.getByRole('button', { name: 'Start tapping' }))
    fireEvent.keyDown(window, { key: 'j' })
    fireEvent.pointerDown(screen.getByRole('button', { name: /^Crank round/ }))
    expect(screen.getByText('1 jerk, 0 turns')).toBeTruthy()
    await userEvent.click(screen.getByRole('button', { name: 'Stop' }))
    expect(screen.getByText(/^Too few jerks to tell/)).toBeTruthy()
  })
})
