import type { BikeId } from '../../../core/log/entry.ts'
import type { PartState } from '../../../core/log/garage.ts'
import type { EntryDraft } from '../../../core/log/entries.ts'
import { isLeftBare, outcomeOf, wasFitted } from '../../../core/session/outcome.ts'
import { stepMinutes } from '../../../core/session/run.ts'
import type { BikeWash } from '../../../core/session/session-steps.ts'
import type { BikeReport } from '../../../core/strategy/facts/bike-report.ts'
import type { KeptRun } from './kept-run.ts'
import { words } from '../../../words/stations/wash/run/run-entries.ts'

/** When the last hand was laid on a wash. */
export const lastTouchMs = ({ run }: Pick<KeptRun, 'run'>): number =>
  Object.values(run.begun).reduce(
    (last, { atMs, handsDoneMs = atMs }) => Math.max(last, handsDoneMs),
    run.startedMs,
  )

/** What is said of one bike at the end of a wash beside what was ticked off. */
export interface BikeEnd {
  readonly report: BikeReport
  /** The joining link that is on the bike, and whether it was closed again. */
  readonly link?: { readonly held: PartState; readonly joined: 'same' | 'new' }
}

/** What is said at the end of a wash. */
export interface RunEnd {
  /** When it ended. */
  readonly at: string
  readonly minutes: number
  /** A cleaned chain that got no lube stays so. */
  readonly isBareMeant: boolean
  readonly bikes: ReadonlyMap<BikeId, BikeEnd>
  readonly newId: () => string
}

/** Closing a joining link counts, and so does taking a fresh one. */
function joinEntries(bike: BikeId, { link }: BikeEnd, { at, newId }: RunEnd): EntryDraft[] {
  const spec = link?.held.entry.spec
  if (!link || spec?.type !== 'joining-link') return []
  if (link.joined === 'same') return [{ kind: 'fit', at, part: link.held.entry.part, bike }]
  const part = newId()
  return [
    { kind: 'remove', at, part: link.held.entry.part, to: 'retired' },
    {
      kind: 'part',
      at,
      part,
      name: words.joiningLinkOf(at.slice(0, 10)),
      spec: { ...spec, closedBefore: 0 },
    },
    { kind: 'fit', at, part, bike },
  ]
}

/** What the wash of one bike leaves in the log. */
function entriesOfBike(wash: BikeWash, { run, washes }: KeptRun, end: RunEnd): EntryDraft[] {
  const { bike, job } = wash
  const { at, minutes, isBareMeant } = end
  const own = end.bikes.get(bike)
  const on = own?.report.chain?.part.entry.part
  const isFitted = wasFitted(job, run)
  const stepMin = stepMinutes(run, (step) => (step.bike ?? washes[0]?.bike) === bike)
  return [
    ...outcomeOf(wash, run).map((done): EntryDraft => ({
      kind: 'wash',
      at,
      chain: done.chain,
      method: done.method,
      way: job.way,
      ...(done.lube !== undefined
        ? { lube: done.lube }
        : isBareMeant && isLeftBare(done)
          ? { lube: 'none' as const }
          : {}),
    })),
    ...(isFitted && on !== undefined && on !== job.fits
      ? [
          { kind: 'remove', at, part: on, to: 'shelf' } as const,
          { kind: 'fit', at, part: job.fits, bike } as const,
        ]
      : []),
    ...(isFitted && own ? joinEntries(bike, own, end) : []),
    ...(Object.keys(stepMin).length > 0
      ? [
          {
            kind: 'session',
            at,
            bike,
            chains: job.chains.map(({ id }) => id),
            way: job.way,
            minutes,
            stepMin,
          } as const,
        ]
      : []),
  ]
}

/** Everything that a wash leaves in the log, by what was really done. */
export const entriesOf = (kept: KeptRun, end: RunEnd): EntryDraft[] => [
  ...kept.washes.flatMap((wash) => entriesOfBike(wash, kept, end)),
  // Marked, and not saved at the step itself.
  ...Object.entries(kept.links ?? {}).flatMap(([chain, found]): EntryDraft[] =>
    found.length > 0 ? [{ kind: 'link-check', at: end.at, chain, found }] : [],
  ),
]
