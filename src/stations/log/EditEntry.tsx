import { useDeferredValue, useEffect, useId, useMemo, useState } from 'react'
import { useForm, useWatch } from 'react-hook-form'
import { asIfWritten } from '../../core/log/as-if-written.ts'
import type { Entry } from '../../core/log/entries.ts'
import { replay } from '../../core/log/replay.ts'
import { linesOf, liveEntries } from '../../core/log/supersede.ts'
import { effectsOf } from '../../core/strategy/effects.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { wordsOf } from '../../words/entries/index.ts'
import { useNotice } from '../../ui/parts/notices.tsx'
import { Button } from '../../ui/parts/Button.tsx'
import { TextField } from '../../ui/parts/fields.tsx'
import { useUnits } from '../../ui/screen-state.ts'
import { useOnce } from '../../ui/use-once.ts'
import { sayCount } from '../../words/numbers.ts'
import { sayEffect } from '../../words/effects.ts'
import { sayReceipt } from '../../words/receipt.ts'
import { EntryFieldIn } from './EntryField.tsx'
import { fieldsResolver } from './fields-resolver.ts'
import { correctionOf, fieldsOf, fieldTime, movedBy, sameJob, type Fields } from './correction.ts'
import { words } from '../../words/stations/log/edit-entry.ts'

const SHOWN = 6

/** A correction in the making: its fields, what it comes to, and what it would change downstream. */
function useCorrection(entry: Entry) {
  const { entries, garage, now } = useOpenLog()
  const units = useUnits()
  const counted = useMemo(
    () =>
      entry.kind === 'ride'
        ? garage.bikes.get(entry.bike)?.rides.find((ride) => ride.id === entry.id)
        : undefined,
    [entry, garage],
  )
  const context = useMemo(() => ({ units, counted }), [units, counted])
  const initial = useMemo(() => fieldsOf(entry, context), [entry, context])
  const job = useMemo(() => sameJob(entry, liveEntries(entries)), [entry, entries])
  const form = useForm<Fields>({
    defaultValues: initial,
    resolver: fieldsResolver((typed) => correctionOf(entry, typed, context, now), 'when'),
  })
  const fields = useWatch({ control: form.control }) as Fields
  // A change in one field may put another at fault: each change is checked whole.
  useEffect(() => void form.trigger(), [form, fields])
  const [together, setTogether] = useState(true)
  const corrected = useMemo(() => correctionOf(entry, fields, context, now), [entry, fields, context, now])
  const changed = JSON.stringify(fields) !== JSON.stringify(initial)
  const drafts = useMemo(() => {
    if (!('draft' in corrected) || !changed) return undefined
    const ms = Date.parse(corrected.draft.at) - Date.parse(entry.at)
    return [corrected.draft, ...(together && ms !== 0 ? movedBy(job, ms) : [])]
  }, [corrected, changed, entry, together, job])
  const settled = useDeferredValue(drafts)
  const effects = useMemo(
    () => settled && effectsOf(garage, replay(asIfWritten(entries, settled))),
    [settled, garage, entries],
  )
  return {
    form,
    fields,
    job,
    moves: fields.when !== initial.when,
    together,
    setTogether,
    changed,
    drafts,
    /** Undefined while it is worked out. */
    effects: drafts === settled ? effects : undefined,
  }
}

type Correction = ReturnType<typeof useCorrection>

