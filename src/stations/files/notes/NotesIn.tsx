import { useState } from 'react'
import { Link } from 'react-router'
import { useOpenLog } from '../../../session/log-context.ts'
import { Answer } from '../../../ui/parts/Answer.tsx'
import { Button, buttonLook } from '../../../ui/parts/Button.tsx'
import { DropPlace } from '../../../ui/parts/DropPlace.tsx'
import { Section } from '../../../ui/parts/Section.tsx'
import { STATIONS } from '../../../words/places.ts'
import { useOnce } from '../../../ui/use-once.ts'
import { NOTE_QUESTIONS, sayNoteCounts } from '../../../words/notes-words.ts'
import { sayCount } from '../../../words/numbers.ts'
import { ColumnsMap } from './ColumnsMap.tsx'
import { NotesBikes } from './NotesBikes.tsx'
import { NotesPreview } from './NotesPreview.tsx'
import { Settle } from './Settle.tsx'
import { countNotes, useNotes, type Notes } from './use-notes.ts'
import { words as phrases } from '../../../words/stations/files/notes/notes-in.ts'

const EXAMPLE = phrases.dateKmGaugeNote

function Begin({ notes, said }: { readonly notes: Notes; readonly said: string | undefined }) {
  const [text, setText] = useState('')
  return (
    <div className="flex flex-col gap-6">
      <Answer
        detail={phrases.readingsDistancesPartsWashes}
        {...(said !== undefined && {
          action: (
            <Link to={STATIONS.today.path} className={buttonLook('next')}>
              {phrases.seeWhatItSays}
            </Link>
          ),
        })}
      >
        {said ?? phrases.bringInNotesFromASpreadsheet}
      </Answer>
      {notes.reading && (
        <div className="flex items-center gap-4">
          <p role="status" className="[overflow-wrap:anywhere]">
            {phrases.reading(notes.reading.file)}
          </p>
          <progress
            className="h-2 min-w-24 flex-1 accent-petrol"
            max={1}
            value={notes.reading.share}
            aria-label={phrases.readingTheSpreadsheet}
          />
          <Button onClick={notes.cancel}>{phrases.cancel}</Button>
        </div>
      )}
      <div className="grid grid-cols-2 gap-x-14 gap-y-6 border-t border-hairline pt-6 max-lg:grid-cols-1">
        <Section title={phrases.pasteIt} note={phrases.selectTheCellsInTheSpreadsheet}>
          <label className="sr-only" htmlFor="notes-text">
            {phrases.cellsOfTheSpreadsheet}
          </label>
          <textarea
            id="notes-text"
            className="block min-h-44 w-full rounded-[3px] border border-steel bg-raised p-3 font-mono text-sm text-ink"
            placeholder={EXAMPLE}
            value={text}
            onChange={({ target }) => setText(target.value)}
            spellCheck={false}
          />
          <Button
            look="firm"
            className="mt-3"
            disabled={text.trim() === ''}
            onClick={() => void notes.takeText(text, phrases.whatWasPasted)}
          >
            {phrases.readIt}
          </Button>
        </Section>
        <Section title={phrases.orDropTheFile}>
          <DropPlace
            note={phrases.aTableAsCsv}
            accept=".csv,.tsv,.txt,.xlsx"
            label={phrases.spreadsheetFile}
            button={phrases.chooseAFile}
            isSingle
            onFiles={([file]) => void (file && notes.takeFile(file))}
          >
            {phrases.dropTheSpreadsheetHere}
          </DropPlace>
        </Section>
      </div>
      {notes.fault !== undefined && (
        <p role="alert" className="font-medium text-rust">
          {phrases.nothingWasChanged(notes.fault)}
        </p>
      )}
    </div>
  )
}

/** The sentence over a table that was opened. */
function headline({ opened, open, outcome }: Notes): string {
  const [first] = open
  if (first !== undefined) return NOTE_QUESTIONS[first]
  if (!outcome) return phrases.layingOutTheRows
  const { drafts } = outcome
  if (drafts.length === 0) return phrases.thereIsNothingNew
  return `${sayCount(opened?.table.rows.length ?? 0, 'row')}: ${sayNoteCounts(countNotes(drafts))}.`
}

/** Notes from a spreadsheet: columns, what has to be said, what each row becomes, and one press to add them. */
export default function NotesIn() {
  const { record } = useOpenLog()
  const notes = useNotes()
  const [said, setSaid] = useState<string>()
  const { opened, mapping, outcome, open } = notes
  const isNamed = Object.values(notes.bikes).every((bike) => bike.is === 'here' || bike.name.trim() !== '')
  const [add, adding] = useOnce(async () => {
    if (!outcome || !opened) return
    const words = phrases.cameIn(sayNoteCounts(countNotes(outcome.drafts)))
    if (!(await record(outcome.drafts, words))) return
    await notes.remember()
    setSaid(words)
    notes.leave()
  })
  if (!opened || !mapping) return <Begin notes={notes} said={said} />
  const asked = new Set(open)
  return (
    <div className="flex flex-col gap-7">
      <Answer
        detail={phrases.howItIsRead(opened.file)}
        action={
          <>
            <Button
              look="next"
              disabled={!outcome || outcome.drafts.length === 0 || adding || !isNamed}
              onClick={() => add()}
            >
              {adding ? phrases.addingThem : phrases.addThemToTheLog}
            </Button>
            <Button look="link" onClick={notes.leave}>
              {phrases.leaveThisTable}
            </Button>
          </>
        }
      >
        {headline(notes)}
      </Answer>
      <div className="flex flex-col gap-6 border-t border-hairline pt-6">
        <Section title={phrases.whatTheColumnsHold}>
          <ColumnsMap table={opened.table} mapping={mapping} onMap={notes.map} />
        </Section>
        <Section title={phrases.howToReadThem}>
          <Settle table={opened.table} mapping={mapping} onMap={notes.map} />
        </Section>
        <Section title={notes.names.length > 1 ? phrases.whichBikes : phrases.whichBike}>
          <NotesBikes notes={notes} />
        </Section>
        {asked.size > 0 && (
          <ul role="status" className="font-medium text-rust">
            {[...asked].map((question) => (
              <li key={question}>{NOTE_QUESTIONS[question]}</li>
            ))}
          </ul>
        )}
        {outcome && <NotesPreview table={opened.table} outcome={outcome} />}
      </div>
    </div>
  )
}
