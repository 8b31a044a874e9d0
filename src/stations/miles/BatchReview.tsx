import { useMemo, useState } from 'react'
import type { RideDraft } from '../../core/exposure/admit-rides.ts'
import { quarterOf, usualAt } from '../../core/exposure/conditions.ts'
import { totalKm } from '../../core/exposure/distance.ts'
import { isWorthALook } from '../../core/exposure/receipt.ts'
import type { ChainAddition } from '../../core/exposure/rides-add.ts'
import type { BikeEntry } from '../../core/log/kinds/bike.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { SelectField } from '../../ui/parts/fields.tsx'
import { saveBytes } from '../../ui/save-file.ts'
import { useUnits } from '../../ui/screen-state.ts'
import { CONDITION_NAMES } from '../../words/names.ts'
import { sayCount, sayKm } from '../../words/numbers.ts'
import { remarkList, withSaid, type Remark, type Said, type SortedBatch } from './batch.ts'
import { useOnce } from '../../ui/use-once.ts'
import { AskAbout } from './AskAbout.tsx'
import { draftsSaid, questionsOf, type Say } from './questions.ts'
import { Additions, ReceiptList, useAdditions } from './Receipt.tsx'
import { words } from '../../words/stations/miles/batch-review.ts'

const SHOWN = 8

function Remarks({ remarks, title }: { readonly remarks: readonly Remark[]; readonly title: string }) {
  if (remarks.length === 0) return null
  return (
    <div>
      <h3 className="text-sm font-semibold text-rust">{title}</h3>
      <ul className="mt-1 divide-y divide-hairline border-y border-hairline text-[0.95rem]">
        {remarks.slice(0, SHOWN).map(({ file, fault }, i) => (
          <li key={i} className="py-2 break-words">
            <strong>{file}</strong>
            <span className="block text-steel">{fault}</span>
          </li>
        ))}
      </ul>
      {remarks.length > SHOWN && (
        <p className="mt-1 text-sm text-steel">{words.andMoreAllInTheList(remarks.length - SHOWN)}</p>
      )}
    </div>
  )
}

interface Props {
  readonly bike: BikeEntry
  readonly batch: SortedBatch
  /** What was written, and what it added to the chains. */
  readonly onAdded: (drafts: readonly RideDraft[], additions: readonly ChainAddition[]) => void
  readonly onLeave: (said: string) => void
}

/** What goes in as things stand, and what is said of the rest. */
function useBatch(batch: SortedBatch) {
  const [said, setSaid] = useState<Readonly<Record<string, Say>>>({})
  const questions = useMemo(() => questionsOf(batch.open), [batch])
  const drafts = useMemo(
    () => [
      ...batch.fresh,
      ...questions.flatMap(({ id, open, usual }) =>
        open.flatMap((one) => draftsSaid(one, said[id] ?? usual)),
      ),
    ],
    [batch, questions, said],
  )
  return {
    questions,
    said,
    say: (id: string, say: Say) => setSaid((held) => ({ ...held, [id]: say })),
    drafts,
  }
}

/** What was found in the files, before anything goes in. */
export function BatchReview({ bike, batch, onAdded, onLeave }: Props) {
  const { record, now, garage } = useOpenLog()
  const units = useUnits()
  const [said, setSaid] = useState<Said>('later')
  const { questions, said: answers, say, drafts } = useBatch(batch)
  const additions = useAdditions(bike.bike, drafts)
  const count = sayCount(drafts.length, 'ride')
  const km = totalKm(drafts)
  const remarks = [...batch.broken, ...batch.known, ...batch.richer]
  const doubtful = drafts.filter(({ receipt }) => receipt && isWorthALook(receipt))
  const [add, adding] = useOnce(async () => {
    const saved = await record(
      withSaid(drafts, said, bike),
      words.addedTo(count, bike.name, sayKm(km, units)),
    )
    if (!saved) return
    const rides = saved.filter((entry) => entry.kind === 'ride')
    if (rides.length > 0) onAdded(rides, additions)
    else onLeave(words.allOfThemWere)
  })
  const usual = CONDITION_NAMES[usualAt(bike, drafts[0]?.at ?? now)]
  const oneQuarter = new Set(drafts.map(({ at }) => quarterOf(at))).size === 1
  return (
    <div className="flex flex-col gap-4">
      <AskAbout questions={questions} said={answers} onSay={say} />
      {drafts.length > 0 && (
        <>
          <Additions garage={garage} additions={additions} />
          {doubtful.length > 0 && (
            <p className="text-[0.95rem] font-medium text-rust">
              {words.worthALookBefore(
                sayCount(doubtful.length, 'rideIs'),
                doubtful.length === 1 ? words.itGoes : words.theyGo,
              )}
            </p>
          )}
          <ReceiptList drafts={drafts} />
        </>
      )}
      <Remarks title={words.takesThePlaceOfAPoorer} remarks={batch.richer} />
      <Remarks title={words.alreadyInTheLog} remarks={batch.known} />
      <Remarks title={words.couldNotBeRead} remarks={batch.broken} />
      {remarks.length > 0 && (
        <Button
          look="link"
          className="self-start"
          onClick={() => saveBytes(words.ridesLeftOutCsv(bike.name), remarkList(remarks), 'text/csv')}
        >
          {words.saveThisList}
        </Button>
      )}
      <div className="flex flex-wrap items-end gap-3">
        {drafts.length > 0 ? (
          <>
            <SelectField<Said>
              label={words.conditions}
              options={{
                later: words.notSetYetSort,
                usual: oneQuarter ? words.theUsual(usual) : words.theUsualOfEach,
                ...CONDITION_NAMES,
              }}
              value={said}
              onPick={setSaid}
              className="min-w-52"
            />
            <Button look="firm" disabled={adding} onClick={add}>
              {adding ? words.adding : words.add(count, sayKm(km, units))}
            </Button>
            <Button onClick={() => onLeave(words.nothingWasAdded)}>{words.leaveThem}</Button>
          </>
        ) : (
          <Button onClick={() => onLeave(words.nothingWasAdded)}>{words.goBack}</Button>
        )}
      </div>
    </div>
  )
}
