import { expect, test } from '@jest/globals'
import { commuter, noon, ride, written } from '../../../test/log.ts'
import type { EntryDraft } from './entries.ts'
import { followVisible, visible } from './visible.ts'

const named = (text: string): EntryDraft => ({
  kind: 'note',
  at: noon(1, 2),
  about: 'heron',
  text,
})
const [bike] = written(commuter)
if (!bike || bike.kind !== 'bike') throw new Error('the commuter begins with its bike')

test.each([
  ['a mark that turns the direction', 'Her\u202eon', 'Heron'],
  ['an isolate and its end', '\u2066Heron\u2069', 'Heron'],
  ['a space of no width', 'Her\u200bon\ufeff', 'Heron'],
  ['a soft hyphen', 'Her\u00adon', 'Heron'],
  ['tags', 'Heron\u{e0041}\u{e0042}', 'Heron'],
])('%s is not in a name that is shown', (_what, name, shown) => {
  expect(visible({ ...bike, name })).toMatchObject({ name: shown, id: bike.id })
})

test('letters that are joined by a sign without width stay as they are written', () => {
  const name = 'می\u200cخواهم 👨\u200d🔧'
  const entry = { ...bike, name }
  expect(visible(entry)).toBe(entry)
})

test('a log without such letters is the very list, and a growing one is looked at once', () => {
  const follow = followVisible()
  const log = written([...commuter, ride(1, 5, 40)])
  expect(follow(log)).toBe(log)
  const more = [...log, ...written([named('at the quay\u202e')])]
  const shown = follow(more)
  expect(shown).not.toBe(more)
  expect(shown.slice(0, log.length)).toEqual(log)
  expect(JSON.stringify(shown)).not.toMatch(/\u202e/)
  // The same entry is the same again, so that what is worked out for it is not worked out anew.
  expect(follow([...more])[more.length - 1]).toBe(shown.at(-1))
})

test('writers’ names are shown so too', () => {
  expect(visible({ ...bike, writtenBy: 'A\u2067da' })).toMatchObject({ writtenBy: 'Ada' })
})
