import { array, number, object, string } from 'yup'
import type { LinkCheckEntry } from '../../../core/log/kinds/link-check.ts'
import { LUBES } from '../../../core/lube/lubes.ts'
import { KIT_TOOLS, WASH_WAYS } from '../../../core/lube/wash-ways.ts'
import { STEP_KINDS } from '../../../core/session/step-kinds.ts'
import type { BikeWash } from '../../../core/session/session-steps.ts'
import { planRest, type WashRun } from '../../../core/session/run.ts'
import type { World } from '../../../session/log-context.ts'
import { forgetText, recallText, rememberText } from '../../../ui/local-memory.ts'
import { runKey } from './run-key.ts'

/** A wash that is going on, of one bike or several, as it is kept between two visits. */
export interface KeptRun {
  /** One at least. */
  readonly washes: readonly BikeWash[]
  readonly run: WashRun
  /** Bad links that were marked and not saved yet, by chain. */
  readonly links?: Readonly<Record<string, LinkCheckEntry['found']>>
}

const texts = () => array(string().strict().required())
/** What a kept run must at least be, so that nothing of an older form, or of another hand, brings the station down. */
const SCHEMA = object({
  washes: array(
    object({
      bike: string().strict().required(),
      job: object({
        way: string()
          .oneOf([...WASH_WAYS])
          .required(),
        lube: string()
          .oneOf([...LUBES])
          .required(),
        fits: string().strict().required(),
        chains: array(object({ id: string().strict().required() }))
          .min(1)
          .required(),
        kit: array(
          string()
            .oneOf([...KIT_TOOLS])
            .required(),
        ).required(),
      }).required(),
    }),
  )
    .min(1)
    .required(),
  run: object({
    startedMs: number().strict().required(),
    steps: array(
      object({
        id: string().strict().required(),
        kind: string()
          .oneOf([...STEP_KINDS])
          .required(),
        handsMin: number().strict().min(0).required(),
        times: number().strict().positive().required(),
        waitMin: number().strict().min(0),
        after: texts(),
        afterHands: texts(),
      }),
    )
      .min(1)
      .required(),
    begun: object().required(),
    skipped: texts().required(),
    later: object().required(),
  }).required(),
})

/** What was kept or read last: a wash is checked when it is read from an earlier visit, and not at every tap of its own. */
let last: { readonly text: string; readonly kept: KeptRun } | undefined

/** The wash that was going on when the page was last open; undefined where there was none, or it cannot be read. */
export function recallRun(world: World): KeptRun | undefined {
  const text = recallText(runKey(world))
  if (text === undefined) return undefined
  if (last?.text === text) return last.kept
  try {
    const kept = SCHEMA.validateSync(JSON.parse(text), { strict: true }) as unknown as KeptRun
    // What cannot be planned any further would stop the station each time it is opened.
    planRest(kept.run, kept.run.startedMs)
    last = { text, kept }
    return kept
  } catch {
    return undefined
  }
}

/** Keeps a wash that is going on, or forgets it. */
export function keepRun(world: World, kept: KeptRun | undefined): void {
  if (!kept) return forgetText(runKey(world))
  const text = JSON.stringify(kept)
  last = { text, kept }
  rememberText(runKey(world), text)
}

/** A wash that was begun so long ago is no longer going on by itself, ms. */
const STALE_MS = 12 * 3_600_000

/** Whether a wash was begun so long ago that nobody is at it any more. A clock that was set back counts too. */
export const isStale = ({ run }: KeptRun, nowMs: number): boolean =>
  nowMs - run.startedMs > STALE_MS || nowMs < run.startedMs - 60_000
