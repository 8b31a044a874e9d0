import { Link } from 'react-router'
import { pickWithin } from '../../../core/checks/pick.ts'
import { itemsOfSheet } from '../../../core/checks/sheets.ts'
import { lastChecks, notHere, sinceLooked } from '../../../core/strategy/facts/check-facts.ts'
import type { BikeReport } from '../../../core/strategy/facts/bike-report.ts'
import { useOpenLog } from '../../../session/log-context.ts'
import { checksFor } from '../../../words/places.ts'
import { sayItem } from '../../../words/checks/item-names.ts'
import { sayList } from '../../../words/numbers.ts'
import { freeSpans, lanesOf } from './lanes.ts'
import type { StepTag } from './step-tag.ts'
import type { WashPlan } from './use-wash-plan.ts'
import { words } from '../../../words/stations/wash/plan/meanwhile.ts'

interface Props {
  readonly plan: WashPlan
  readonly tagOf: StepTag
  readonly report: BikeReport | undefined
}

/** What to check of the bike while something soaks, melts or hangs: what is worth most in the longest stretch of free hands. */
export function Meanwhile({ plan, tagOf, report }: Props) {
  const { garage, now } = useOpenLog()
  const { hands } = lanesOf(plan.steps, plan.timed.plan, tagOf)
  const minutes = freeSpans(hands, plan.timed.plan.minutes).reduce(
    (most, { fromMin, toMin }) => Math.max(most, toMin - fromMin),
    0,
  )
  if (!report || minutes < 3) return null
  const { entry } = report.bike
  const last = lastChecks(garage, entry.bike, now)
  const picked = pickWithin(itemsOfSheet('short', entry, notHere(last)), minutes, (id) =>
    sinceLooked(garage, report.bike, last, id, now),
  )
  return (
    <p className="text-[0.95rem]">
      {words.inTheFreeMinutes(minutes, sayList(picked.slice(0, SHOWN).map(sayItem)))}
      {picked.length > SHOWN && words.andMore(picked.length - SHOWN)}.{' '}
      <Link to={checksFor(minutes)} className="underline underline-offset-4">
        {words.seeTheseChecks}
      </Link>
    </p>
  )
}

/** So many are named. */
const SHOWN = 6
