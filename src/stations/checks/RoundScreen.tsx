import { useState } from 'react'
import { useHotkeys } from 'react-hotkeys-hook'
import { Link } from 'react-router'
import { bikeHas } from '../../core/checks/bike-has.ts'
import { itemOf, type ItemId } from '../../core/checks/items.ts'
import { minutesOf } from '../../core/checks/sheets.ts'
import type { BikeEntry } from '../../core/log/kinds/bike.ts'
import { CHECK_RESULTS, type CheckResult } from '../../core/log/kinds/check.ts'
import { useOpenLog } from '../../session/log-context.ts'
import type { RoundState } from '../../core/strategy/facts/rounds.ts'
import { Button, buttonLook } from '../../ui/parts/Button.tsx'
import { CautionNote } from '../../ui/parts/Empty.tsx'
import { useBenchMode } from '../../ui/use-bench-mode.ts'
import { useInTurn } from '../../ui/use-in-turn.ts'
import { AREA_NAMES, OCCASION_NAMES, RESULT_NAMES, sayOccasion } from '../../words/checks/check-words.ts'
import { ITEM_NAMES } from '../../words/checks/item-names.ts'
import { howOn } from '../../words/checks/item-talk.ts'
import { ITEM_WORDS } from '../../words/checks/item-words.ts'
import { sayCount } from '../../words/numbers.ts'
import { CheckDrawing } from './CheckDrawing.tsx'
import { FindingForm } from './FindingForm.tsx'
import { MeasureThickness } from './MeasureThickness.tsx'
import { RoundMap } from './RoundMap.tsx'
import { checkMade, roundEnded, thisMoment, type FindingNote } from './round-writing.ts'
import type { ChecksInHand } from './use-checks.ts'
import { words } from '../../words/stations/checks/round-screen.ts'

const LOOKS: Readonly<Record<CheckResult, string>> = {
  pass: 'border-petrol bg-petrol text-paper',
  watch: 'border-ochre text-ink hover:bg-ochre/10',
  fail: 'border-rust text-rust hover:bg-rust/10',
  'not-here': 'border-hairline text-steel hover:border-steel',
}

/** The four answers, large, each with its key. */
function Answers({ onAnswer }: { readonly onAnswer: (result: CheckResult) => void }) {
  return (
    <div role="group" aria-label={words.howIsIt} className="grid grid-cols-4 gap-2 max-sm:grid-cols-2">
      {CHECK_RESULTS.map((result, i) => (
        <button
          key={result}
          type="button"
          className={`flex min-h-20 flex-col items-center justify-center rounded-[3px] border-2 text-[1.3rem] font-semibold ${LOOKS[result]}`}
          aria-keyshortcuts={String(i + 1)}
          onClick={() => onAnswer(result)}
        >
          {RESULT_NAMES[result]}
          <kbd aria-hidden="true" className="text-sm font-normal opacity-80 max-sm:hidden">
            {i + 1}
          </kbd>
        </button>
      ))}
    </div>
  )
}

/** How one item is looked at, what passes, and what to do if it does not. */
function HowTo({ item, entry }: { readonly item: ItemId; readonly entry: BikeEntry }) {
  const { how, passes, fails, care, drawing, goOn } = ITEM_WORDS[item]
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_auto] gap-x-10 gap-y-4 max-sm:grid-cols-1">
      <div className="flex max-w-[44rem] flex-col gap-3 text-[1.1rem]">
        <ol className="list-decimal pl-6 leading-snug">
          {howOn(how, bikeHas(entry)).map((step) => (
            <li key={step} className="mb-1">
              {step}
            </li>
          ))}
        </ol>
        <p>
          <strong>{words.passes} </strong>
          {passes}
        </p>
        <p className="text-steel">
          <strong>{words.ifNot} </strong>
          {words.theMakersFiguresCome(fails)}
        </p>
        {care && <CautionNote>{care}</CautionNote>}
        {entry.motor !== 'none' && (item === 'chain' || item === 'cranks') && (
          <CautionNote>{words.electricBikePowerOff}</CautionNote>
        )}
        {goOn && (
          <Link to={goOn.to} className={`${buttonLook('link')} self-start`}>
            {goOn.label}
          </Link>
        )}
      </div>
      {drawing && <CheckDrawing drawing={drawing} />}
    </div>
  )
}

