import { Link, useLocation } from 'react-router'
import { inHand, waiting } from '../../../core/session/run.ts'
import { useOpenLog } from '../../../session/log-context.ts'
import { STATIONS } from '../../../words/places.ts'
import { bikeChosen, useSend } from '../../../ui/screen-state.ts'
import { isStale, type KeptRun } from './kept-run.ts'
import { sayBikes, sayStep } from './say-step.ts'
import { sayClock, useBells, useNowMs } from './use-clocks.ts'
import { useWashRun } from './use-wash-run.ts'
import { words } from '../../../words/stations/wash/run/wash-clock.ts'

/** What of a wash is to be seen from another station: the clock that runs out next, or what hands are at. */
function ClockLine({ kept, nowMs }: { readonly kept: KeptRun; readonly nowMs: number }) {
  const { garage } = useOpenLog()
  const send = useSend()
  const { washes, run } = kept
  const [next] = waiting(run).filter(
    ({ step }) => !run.steps.some(({ id, after }) => run.begun[id] && after?.includes(step.id)),
  )
  const hand = inHand(run)
  const isOver = next !== undefined && next.overMs <= nowMs
  const said = next
    ? `${sayStep(garage, washes, next.step)}: ${isOver ? words.theWaitIsOver : sayClock(next.overMs - nowMs)}`
    : hand
      ? sayStep(garage, washes, hand)
      : words.handsAreFree
  return (
    <div
      role="region"
      aria-label={words.theWashThatIsGoing}
      className="no-print flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-hairline px-9 py-1.5 text-[0.95rem] max-md:px-4"
    >
      <span>
        {words.washOf(sayBikes(garage, washes))}{' '}
        <span role={next ? 'timer' : undefined} className={isOver ? 'font-semibold text-rust' : ''}>
          {said}
        </span>
      </span>
      <Link
        to={STATIONS.wash.path}
        className="inline-flex min-h-11 items-center underline underline-offset-4"
        onClick={() => send(bikeChosen(washes[0]?.bike))}
      >
        {words.backToTheWash}
      </Link>
    </div>
  )
}

function Running({ kept, nowMs }: { readonly kept: KeptRun; readonly nowMs: number }) {
  const { pathname } = useLocation()
  useBells(kept.run, nowMs)
  return pathname === STATIONS.wash.path ? null : <ClockLine kept={kept} nowMs={nowMs} />
}

/** The clocks of a wash that is going on, whatever station is open: they ring everywhere. One left open for days is silent. */
export default function WashClock() {
  const { kept } = useWashRun()
  const nowMs = useNowMs()
  return kept && !isStale(kept, nowMs) ? <Running kept={kept} nowMs={nowMs} /> : null
}
