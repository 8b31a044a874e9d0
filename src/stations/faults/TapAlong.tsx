import { useCallback, useEffect, useMemo, useState, type KeyboardEvent, type PointerEvent } from 'react'
import {
  roundPeriods,
  ROUNDS,
  tapPeriod,
  tellingGear,
  type Taps,
  type Turning,
} from '../../core/faults/tap-period.ts'
import { turningParts } from '../../core/strategy/facts/turning-parts.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { CautionNote } from '../../ui/parts/Empty.tsx'
import { SelectField, TextField } from '../../ui/parts/fields.tsx'
import { sayRhythm, sayPeriod } from '../../words/faults/tap-words.ts'
import { sayCount } from '../../words/numbers.ts'
import { RhythmCircles } from './RhythmCircles.tsx'
import type { SearchInHand } from './use-search.ts'
import { words } from '../../words/stations/faults/tap-along.ts'

/** The keys for a jerk and for a turn of the crank: neither is used elsewhere. */
const [JERK_KEY, TURN_KEY] = ['j', 'k'] as const

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && /^(INPUT|SELECT|TEXTAREA)$/.test(target.tagName)

interface Run {
  readonly jerks: readonly number[]
  readonly turns: readonly number[]
  readonly startedMs: number
  readonly endedMs?: number
}

/** Taps while the crank is turned, by keys and by buttons. */
function useTaps() {
  const [run, setRun] = useState<Run>()
  const isOn = run !== undefined && run.endedMs === undefined
  const add = useCallback((what: 'jerks' | 'turns') => {
    const at = performance.now()
    setRun((now) => now && { ...now, [what]: [...now[what], at] })
  }, [])
  useEffect(() => {
    if (!isOn) return
    const hear = (event: globalThis.KeyboardEvent) => {
      if (event.repeat || event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target)) return
      if (event.key === JERK_KEY) add('jerks')
      else if (event.key === TURN_KEY) add('turns')
    }
    window.addEventListener('keydown', hear)
    return () => window.removeEventListener('keydown', hear)
  }, [isOn, add])
  return {
    run,
    isOn,
    add,
    start: () => setRun({ jerks: [], turns: [], startedMs: performance.now() }),
    stop: () => setRun((now) => now && { ...now, endedMs: performance.now() }),
  }
}

/** The taps of a run: turns as they were tapped, or counted from start to stop. */
function tapsOf({ jerks, turns, startedMs, endedMs }: Run, counted: number): Taps {
  return Number.isFinite(counted) && counted > 0
    ? { jerks, turns: [startedMs, endedMs ?? startedMs], counted }
    : { jerks, turns }
}

function GearPick({
  turning,
  rings,
  cogs,
  onPick,
}: {
  readonly turning: Turning
  readonly rings: readonly number[]
  readonly cogs: readonly number[]
  readonly onPick: (gear: { readonly ring: number; readonly cog: number }) => void
}) {
  const options = (list: readonly number[]) => Object.fromEntries(list.map((one) => [one, String(one)]))
  return (
    <div className="grid max-w-80 grid-cols-2 gap-3">
      <SelectField
        label={words.ring}
        options={options(rings)}
        value={String(turning.ring)}
        onPick={(ring) => onPick({ ring: Number(ring), cog: turning.cog })}
      />
      <SelectField
        label={words.cog}
        options={options(cogs)}
        value={String(turning.cog)}
        onPick={(cog) => onPick({ ring: turning.ring, cog: Number(cog) })}
      />
    </div>
  )
}

interface PadsProps {
  readonly run: Run
  readonly add: (what: 'jerks' | 'turns') => void
  readonly stop: () => void
}

