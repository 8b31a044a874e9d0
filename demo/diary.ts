import { chainStory } from '../src/core/exposure/chain-story.ts'
import { ENTRY_FORMAT, type PartId } from '../src/core/log/entry.ts'
import type { Entry, EntryDraft } from '../src/core/log/entries.ts'
import type { PartSpec } from '../src/core/log/kinds/part.ts'
import { makeEntryId } from '../src/core/log/entry-id.ts'
import { replay } from '../src/core/log/replay.ts'
import { lengthAtElongation } from '../src/core/measure/elongation.ts'
import { INSTRUMENTS, readingSd } from '../src/core/measure/instruments.ts'
import { ENTRY_WIDTH } from '../src/core/measure/likelihood.ts'
import type { HintInstrument, Instrument, LimitResult, Reading } from '../src/core/measure/reading.ts'
import { addDays } from '../src/core/units/days.ts'
import type { Random } from '../src/core/stats/random.ts'

/** How one made-up chain really wears: what nobody in the story knows. */
export interface TrueWear {
  /** % per 1000 wear-km */
  readonly rate: number
  readonly start: number
}

/** Writes a bike's story as log entries. Days count from the first day of the story. */
export interface Diary {
  readonly entries: readonly Entry[]
  readonly at: (day: number, hour?: number) => string
  readonly write: (...drafts: EntryDraft[]) => void
  readonly fitNew: (
    day: number,
    bike: string,
    part: PartId,
    name: string,
    spec: PartSpec,
    note?: string,
  ) => void
  /** Takes readings of a chain as an instrument would give them, from what it has really become by then. */
  readonly measure: (day: number, chain: PartId, truth: TrueWear, taken: readonly Taken[]) => void
}

/** A reading to take: where, with what, and the gauge's side where it has sides. */
export interface Taken {
  readonly with: Exclude<Instrument, HintInstrument>
  readonly side?: number
  readonly place?: number
  readonly slack?: boolean
  readonly pitches?: number
}

function limitResult(apparent: number, side: number): LimitResult {
  if (apparent >= side) return 'drops'
  return apparent >= side - ENTRY_WIDTH ? 'starts' : 'clear'
}

const round = (value: number, step: number): number => Math.round(value / step) * step

function readingOf(
  taken: Taken,
  elongation: number,
  biases: Map<Instrument, number>,
  random: Random,
): Reading {
  const { bias } = INSTRUMENTS[taken.with]
  const shared = biases.get(taken.with) ?? random.normal(bias.b, bias.sb)
  biases.set(taken.with, shared)
  const slack = taken.slack ? ({ slack: true } as const) : {}
  const pitches = taken.pitches ?? 24
  const noisy = (reading: Reading): number =>
    random.normal(elongation + shared - (taken.slack ? 0.1 : 0), readingSd(reading))
  switch (taken.with) {
    case 'rule':
    case 'strip': {
      const blank = { instrument: taken.with, pitches, lengthMm: 1, ...slack } as const
      return {
        ...blank,
        lengthMm: round(lengthAtElongation(pitches, noisy(blank)), taken.with === 'rule' ? 0.5 : 0.1),
      }
    }
    case 'caliper-pair': {
      const blank = { instrument: taken.with, pitches: 8, insideMm: 1, outsideMm: 2, ...slack } as const
      const length = lengthAtElongation(8, noisy(blank))
      const play = 0.1 + 0.35 * Math.max(0, elongation)
      return {
        ...blank,
        insideMm: round(length - 7.75 + play, 0.01),
        outsideMm: round(length + 7.75 - play, 0.01),
      }
    }
    case 'two-contact-scale':
    case 'three-contact-scale': {
      const blank = { instrument: taken.with, percent: 0, ...slack } as const
      return { ...blank, percent: round(noisy(blank), 0.05) }
    }
    case 'two-contact-limit':
    case 'three-contact-limit': {
      const side = taken.side ?? 0.5
      const blank = { instrument: taken.with, limit: side, result: 'clear', ...slack } as const
      return { ...blank, result: limitResult(noisy(blank), side) }
    }
  }
}

/** Opens a diary whose first day is `firstDay` (an ISO date). */
export function openDiary(firstDay: string, random: Random): Diary {
  const entries: Entry[] = []
  const biases = new Map<Instrument, number>()
  const start = `${firstDay}T00:00:00.000Z`
  const at = (day: number, hour = 12): string => addDays(start, day + hour / 24)
  const write = (...drafts: EntryDraft[]): void => {
    for (const draft of drafts) {
      const id = makeEntryId(Date.parse(draft.at), entries.length, random.bytes(16))
      entries.push({ ...draft, format: ENTRY_FORMAT, id })
    }
  }
  return {
    entries,
    at,
    write,
    fitNew: (day, bike, part, name, spec, note) =>
      write(
        { kind: 'part', at: at(day, 9), part, name, spec, ...(note !== undefined && { note }) },
        { kind: 'fit', at: at(day, 9.1), part, bike },
      ),
    measure: (day, chain, truth, taken) => {
      const { wearKm } = chainStory(replay(entries), chain).at(at(day, 20))
      const elongation = truth.start + (truth.rate * wearKm) / 1000
      taken.forEach((one, i) => {
        const reading = readingOf(one, random.normal(elongation, 0), biases, random)
        write({
          kind: 'reading',
          at: at(day, 20 + i / 60),
          chain,
          reading,
          ...(one.place !== undefined && { linksFromJoint: one.place }),
        })
      })
    },
  }
}