/** What a correction would change, told before it is saved. */
function Downstream({ correction }: { readonly correction: Correction }) {
  const { garage } = useOpenLog()
  const units = useUnits()
  const heading = useId()
  const { changed, drafts, effects } = correction
  return (
    <section aria-labelledby={heading} aria-live="polite" className="border-y border-hairline py-3">
      <h3 id={heading} className="text-sm font-semibold">
        {words.whatThisChanges}
      </h3>
      {!changed ? (
        <p className="text-sm text-steel">{words.nothingIsChangedYet}</p>
      ) : !drafts ? (
        <p className="text-sm text-steel">{words.shownOnceEveryField}</p>
      ) : !effects ? (
        <p className="text-sm text-steel">{words.workingItOut}</p>
      ) : effects.length === 0 ? (
        <p className="text-sm text-steel">{words.noDistanceMovesAndNothing}</p>
      ) : (
        <ul className="mt-1 list-disc pl-5 text-[0.95rem]">
          {effects.slice(0, SHOWN).map((effect, i) => (
            <li key={i}>{sayEffect(effect, garage, units)}</li>
          ))}
          {effects.length > SHOWN && <li>{words.andThingsMore(effects.length - SHOWN)}</li>}
        </ul>
      )}
    </section>
  )
}

interface EditProps {
  readonly entry: Entry
  /** The entry is no longer the one that counts: what is in its place, or that nothing is. */
  readonly newer: Entry | 'gone' | undefined
  readonly onOpen: (entry: Entry) => void
  readonly onDone: () => void
}

/** Says that the entry was corrected or undone elsewhere while it was open here. */
function Overtaken({ newer, onOpen }: Pick<EditProps, 'onOpen'> & { readonly newer: Entry | 'gone' }) {
  return (
    <div role="alert" className="border-l-4 border-rust pl-3">
      <p>
        {words.whatYouEnteredIsStill(
          newer === 'gone' ? words.thisEntryWasUndone : words.thisEntryWasCorrected,
        )}
      </p>
      {newer !== 'gone' && (
        <Button look="link" className="mt-1" onClick={() => onOpen(newer)}>
          {words.openTheCorrectedEntry}
        </Button>
      )}
    </div>
  )
}

/** An entry, to be corrected by one that takes its place; what changes downstream is shown before. */
export function EditEntry({ entry, newer, onOpen, onDone }: EditProps) {
  const { entries, now, record, withdraw, restore } = useOpenLog()
  const tell = useNotice()
  const correction = useCorrection(entry)
  const { form, fields, job, drafts } = correction
  const [save, saving] = useOnce(async () => {
    if (drafts && (await record(drafts, words.corrected))) onDone()
  })
  const [takeOut, takingOut] = useOnce(async () => {
    const line = linesOf(entries, [entry.id])
    const [taken] = (await withdraw(line)) ?? []
    if (!taken) return
    tell(words.removed, { label: words.putBack, run: () => void restore(line) })
    onDone()
  })
  const receipt = entry.kind === 'ride' ? sayReceipt(entry) : []
  return (
    <div className="flex flex-col gap-4">
      {newer !== undefined && <Overtaken newer={newer} onOpen={onOpen} />}
      {receipt.length > 0 && (
        <section aria-label={words.whereItsFiguresCome} className="text-sm text-steel">
          {receipt.map((sentence) => (
            <p key={sentence}>{sentence}</p>
          ))}
        </section>
      )}
      <TextField
        label={words.when}
        type="datetime-local"
        max={fieldTime(now)}
        fault={form.formState.errors.when?.message}
        {...form.register('when')}
      />
      {correction.moves && job.length > 0 && (
        <label className="flex min-h-11 items-center gap-3 text-[0.95rem]">
          <input
            type="checkbox"
            className="size-6 shrink-0 accent-petrol"
            checked={correction.together}
            onChange={(event) => correction.setTogether(event.target.checked)}
          />
          {words.andOfTheSame(sayCount(job.length, 'entry'))}
        </label>
      )}
      {wordsOf(entry).fields.map((field) =>
        field.shownIf && !field.shownIf(fields.values) ? null : (
          <EntryFieldIn key={field.name} control={form.control} field={field} />
        ),
      )}
      <Downstream correction={correction} />
      <div className="flex flex-wrap gap-3">
        <Button look="firm" disabled={!drafts || saving || newer !== undefined} onClick={save}>
          {words.saveCorrection}
        </Button>
        <Button look="harm" disabled={takingOut || newer !== undefined} onClick={takeOut}>
          {words.removeIt}
        </Button>
      </div>
    </div>
  )
}
