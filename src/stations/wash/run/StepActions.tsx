import { useState } from 'react'
import { beginStep, inHand, putOff, skipStep, type WashRun } from '../../../core/session/run.ts'
import { refusalOf, WAX_C, type Refusal } from '../../../core/session/refusal.ts'
import type { WashStep } from '../../../core/session/wash-steps.ts'
import { Button } from '../../../ui/parts/Button.tsx'
import { TextField } from '../../../ui/parts/fields.tsx'
import { numberTyped } from '../../../words/typed.ts'
import { doneAndOn } from './use-rest.ts'
import { sayClock } from './use-clocks.ts'
import { words } from '../../../words/stations/wash/run/step-actions.ts'

const MINUTE_MS = 60_000

const REFUSALS: Readonly<Record<Refusal, string>> = {
  'still-wet': words.notYetTheChain,
  'never-dried': words.notLikeThisTheChain,
  'wax-not-melted': words.notYetTheWax,
  'wax-too-cold': words.notYetUnderC(WAX_C.least),
  'wax-too-hot': words.stopOverCWax(WAX_C.most),
}

interface Props {
  readonly run: WashRun
  readonly next: WashStep | undefined
  /** Its turn has come. */
  readonly isNextNow: boolean
  readonly nowMs: number
  readonly onChange: (run: WashRun) => void
}

/** What can be done with the step in hand, or with the next one; what would do harm is refused, and says why. */
export function StepActions({ run, next, isNextNow, nowMs, onChange }: Props) {
  const [typed, setTyped] = useState('')
  const hand = inHand(run)
  if (hand) {
    const overrunMs = nowMs - (run.begun[hand.id]?.atMs ?? nowMs) - hand.handsMin * MINUTE_MS
    return (
      <div className="flex flex-wrap items-center gap-4">
        <Button
          look="next"
          className="min-h-16 px-10 text-[1.25rem]"
          onClick={() => onChange(doneAndOn(run, hand.id, Date.now()))}
        >
          {words.done}
        </Button>
        <span className="font-mono text-[1.3rem]" role="timer">
          {overrunMs > 0 ? words.over(sayClock(overrunMs)) : words.left(sayClock(-overrunMs))}
        </span>
      </div>
    )
  }
  if (!next) return null
  const read = numberTyped(typed, { least: 0, most: 250, unit: '°C', ask: '' })
  const waxC = 'value' in read ? read.value : undefined
  const refusal = refusalOf(run, next, nowMs, waxC)
  return (
    <div className="flex flex-col gap-4">
      {next.kind === 'dip' && (
        <TextField
          label={words.waxCByIts}
          inputMode="decimal"
          className="max-w-72"
          value={typed}
          onChange={({ target }) => setTyped(target.value)}
          fault={typed !== '' && 'fault' in read ? read.fault : undefined}
        />
      )}
      {refusal && (
        <p role="alert" className="border-l-4 border-rust pl-3 font-medium">
          {REFUSALS[refusal]}
        </p>
      )}
      <div className="flex flex-wrap items-center gap-3">
        <Button
          look="next"
          className="min-h-16 px-10 text-[1.25rem]"
          disabled={refusal !== undefined}
          onClick={() => onChange(beginStep(run, next.id, Date.now()))}
        >
          {isNextNow ? words.begin : words.beginEarly}
        </Button>
        <Button className="min-h-12" onClick={() => onChange(skipStep(run, next.id))}>
          {words.skipIt}
        </Button>
        <Button className="min-h-12" onClick={() => onChange(putOff(run, next.id, Date.now()))}>
          {words.doThatLater}
        </Button>
      </div>
    </div>
  )
}
