import { useState } from 'react'
import { Link } from 'react-router'
import type { BikeId } from '../../../core/log/entry.ts'
import { fittedLink, type PartState } from '../../../core/log/garage.ts'
import { SESSION_BOUNDS } from '../../../core/log/kinds/session.ts'
import { isLeftBare, outcomeOf, wasFitted, type ChainOutcome } from '../../../core/session/outcome.ts'
import { closingsOf } from '../../../core/strategy/fitting-checks.ts'
import { linkOfChain } from '../../../core/strategy/relay-facts.ts'
import type { BikeReport } from '../../../core/strategy/facts/bike-report.ts'
import { useAllReports, useOpenLog } from '../../../session/log-context.ts'
import { Button } from '../../../ui/parts/Button.tsx'
import { CautionNote } from '../../../ui/parts/Empty.tsx'
import { OPENS } from '../../../words/places.ts'
import { useInTurn } from '../../../ui/use-in-turn.ts'
import { LUBE_NAMES, WASH_NAMES } from '../../../words/names.ts'
import { sayCount } from '../../../words/numbers.ts'
import { namePart } from '../../../words/part-name.ts'
import { Choice } from '../../../ui/parts/fields.tsx'
import type { KeptRun } from './kept-run.ts'
import { entriesOf, lastTouchMs } from './run-entries.ts'
import { words } from '../../../words/stations/wash/run/wash-end.ts'
import { newId } from '../../../session/new-id.ts'

const MINUTE_MS = 60_000

interface Props {
  readonly kept: KeptRun
  readonly nowMs: number
  /** Absent where nothing is left to do. */
  readonly onBack?: () => void
  readonly onOver: () => void
}

type Joined = 'same' | 'new'

/** What became of one bike: its chains, the chain that goes on, its joining link. */
interface BikeOutcome {
  readonly report: BikeReport
  readonly outcome: readonly ChainOutcome[]
  /** The chain that comes off for the one that was fitted. */
  readonly swap: { readonly on: string; readonly off: string } | undefined
  /** The joining link that was opened, how often it will have been closed, and how often it may be. */
  readonly link: { readonly held: PartState; readonly closing: number; readonly allowed: number } | undefined
}

function useOutcomes({ washes, run }: KeptRun): readonly BikeOutcome[] {
  const { garage } = useOpenLog()
  const reports = useAllReports()
  return washes.flatMap((wash) => {
    const report = reports.find(({ bike }) => bike.entry.bike === wash.bike)
    if (!report) return []
    const isFitted = wasFitted(wash.job, run)
    const off = report.chain?.part.entry.part
    const swap =
      isFitted && off !== undefined && off !== wash.job.fits ? { on: wash.job.fits, off } : undefined
    // A chain of a set comes with a link of its own, where it has one.
    const own = swap && linkOfChain(garage, swap.on)
    const link = own && !own.isElsewhere ? garage.parts.get(own.part) : undefined
    const held = isFitted ? (link ?? fittedLink(garage, wash.bike)) : undefined
    const spec = held?.entry.spec
    return {
      report,
      outcome: outcomeOf(wash, run),
      swap,
      link:
        held && spec?.type === 'joining-link'
          ? { held, closing: closingsOf(held) + 1, allowed: spec.closingsAllowed }
          : undefined,
    }
  })
}

/** What was done to one bike's chains. */
function OutcomeRows({
  of: { report, outcome, swap },
  isOneOfMany,
}: {
  readonly of: BikeOutcome
  readonly isOneOfMany: boolean
}) {
  const { garage } = useOpenLog()
  const { bike, name } = report.bike.entry
  const nameOf = (id: string): string => namePart(garage, id, isOneOfMany ? undefined : bike, isOneOfMany)
  return (
    <>
      {outcome.map(({ chain, method, lube }) => (
        <li key={chain} className="py-2">
          {nameOf(chain)}: {WASH_NAMES[method]}
          {lube ? `, ${LUBE_NAMES[lube]}` : words.notLubed}
        </li>
      ))}
      {swap && <li className="py-2">{words.goesOnOntoTheShelf(nameOf(swap.on), name, nameOf(swap.off))}</li>}
    </>
  )
}