interface Props {
  readonly hand: ChecksInHand
  readonly round: RoundState
  readonly onLeave: () => void
}

/** The round: one thing at a time, large, over the bike's outline; what is left half done waits. */
export function RoundScreen({ hand, round, onLeave }: Props) {
  const { record, undo } = useOpenLog()
  const { bike, name } = hand.report.bike.entry
  const [chosen, setChosen] = useState<ItemId>()
  const [finding, setFinding] = useState<'watch' | 'fail'>()
  useBenchMode()
  const item = chosen ?? round.left[0]
  const write = useInTurn(async (result: CheckResult, note?: FindingNote) => {
    if (!item) return
    await record(
      [checkMade(bike, item, result, thisMoment(), note)],
      `${ITEM_NAMES[item]}: ${RESULT_NAMES[result].toLowerCase()}.`,
    )
    setChosen(undefined)
    setFinding(undefined)
  })
  const answer = (result: CheckResult): void => {
    if (result === 'watch' || result === 'fail') setFinding(result)
    else write(result)
  }
  useHotkeys(['1', '2', '3', '4'], ({ key, repeat }) => {
    const result = CHECK_RESULTS[Number(key) - 1]
    if (result && !repeat && finding === undefined) answer(result)
  })
  const end = useInTurn(async () => {
    await record(roundEnded(round, thisMoment()), words.theIsEnded(sayOccasion(round.occasion)))
    onLeave()
  })
  if (!item) return null
  const { area } = itemOf(item)
  const done = new Set(round.done.keys())
  return (
    <section aria-labelledby="answer" className="flex flex-col gap-5">
      <div className="flex items-start justify-between gap-6 max-sm:flex-col-reverse max-sm:gap-3">
        <div className="min-w-0">
          <p className="text-steel" role="status">
            {words.toGoAboutMin(
              name,
              OCCASION_NAMES[round.occasion].toLowerCase(),
              sayCount(round.left.length, 'thing'),
              Math.max(1, Math.round(minutesOf(round.left))),
              AREA_NAMES[area],
            )}
          </p>
          <h1 id="answer" className="mt-1 text-[2.4rem] leading-tight font-medium max-sm:text-[1.8rem]">
            {ITEM_NAMES[item]}
          </h1>
        </div>
        <div className="w-64 shrink-0 max-sm:w-44">
          <RoundMap items={round.items} done={done} at={area} />
        </div>
      </div>
      {finding ? (
        <FindingForm
          key={`${item} ${finding}`}
          item={item}
          result={finding}
          onSave={(note) => write(finding, note)}
          onBack={() => setFinding(undefined)}
        />
      ) : (
        <Answers onAnswer={answer} />
      )}
      <HowTo item={item} entry={hand.report.bike.entry} />
      {(itemOf(item).measures ?? []).map((part) => (
        <MeasureThickness key={part} report={hand.report} part={part} />
      ))}
      <details>
        <summary className="min-h-12 cursor-pointer py-3 underline underline-offset-4">
          {words.allOfTheRound(round.done.size, round.left.length)}
        </summary>
        <ul aria-label={words.allOfTheRound2} className="divide-y divide-hairline border-y border-hairline">
          {round.items.map((id) => {
            const check = round.done.get(id)
            return (
              <li key={id} className="flex flex-wrap items-center justify-between gap-3 py-1">
                <span>
                  {ITEM_NAMES[id]}
                  <span className="ml-3 text-sm text-steel">
                    {check ? RESULT_NAMES[check.result].toLowerCase() : words.toDo}
                  </span>
                </span>
                <Button className="min-h-12" onClick={() => setChosen(id)}>
                  {check ? words.lookAgain : words.lookNow}
                  <span className="sr-only"> {ITEM_NAMES[id]}</span>
                </Button>
              </li>
            )
          })}
        </ul>
      </details>
      <div className="flex flex-wrap gap-x-8">
        <Button look="link" className="min-h-12" onClick={() => void undo()}>
          {words.undoTheLastStep}
        </Button>
        <Button look="link" className="min-h-12" onClick={onLeave}>
          {words.leaveItHalfDone}
        </Button>
        <Button look="link" className="min-h-12" onClick={end}>
          {words.endTheRoundHere}
        </Button>
      </div>
    </section>
  )
}
