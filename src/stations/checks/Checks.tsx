import { useSearchParams } from 'react-router'
import type { ItemId } from '../../core/checks/items.ts'
import { minutesOf, OCCASIONS, type Occasion } from '../../core/checks/sheets.ts'
import type { BikeReport } from '../../core/strategy/facts/bike-report.ts'
import { foundAtCheck } from '../../core/strategy/facts/check-facts.ts'
import { useBikeReport, useOpenLog } from '../../session/log-context.ts'
import { Answer } from '../../ui/parts/Answer.tsx'
import { Button } from '../../ui/parts/Button.tsx'
import { CautionNote } from '../../ui/parts/Empty.tsx'
import { NoBike } from '../../ui/parts/NoBike.tsx'
import { Section } from '../../ui/parts/Section.tsx'
import { useBikeId } from '../../ui/use-bike-id.ts'
import { useInTurn } from '../../ui/use-in-turn.ts'
import { sayCaution } from '../../words/advice.ts'
import { OCCASION_NAMES, sayDueWhy, sayFoundFirst, sayOccasion } from '../../words/checks/check-words.ts'
import { ITEM_NAMES } from '../../words/checks/item-names.ts'
import { sayCount, sayDay } from '../../words/numbers.ts'
import { BuildForm } from './BuildForm.tsx'
import { AheadNote, Findings } from './Findings.tsx'
import { RoundMap } from './RoundMap.tsx'
import { RoundScreen } from './RoundScreen.tsx'
import { roundBegun, thisMoment } from './round-writing.ts'
import { SheetList, TimePick, type StartRound } from './SheetList.tsx'
import { TorqueBook } from './TorqueBook.tsx'
import { useChecks, type ChecksInHand } from './use-checks.ts'
import { Wearing } from './Wearing.tsx'
import { words } from '../../words/stations/checks/checks.ts'
import { newId } from '../../session/new-id.ts'

/** Something was looked at within so many days: it counts as fresh on the map. */
const FRESH_DAYS = 30

/** The one sentence: what must not wait, what is due, or what comes next. */
function sayChecks({ report, rounds }: ChecksInHand, now: string): { answer: string; detail: string } {
  const { findings, sheets, bike } = report
  const { name } = bike.entry
  const found = foundAtCheck(findings)
  const [sheet] = sheets
  const [round] = rounds
  const next = sheet
    ? sheet.isDue
      ? words.due(OCCASION_NAMES[sheet.occasion], sayDueWhy(sheet.why, now))
      : words.next(sayOccasion(sheet.occasion), sayDay(sheet.day, now))
    : words.beforeEveryRideTwo
  if (found) return { answer: `${name}: ${sayFoundFirst(found.items, found.isStop)}`, detail: next }
  if (round)
    return {
      answer: words.halfDone(name, OCCASION_NAMES[round.occasion].toLowerCase()),
      detail: words.toGoAboutMinutes(
        sayCount(round.left.length, 'thing'),
        Math.max(1, Math.round(minutesOf(round.left))),
      ),
    }
  if (sheet?.isDue)
    return { answer: words.isDue(name, sayOccasion(sheet.occasion)), detail: sayDueWhy(sheet.why, now) }
  return { answer: words.noCheckIsDue(name), detail: next }
}

/** Items that were answered "not on this bike", with the way back. */
function NotHere({ hand }: { readonly hand: ChecksInHand }) {
  const { withdraw } = useOpenLog()
  const back = useInTurn(async (item: ItemId) => {
    const said = hand.last.get(item)
    if (said) await withdraw([said.id])
  })
  if (hand.gone.size === 0) return null
  return (
    <p className="mt-4 flex flex-wrap items-center gap-2 text-[0.95rem] text-steel">
      {words.answeredNotHereAndLeft}
      {[...hand.gone].map((item) => (
        <Button key={item} className="text-sm" onClick={() => back(item)}>
          {words.putItBack(ITEM_NAMES[item])}
        </Button>
      ))}
    </p>
  )
}

function OneBike({ report }: { readonly report: BikeReport }) {
  const { now, record } = useOpenLog()
  const hand = useChecks(report)
  const [params, setParams] = useSearchParams()
  const asked = params.get('round')
  const occasion = OCCASIONS.find((one) => one === asked)
  const round = hand.rounds.find((one) => one.occasion === occasion)
  const { entry } = report.bike
  const open = (next: Occasion | undefined): void => {
    setParams(next ? { round: next } : {})
  }
  const start = useInTurn(async (next: Occasion, items: readonly ItemId[]) => {
    const waits = hand.rounds.some((one) => one.occasion === next)
    if (!waits && items.length > 0) await record([roundBegun(entry.bike, next, items, newId(), thisMoment())])
    open(next)
  }) satisfies StartRound
  if (round) return <RoundScreen hand={hand} round={round} onLeave={() => open(undefined)} />
  const { answer, detail } = sayChecks(hand, now)
  const [waiting] = hand.rounds
  const [sheet] = report.sheets
  const first = waiting?.occasion ?? (sheet?.isDue ? sheet.occasion : 'before-ride')
  const minutes = Number(params.get('minutes') ?? '') || undefined
  const isStopped = foundAtCheck(report.findings)?.isStop === true
  const all = hand.itemsOf('spring')
  const fresh = new Set(all.filter((id) => (hand.since.get(id)?.days ?? Infinity) <= FRESH_DAYS))
  return (
    <div className="flex flex-col gap-8">
      <Answer
        detail={detail}
        action={
          <Button look="next" onClick={() => start(first, hand.itemsOf(first))}>
            {waiting ? words.goOn : words.start}: {OCCASION_NAMES[first].toLowerCase()}
          </Button>
        }
      >
        {answer}
      </Answer>
      {isStopped && <CautionNote>{sayCaution('stop-riding')}</CautionNote>}
      <AheadNote hand={hand} />
      <Findings hand={hand} />
      <div className="grid grid-cols-[minmax(0,1.2fr)_minmax(0,1fr)] gap-x-14 gap-y-8 max-lg:grid-cols-1">
        <SheetList hand={hand} onStart={start} />
        <div className="flex min-w-0 flex-col gap-8 max-lg:order-first">
          <Section title={words.theRound} note={words.lookedAtWithinDays(FRESH_DAYS, fresh.size, all.length)}>
            <RoundMap items={all} done={fresh} />
          </Section>
          <TimePick
            key={minutes ?? 0}
            hand={hand}
            {...(minutes !== undefined && { minutes })}
            onStart={start}
          />
        </div>
      </div>
      <Wearing hand={hand} />
      <Section
        id="build"
        title={words.whatItHas}
        note={hand.isBuildOpen ? words.notAllOfItIsEntered : words.itDecidesWhichChecks}
      >
        <BuildForm entry={entry} />
        <NotHere hand={hand} />
      </Section>
      <TorqueBook report={report} />
    </div>
  )
}

/** Checks: the rest of the bike, by occasion, in one round, with what wears and every bolt's torque. */
export default function Checks() {
  const { garage } = useOpenLog()
  const report = useBikeReport(useBikeId(garage))
  if (!report) return <NoBike what={words.addOneAndCheck} />
  return <OneBike key={report.bike.entry.bike} report={report} />
}
