import { describe, expect, test } from '@jest/globals'
import { reportOn } from '../../../../test/judged.ts'
import { commuter, noon, written } from '../../../../test/log.ts'
import type { EntryDraft } from '../../../core/log/entries.ts'
import { fittedLink } from '../../../core/log/garage.ts'
import { replay } from '../../../core/log/replay.ts'
import { beginStep, finishHands, startRun, type WashRun } from '../../../core/session/run.ts'
import { washSteps, type WashJob } from '../../../core/session/wash-steps.ts'
import { closingsOf } from '../../../core/strategy/fitting-checks.ts'
import { entriesOf, lastTouchMs } from './run-entries.ts'

const job: WashJob = {
  way: 're-wax',
  lube: 'immersion-wax',
  bike: { hasDiscs: false, isElectric: false },
  chains: [
    { id: 'chain', isOn: true },
    { id: 'spare', isOn: false },
  ],
  fits: 'spare',
  kit: ['stand', 'pot'],
}
const log: readonly EntryDraft[] = [
  ...commuter,
  {
    kind: 'part',
    at: noon(1, 2),
    part: 'spare',
    name: 'Spare',
    spec: { type: 'chain', links: 114, speeds: 11, past: 'new' },
  },
  {
    kind: 'part',
    at: noon(1, 2),
    part: 'link',
    name: 'Link',
    spec: { type: 'joining-link', speeds: 11, closingsAllowed: 3, closedBefore: 1 },
  },
  { kind: 'fit', at: noon(1, 2), part: 'link', bike: 'heron' },
]
const MIN = 60_000
/** Every step done, four minutes each. */
const allDone = (): WashRun =>
  washSteps(job).reduce(
    (run, { id }, i) => finishHands(beginStep(run, id, 4 * i * MIN), id, 4 * (i + 1) * MIN),
    startRun(washSteps(job), 0),
  )
const garage = replay(written(log))
const held = fittedLink(garage, 'heron')
const ended = (run: WashRun, joined: 'same' | 'new') =>
  entriesOf(
    { washes: [{ bike: 'heron', job }], run },
    {
      at: noon(4, 1),
      minutes: 80,
      isBareMeant: true,
      bikes: new Map([['heron', { report: reportOn(log), ...(held && { link: { held, joined } }) }]]),
      newId: () => 'fresh-link',
    },
  )

describe('what a wash leaves in the log', () => {
  test('both chains waxed, the spare on the bike, the link closed once more, and the minutes a chain', () => {
    const after = replay(written([...log, ...ended(allDone(), 'same')]))
    expect(after.washes.get('chain')?.at(-1)).toMatchObject({ lube: 'immersion-wax', way: 're-wax' })
    expect(after.washes.get('spare')?.at(-1)).toMatchObject({ method: 'off-bike' })
    expect(after.parts.get('spare')?.fittings.at(-1)).toMatchObject({ bike: 'heron' })
    expect(after.parts.get('chain')?.fittings.at(-1)?.to).toBe(noon(4, 1))
    const link = after.parts.get('link')
    expect(held && closingsOf(held)).toBe(2)
    expect(link && closingsOf(link)).toBe(3)
    expect(after.listed.session.get('heron')?.[0]).toMatchObject({ minutes: 80, stepMin: { inspect: 2 } })
  })

  test('a fresh joining link takes the place of the one that is used up', () => {
    const after = replay(written([...log, ...ended(allDone(), 'new')]))
    expect(after.parts.get('link')?.retired).toBe(true)
    expect(fittedLink(after, 'heron')?.entry.spec).toMatchObject({ closingsAllowed: 3, closedBefore: 0 })
  })

  test('links that were marked and not saved are not lost', () => {
    const found = [{ link: 12, fault: 'standing-pin' as const }]
    const drafts = entriesOf(
      { washes: [{ bike: 'heron', job }], run: allDone(), links: { chain: found, spare: [] } },
      { bikes: new Map(), at: noon(4, 1), minutes: 80, isBareMeant: false, newId: () => 'x' },
    )
    expect(drafts.filter(({ kind }) => kind === 'link-check')).toEqual([
      { kind: 'link-check', at: noon(4, 1), chain: 'chain', found },
    ])
  })

  test('nothing done leaves nothing, and what was cleaned and left bare says so', () => {
    const begun = startRun(washSteps(job), 0)
    expect(ended(begun, 'same')).toEqual([])
    const soaked = finishHands(beginStep(begun, 'soak-water', 0), 'soak-water', 3 * MIN)
    expect(ended(soaked, 'same')).toContainEqual(
      expect.objectContaining({ kind: 'wash', chain: 'chain', lube: 'none' }),
    )
    expect(lastTouchMs({ run: soaked })).toBe(3 * MIN)
  })
})
