import { afterEach, describe, expect, test } from '@jest/globals'
import { cleanup, render, screen } from '@testing-library/react'
import { commuter, noon } from '../../../test/log.ts'
import { openLog } from '../../../test/open-log.tsx'
import { ChainLoopDrawing } from './ChainLoop.tsx'
import { DrivetrainDrawing } from './DrivetrainDrawing.tsx'
import { layEndToEnd } from './lay-end-to-end.ts'

afterEach(cleanup)

describe('the chain drawn as a loop', () => {
  test('tells in words what it shows', () => {
    render(<ChainLoopDrawing links={116} ring={40} cog={42} places={[{ link: 14, label: '0.54' }]} />)
    const said = screen.getByRole('img').getAttribute('aria-label')
    expect(said).toBe(
      'A chain of 116 links round a 40-tooth ring and a 42-tooth cog; once round is 2.9 crank turns. Read at link 14, 0.54.',
    )
  })

  test('says so where nothing was read', () => {
    render(<ChainLoopDrawing links={116} ring={40} cog={42} places={[]} />)
    expect(screen.getByRole('img').getAttribute('aria-label')).toMatch(/No places read yet\.$/)
  })

  test('has a link for each link and marks one as the joining link', () => {
    const { container } = render(<ChainLoopDrawing links={110} ring={52} cog={25} places={[]} />)
    expect(container.querySelectorAll('circle.fill-paper')).toHaveLength(110)
    expect(container.querySelectorAll('line.stroke-rust[stroke-width="11"]')).toHaveLength(1)
  })

  test('lets no label run into another on its level', () => {
    const places = [20, 22, 24, 26, 70, 72, 74].map((link) => ({ link, label: '0.55' }))
    const { container } = render(<ChainLoopDrawing links={116} ring={40} cog={42} places={places} />)
    const labels = [...container.querySelectorAll('text[paint-order]')].map((text) => ({
      x: Number(text.getAttribute('x')),
      y: Number(text.getAttribute('y')),
    }))
    expect(labels).toHaveLength(8)
    for (const [i, a] of labels.entries())
      for (const b of labels.slice(i + 1))
        expect(Math.abs(a.x - b.x) > 100 || Math.abs(a.y - b.y) > 14).toBe(true)
  })
})

describe('the drivetrain at one scale', () => {
  const { report } = openLog([
    ...commuter,
    { kind: 'look', at: noon(2, 1), part: 'cassette', cog: 13, word: 'watch' },
  ])
  const judged = report.sprockets.map(
    (sprocket) => ({ sprocket, word: sprocket.look?.word ?? 'unsure' }) as const,
  )

  test('draws every sprocket and names each with its word', () => {
    const { container } = render(<DrivetrainDrawing judged={judged} />)
    expect(container.querySelectorAll('path.fill-paper')).toHaveLength(12 + 11)
    const said = screen.getByRole('img').getAttribute('aria-label')
    expect(said).toContain('cog 11 unsure, cog 13 watch')
    expect(said).toContain('ring 40 unsure')
  })

  test('draws the one in hand strongly', () => {
    const { container } = render(<DrivetrainDrawing judged={judged} chosen={report.sprockets[1]} />)
    expect(container.querySelectorAll('path[stroke-width="2.2"]')).toHaveLength(1)
  })
})

test('things laid end to end touch and do not overlap', () => {
  expect(layEndToEnd([3, 1, 2], (n) => n)).toEqual([
    { item: 3, from: 0, length: 3 },
    { item: 1, from: 3, length: 1 },
    { item: 2, from: 4, length: 2 },
  ])
  expect(layEndToEnd([], () => 1)).toEqual([])
})