/** Two large pads, one for a jerk and one for a turn: they count when they are pressed, not when they are let go. */
function TapPads({ run, add, stop }: PadsProps) {
  const pad = (what: 'jerks' | 'turns') => ({
    type: 'button' as const,
    onPointerDown: (event: PointerEvent) => {
      event.preventDefault()
      add(what)
    },
    onKeyDown: (event: KeyboardEvent) => {
      if ((event.key === 'Enter' || event.key === ' ') && !event.repeat) add(what)
    },
  })
  return (
    <div className="grid grid-cols-2 gap-3">
      <button {...pad('jerks')} className="min-h-28 rounded-[3px] bg-rust text-xl font-semibold text-paper">
        {words.jerk(JERK_KEY)}
      </button>
      <button
        {...pad('turns')}
        className="min-h-28 rounded-[3px] border-2 border-petrol text-xl font-semibold"
      >
        {words.crankRound(TURN_KEY)}
      </button>
      <p role="status" className="col-span-2 text-[0.95rem]">
        {sayCount(run.jerks.length, 'jerk')}, {sayCount(Math.max(0, run.turns.length - 1), 'turn')}
      </p>
      <Button look="firm" className="col-span-2" onClick={stop}>
        {words.stop}
      </Button>
    </div>
  )
}

/** Turn the crank by hand and tap at each jerk: what comes round in that time is worked out. */
export function TapAlong({ hand }: { readonly hand: SearchInHand }) {
  const { kept, change, bike: id } = hand
  const { garage } = useOpenLog()
  const bike = useMemo(() => turningParts(garage, id), [garage, id])
  const [gear, setGear] = useState<{ readonly ring: number; readonly cog: number }>()
  const [counted, setCounted] = useState('')
  const taps = useTaps()
  const best = useMemo(() => bike && tellingGear(bike.links, bike.rings, bike.cogs, bike.pulley), [bike])
  const picked = gear ?? best
  const turning = useMemo(
    () =>
      bike && picked
        ? { links: bike.links, ...picked, ...(bike.pulley !== undefined && { pulley: bike.pulley }) }
        : undefined,
    [bike, picked],
  )
  const { run, isOn } = taps
  const answer = useMemo(
    () =>
      run?.endedMs !== undefined && turning ? tapPeriod(tapsOf(run, Number(counted)), turning) : undefined,
    [run, turning, counted],
  )
  if (!bike || !turning) return <p className="text-sm text-steel">{words.toTellARhythm}</p>
  const periods = roundPeriods(turning)
  return (
    <details className="border-y border-hairline py-1" open={isOn || run !== undefined || undefined}>
      <summary className="min-h-11 cursor-pointer py-2 underline underline-offset-4">
        {words.turnTheCrankAndTap}
      </summary>
      <div className="flex flex-col gap-3 py-2">
        <p className="text-[0.95rem]">{words.liftTheWheelTurn}</p>
        <CautionNote>{words.fingersAndLooseClothing}</CautionNote>
        <GearPick turning={turning} rings={bike.rings} cogs={bike.cogs} onPick={setGear} />
        <p className="text-sm text-steel">
          {words.inThisGear(
            ROUNDS.flatMap((round) =>
              periods[round] === undefined ? [] : sayPeriod(round, periods[round]),
            ).join('; '),
          )}
        </p>
        {isOn && run ? (
          <TapPads run={run} add={taps.add} stop={taps.stop} />
        ) : (
          <div className="flex flex-wrap items-end gap-3">
            <Button look="firm" onClick={taps.start}>
              {run ? words.tapAgain : words.startTapping}
            </Button>
            {run && (
              <TextField
                label={words.turnsIfYouCounted}
                inputMode="numeric"
                value={counted}
                onChange={(event) => setCounted(event.target.value)}
                className="w-44"
              />
            )}
          </div>
        )}
        {answer && (
          <div className="flex flex-col gap-3">
            <p role="status" className="font-medium">
              {sayRhythm(answer, turning)}
            </p>
            {answer.isTold && (
              <>
                <RhythmCircles answer={answer} />
                <div className="flex flex-wrap gap-3">
                  <Button look="firm" onClick={() => change({ ...kept, tapped: answer.chances })}>
                    {words.countThisRhythm}
                  </Button>
                  {kept.tapped && (
                    <Button
                      onClick={() => {
                        const { tapped: _, ...rest } = kept
                        change(rest)
                      }}
                    >
                      {words.leaveItOut}
                    </Button>
                  )}
                </div>
              </>
            )}
          </div>
        )}
      </div>
    </details>
  )
}
