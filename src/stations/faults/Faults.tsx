import { useState } from 'react'
import type { AnyCause } from '../../core/faults/finder.ts'
import { SURE_ENOUGH } from '../../core/faults/finder.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { useJudged, type JudgedBike } from '../../session/verdicts.ts'
import { Answer } from '../../ui/parts/Answer.tsx'
import { Button } from '../../ui/parts/Button.tsx'
import { CautionNote } from '../../ui/parts/Empty.tsx'
import { Choice } from '../../ui/parts/fields.tsx'
import { NoBike } from '../../ui/parts/NoBike.tsx'
import { useBikeId } from '../../ui/use-bike-id.ts'
import { blamedCogs, sayView } from '../../words/faults/say-fault.ts'
import { FINDING_WORDS } from '../../words/faults/findings.ts'
import { AnswersGiven } from './AnswersGiven.tsx'
import { useInTurn } from '../../ui/use-in-turn.ts'
import { faultEntry } from './given.ts'
import { AskAfter } from './AskAfter.tsx'
import { EMPTY_SEARCH, isEmptySearch } from './kept-search.ts'
import { MendIt } from './MendIt.tsx'
import { NextTest } from './NextTest.tsx'
import { PastFaults } from './PastFaults.tsx'
import { Suspects } from './Suspects.tsx'
import { Symptoms } from './Symptoms.tsx'
import { useSearch } from './use-search.ts'
import { words } from '../../words/stations/faults/faults.ts'
import { newId } from '../../session/new-id.ts'

function OneBike({ judged }: { readonly judged: JudgedBike }) {
  const { garage, now, record } = useOpenLog()
  const { entry } = judged.report.bike
  const hand = useSearch(judged)
  const [found, setFound] = useState<readonly AnyCause[]>([])
  const { kept, view, change, clear } = hand
  const isAsked = !isEmptySearch(kept)
  const notFound = useInTurn(async () => {
    await record(
      [
        faultEntry(kept, {
          at: now,
          bike: entry.bike,
          fault: newId(),
          found: [],
          outcome: 'not-found',
        }),
      ],
      words.nothingFoundNoted(entry.name),
    )
    clear()
  })
  const blamed = blamedCogs(kept.cogs, hand.cogRisks)
  const [first] = view.ranking.causes
  const [next] = view.next
  const isElectric = entry.motor !== 'none'
  const isSure = isAsked && first !== undefined && first.p >= SURE_ENOUGH
  return (
    <div className="flex flex-col gap-6">
      <Answer
        detail={
          isAsked
            ? isSure
              ? words.mendItAndSee
              : next && (
                  <a href="#next-test" className="underline underline-offset-4">
                    {words.nextTest(FINDING_WORDS[next.finding].title.toLowerCase())}
                  </a>
                )
            : words.nothingHasToBe
        }
        action={
          isSure && found.length === 0 ? (
            <Button look="next" onClick={() => setFound([first.cause])}>
              {words.mendIt}
            </Button>
          ) : undefined
        }
      >
        {sayView(entry.name, view, isAsked, blamed)}
      </Answer>
      {isAsked && view.mayThrow && <CautionNote>{words.maySlipUnderLoad(entry.name)}</CautionNote>}
      <AskAfter garage={garage} bike={entry.bike} name={entry.name} />
      {found.length > 0 ? (
        <MendIt
          hand={hand}
          bike={entry.bike}
          name={entry.name}
          causes={found}
          blamed={blamed}
          isElectric={isElectric}
          onBack={() => setFound([])}
          onAlso={(cause) => setFound([...found, cause])}
        />
      ) : (
        <div className="grid grid-cols-[minmax(0,1.15fr)_minmax(0,1fr)] gap-x-12 gap-y-8 max-lg:grid-cols-1">
          <div className="flex min-w-0 flex-col gap-6">
            <div className="flex flex-wrap items-center justify-between gap-3">
              <Choice
                legend={words.whatIsWrong}
                hideLegend
                value={kept.about}
                onPick={(about) => change({ ...EMPTY_SEARCH, about })}
                options={[
                  { value: 'shifting', label: words.itSlipsSkipsOrGrinds },
                  { value: 'noise', label: words.itMakesANoise },
                ]}
              />
              {isAsked && (
                <span className="flex flex-wrap gap-4">
                  <Button look="link" onClick={notFound} className="min-h-11">
                    {words.nothingFoundLogIt}
                  </Button>
                  <Button look="link" onClick={clear} className="min-h-11">
                    {words.startAgain}
                  </Button>
                </span>
              )}
            </div>
            <Symptoms hand={hand} />
          </div>
          <div className="flex min-w-0 flex-col gap-8">
            {isAsked && <NextTest hand={hand} isElectric={isElectric} />}
            <Suspects
              hand={hand}
              isAwaited={kept.about === 'shifting' && judged.teeth === undefined && hand.cogs.length > 0}
              blamed={blamed}
              onFound={(cause) => setFound([cause])}
            />
            <AnswersGiven hand={hand} />
            <PastFaults bike={entry.bike} />
          </div>
        </div>
      )}
    </div>
  )
}

/** Fault finder: why it slips, skips, grinds or creaks, by evidence; the next test that tells most; the repair. */
export default function Faults() {
  const { garage } = useOpenLog()
  const bike = useBikeId(garage)
  const judged = useJudged(bike)
  if (!judged) return <NoBike what={words.addOneAndFind} />
  return <OneBike key={judged.report.bike.entry.bike} judged={judged} />
}
