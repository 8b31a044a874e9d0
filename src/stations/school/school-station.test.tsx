import { afterEach, describe, expect, test } from '@jest/globals'
import { cleanup, fireEvent, screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { liveLog } from '../../../test/live-log.tsx'
import { commuter, noon, ride, ruleReading, written } from '../../../test/log.ts'
import { replay } from '../../core/log/replay.ts'
import type { EntryDraft } from '../../core/log/entries.ts'
import { LESSON_INSTRUMENTS } from '../../core/school/gauge-lesson.ts'
import { GAUGE_SLIPS, type LessonAnswer } from '../../core/log/kinds/lesson.ts'
import { SLIP_WORDS, sayOwnError, skillName } from '../../words/school-words.ts'
import School from './School.tsx'
import { dueAfter, gradeOf, SKILLS, skillsOf } from './schedule.ts'

afterEach(cleanup)
const NOW = noon(2, 1)
const LOG: readonly EntryDraft[] = [...commuter, ride(1, 2, 400)]
const lesson = (day: number, answer: LessonAnswer): EntryDraft => ({
  kind: 'lesson',
  at: noon(1, day),
  answer,
})
const read = (off: number, slips: (typeof GAUGE_SLIPS)[number][] = []): LessonAnswer => ({
  about: 'gauge',
  instrument: 'rule',
  truth: 0.5,
  right: 0.5,
  read: 0.5 + off,
  slips,
})
const open = (at = '/school', log: readonly EntryDraft[] = LOG) =>
  liveLog(log, { now: NOW, at, screen: <School /> })
const answers = (log: ReturnType<typeof open>) =>
  log.entries().flatMap((entry) => (entry.kind === 'lesson' ? entry.answer : []))

describe('the schedule', () => {
  test('what goes well comes back later, what went wrong soon', () => {
    const due = (answer: LessonAnswer): string =>
      dueAfter(
        written([1, 5, 12].map((day) => lesson(day, answer))).flatMap((entry) =>
          entry.kind === 'lesson' ? entry : [],
        ),
      ) ?? ''
    expect(due(read(0)) > due(read(0.3))).toBe(true)
    expect(due(read(0.3)) > due(read(0, ['slack']))).toBe(true)
    expect(dueAfter([])).toBeUndefined()
  })

  test('grades by how far off it was; a chance near to even is nobody’s fault', () => {
    expect([gradeOf(read(0)) > gradeOf(read(0.1)), gradeOf(read(0.1)) > gradeOf(read(0.4))]).toEqual([
      true,
      true,
    ])
    const skip = (p: number, saidSkips: boolean) => gradeOf({ about: 'skip', p, saidSkips })
    expect(skip(0.55, false)).toBe(skip(0.9, true))
    expect(skip(0.9, false)).toBeLessThan(skip(0.9, true))
    const word = (said: 'good' | 'watch' | 'spent') => gradeOf({ about: 'teeth', truth: 0.2, word: said })
    expect([word('good') > word('watch'), word('watch') > word('spent')]).toEqual([true, true])
    const swap = (lostShare: number) =>
      gradeOf({ about: 'swap', best: 'ride-on', chose: 'run-out', lostShare })
    expect([swap(0) > swap(0.1), swap(0.1) > swap(0.5)]).toEqual([true, true])
  })

  test('only instruments that are read with are practised, where any are known', () => {
    const of = (...more: EntryDraft[]) =>
      skillsOf(replay(written([...LOG, ...more])), NOW).map(({ skill }) => skill)
    expect(of()).toHaveLength(SKILLS.length)
    expect(of(ruleReading(1, 5, 306))).toEqual(['gauge rule', 'teeth', 'skip', 'swap'])
  })
})

describe('the words', () => {
  test('every skill and every slip has them', () => {
    for (const skill of SKILLS) expect(skillName(skill)).not.toMatch(/undefined/)
    for (const slip of GAUGE_SLIPS) expect(SLIP_WORDS[slip].length).toBeGreaterThan(20)
    expect(sayOwnError({ shift: 0.05, shiftSd: 0.01, spread: 0.04, lessons: 12 }, false)).toBe(
      'You read 0.05 % too high, known to within 0.01; one reading scatters by 0.04. 12 lessons.',
    )
    expect(sayOwnError({ shift: 0.005, shiftSd: 0.01, spread: 0.04, lessons: 1 }, true)).toMatch(
      /^You grade about right/,
    )
  })
})

describe('reading a gauge', () => {
  test('a rule read as it lies is told its slips and the truth, and is kept', async () => {
    const log = open('/school?lesson=gauge+rule')
    await userEvent.type(screen.getByLabelText('Length you read, mm'), '306')
    await userEvent.click(screen.getByRole('button', { name: 'That is my reading' }))
    const told = await screen.findByText(/^It is .* long\./)
    expect(told.textContent).toMatch(/You read/)
    expect(screen.getByText(SLIP_WORDS.slack)).not.toBeNull()
    expect(screen.getByText(SLIP_WORDS['joining-link'])).not.toBeNull()
    expect(answers(log)).toMatchObject([
      { about: 'gauge', instrument: 'rule', slips: expect.arrayContaining(['slack', 'joining-link']) },
    ])
    await userEvent.click(screen.getByRole('button', { name: 'Another one' }))
    expect(screen.getByLabelText('Length you read, mm')).not.toBeNull()
  })

  test('with the chain tight, off the joining link and the zero at the pin nothing is wrong', async () => {
    const log = open('/school?lesson=gauge+rule')
    await userEvent.click(screen.getByRole('radio', { name: 'big ring, big cog, held tight' }))
    await userEvent.click(screen.getByRole('button', { name: 'Ten links on' }))
    fireEvent.change(screen.getByRole('slider', { name: /Slide it until/ }), { target: { value: '0' } })
    const bench = screen.getByRole('slider', { name: 'Where on the chain it is put' })
    bench.focus()
    await userEvent.keyboard('{ArrowRight}{ArrowRight}{ArrowLeft}')
    expect(bench.getAttribute('aria-valuetext')).toBe('8 links from the joining link')
    await userEvent.type(screen.getByLabelText('Length you read, mm'), '306.5')
    await userEvent.click(screen.getByRole('button', { name: 'That is my reading' }))
    await screen.findByText(/^It is .* long\./)
    expect(answers(log)).toMatchObject([{ slips: [], read: expect.closeTo(0.558, 2) }])
  })

  test('a length that cannot be is refused, and nothing is kept', async () => {
    const log = open('/school?lesson=gauge+rule')
    await userEvent.type(screen.getByLabelText('Length you read, mm'), '30')
    await userEvent.click(screen.getByRole('button', { name: 'That is my reading' }))
    expect(await screen.findByRole('alert')).not.toBeNull()
    expect(answers(log)).toEqual([])
  })

  test.each(LESSON_INSTRUMENTS)('the %s can be read', async (instrument) => {
    const log = open(`/school?lesson=gauge+${instrument}`)
    if (instrument === 'caliper-pair') {
      const [inside, outside] = [
        screen.getByRole('slider', { name: /Inside/ }),
        screen.getByRole('slider', { name: /Outside/ }),
      ]
      fireEvent.change(inside, { target: { value: '140' } })
      fireEvent.change(outside, { target: { value: '115' } })
    } else if (instrument.endsWith('-limit'))
      await userEvent.click(screen.getByRole('radio', { name: 'It stays out' }))
    else if (instrument.endsWith('-scale')) await userEvent.type(screen.getByLabelText('You read, %'), '0.5')
    else
      await userEvent.type(
        screen.getByLabelText('Length you read, mm'),
        instrument === 'rule' ? '306' : '255',
      )
    await userEvent.click(screen.getByRole('button', { name: 'That is my reading' }))
    await screen.findByText(/^It is .* long\./)
    expect(answers(log)).toMatchObject([{ about: 'gauge', instrument }])
  })
})

describe('teeth and stories', () => {
  test('a word for teeth is told the truth; a profile can be matched instead', async () => {
    const log = open('/school?lesson=teeth')
    await userEvent.click(
      within(screen.getByRole('group', { name: 'Your word' })).getByRole('button', { name: /watch/ }),
    )
    await screen.findByText(/^(Right: watch\.|It is .*\. You said watch\.)$/)
    await userEvent.click(screen.getByRole('button', { name: 'Another one' }))
    fireEvent.change(screen.getByRole('slider'), { target: { value: '0.9' } })
    await userEvent.click(screen.getByRole('button', { name: 'It matches: spent' }))
    expect(answers(log).map((answer) => answer.about === 'teeth' && answer.word)).toEqual(['watch', 'spent'])
  })

  test('a story of skipping shows a hundred futures, and the caution', async () => {
    const log = open('/school?lesson=skip')
    await userEvent.click(screen.getByRole('button', { name: 'It holds: fit the chain alone' }))
    await screen.findByText(/^It skipped in \d+ of 100 futures/)
    expect(screen.getByText(/Never find out by standing/)).not.toBeNull()
    expect(answers(log)).toMatchObject([{ about: 'skip', saidSkips: false }])
  })

  test('a story of a worn chain shows what each choice would have cost', async () => {
    const log = open('/school?lesson=swap')
    await userEvent.click(screen.getByRole('button', { name: 'Ride on' }))
    await screen.findByText(/^(The app does the same|Yours:)/)
    expect(screen.getByRole('img').getAttribute('aria-label')).toMatch(
      /swap the chain now.*ride on.*run it all/,
    )
    expect(answers(log)).toMatchObject([{ about: 'swap', chose: 'ride-on' }])
  })
})

describe('what was measured', () => {
  const high = Array.from({ length: 6 }, (_, i) => lesson(2 + i, read(0.08)))

  test('is shown, and used only with consent', async () => {
    const log = open('/school', [...LOG, ...high])
    expect(screen.getByRole('list', { name: 'How you read' }).textContent).toMatch(/too high/)
    const tick = () => screen.getByRole<HTMLInputElement>('checkbox', { name: /Use it for my readings/ })
    expect(tick().checked).toBe(false)
    await userEvent.click(tick())
    expect(log.entries().at(-1)).toMatchObject({ kind: 'school-use', readings: true, looks: false })
    expect(tick().checked).toBe(true)
  })

  test('with no lesson yet it says what to do first', () => {
    open()
    expect(screen.getByRole('heading', { level: 1 }).textContent).toMatch(/^Practise first: reading the/)
    expect(screen.getByText('Nothing yet: each lesson adds to it.')).not.toBeNull()
  })
})