/** Whether the joining link was closed again, or a fresh one taken; one that is used up is a fresh one unless somebody says otherwise. */
function LinkChoice({
  link,
  of,
  joined,
  onPick,
}: {
  readonly link: NonNullable<BikeOutcome['link']>
  /** The bike, where there are several. */
  readonly of: string | undefined
  readonly joined: Joined
  readonly onPick: (joined: Joined) => void
}) {
  const { held, closing, allowed } = link
  return (
    <>
      <Choice<Joined>
        legend={of === undefined ? words.joinedWith : words.joinedWith2(of)}
        value={joined}
        onPick={onPick}
        options={[
          { value: 'same', label: words.againClosingOf(held.entry.name, closing, allowed) },
          { value: 'new', label: words.aFreshJoiningLink },
        ]}
      />
      {joined === 'same' && closing > allowed && (
        <CautionNote>{words.itsMakerAllowsAJoining(sayCount(allowed, 'closing'))}</CautionNote>
      )}
    </>
  )
}

/** The end of a wash: what was done, in words, and into the log with it. */
export function WashEnd({ kept, nowMs, onBack, onOver }: Props) {
  const { record } = useOpenLog()
  const [isBareMeant, setBareMeant] = useState(false)
  const [picked, setPicked] = useState<Readonly<Record<BikeId, Joined>>>({})
  const bikes = useOutcomes(kept)
  const all = bikes.flatMap(({ outcome }) => outcome)
  const bare = all.filter(isLeftBare)
  const endMs = Math.min(nowMs, lastTouchMs(kept))
  const minutes = Math.min(SESSION_BOUNDS.minutes, Math.round((endMs - kept.run.startedMs) / MINUTE_MS))
  const joinedOf = ({ report, link }: BikeOutcome): Joined =>
    picked[report.bike.entry.bike] ?? (link && link.closing > link.allowed ? 'new' : 'same')
  const write = useInTurn(async () => {
    const drafts = entriesOf(kept, {
      at: new Date(endMs).toISOString(),
      minutes,
      isBareMeant,
      bikes: new Map(
        bikes.map((one) => [
          one.report.bike.entry.bike,
          {
            report: one.report,
            ...(one.link && { link: { held: one.link.held, joined: joinedOf(one) } }),
          },
        ]),
      ),
      newId,
    })
    if (drafts.length === 0 || (await record(drafts, words.washLogged))) onOver()
  })
  return (
    <section aria-labelledby="answer" className="flex flex-col gap-5">
      <h1 id="answer" className="text-[2rem] leading-tight font-medium max-sm:text-[1.5rem]">
        {all.length === 0 ? words.nothingWasDoneToAChain : words.doneIn(sayCount(minutes, 'minute'))}
      </h1>
      {all.length > 0 && (
        <ul className="divide-y divide-hairline border-y border-hairline">
          {bikes.map((one) => (
            <OutcomeRows key={one.report.bike.entry.bike} of={one} isOneOfMany={bikes.length > 1} />
          ))}
        </ul>
      )}
      {bikes.map((one) => {
        const { bike, name } = one.report.bike.entry
        return (
          one.link && (
            <LinkChoice
              key={bike}
              link={one.link}
              of={bikes.length > 1 ? name : undefined}
              joined={joinedOf(one)}
              onPick={(joined) => setPicked({ ...picked, [bike]: joined })}
            />
          )
        )
      })}
      {bare.length > 0 && (
        <>
          <CautionNote>{words.cleanedAndNotLubricated}</CautionNote>
          <label className="flex min-h-12 items-center gap-3">
            <input
              type="checkbox"
              className="size-6 accent-petrol"
              checked={isBareMeant}
              onChange={({ target }) => setBareMeant(target.checked)}
            />
            {words.itStaysWithoutLube}
          </label>
        </>
      )}
      <div className="flex flex-wrap gap-3">
        <Button look="next" className="min-h-14" disabled={bare.length > 0 && !isBareMeant} onClick={write}>
          {all.length === 0 ? words.closeIt : words.logTheWash}
        </Button>
        {onBack && (
          <Button className="min-h-14" onClick={onBack}>
            {words.goOnWashing}
          </Button>
        )}
        <Link
          to={OPENS.measureNow}
          className="inline-flex min-h-14 items-center underline underline-offset-4"
        >
          {words.measureItWhileItIsClean}
        </Link>
      </div>
    </section>
  )
}
