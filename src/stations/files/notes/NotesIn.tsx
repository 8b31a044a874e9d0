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

const EXAMPLE = 'date\tkm\tgauge\tnote\n4 March\t12,410\t0.5 no, 0.75 no\tnew chain'

function Begin({ notes, said }: { readonly notes: Notes; readonly said: string | undefined }) {
  const [text, setText] = useState('')
  return (
    <div className="flex flex-col gap-6">
      <Answer
        detail="Readings, distances, parts, washes, prices: whatever its columns hold. You see what each row becomes before anything is added."
        {...(said !== undefined && {
          action: (
            <Link to={STATIONS.today.path} className={buttonLook('next')}>
              See what it says
            </Link>
          ),
        })}
      >
        {said ?? 'Bring in notes from a spreadsheet.'}
      </Answer>
      <div className="grid grid-cols-2 gap-x-14 gap-y-6 border-t border-hairline pt-6 max-lg:grid-cols-1">
        <Section title="Paste it" note="Select the cells in the spreadsheet, copy them, and paste them here.">
          <label className="sr-only" htmlFor="notes-text">
            Cells of the spreadsheet
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
            onClick={() => void notes.takeText(text, 'What was pasted')}
          >
            Read it
          </Button>
        </Section>
        <Section title="Or drop the file">
          <DropPlace
            note="A table as .csv, .tsv, .txt or .xlsx. Of a file with several sheets the first is read. It stays in this browser."
            accept=".csv,.tsv,.txt,.xlsx"
            label="Spreadsheet file"
            button="Choose a file"
            isSingle
            onFiles={([file]) => void (file && notes.takeFile(file))}
          >
            Drop the spreadsheet here.
          </DropPlace>
        </Section>
      </div>
      {notes.fault !== undefined && (
        <p role="alert" className="font-medium text-rust">
          {notes.fault} Nothing was changed.
        </p>
      )}
    </div>
  )
}

/** The sentence over a table that was opened. */
function headline({ opened, open, outcome }: Notes): string {
  const [first] = open
  if (first !== undefined) return NOTE_QUESTIONS[first]
  if (!outcome) return 'Laying out the rows…'
  const { drafts } = outcome
  if (drafts.length === 0) return 'There is nothing new in these notes.'
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
    const words = `${sayNoteCounts(countNotes(outcome.drafts))} came in.`
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
        detail={`${opened.file}. How it is read is kept for the next table like it. Added together, and undone together.`}
        action={
          <>
            <Button
              look="next"
              disabled={!outcome || outcome.drafts.length === 0 || adding || !isNamed}
              onClick={() => add()}
            >
              {adding ? 'Adding them…' : 'Add them to the log'}
            </Button>
            <Button look="link" onClick={notes.leave}>
              Leave this table
            </Button>
          </>
        }
      >
        {headline(notes)}
      </Answer>
      <div className="flex flex-col gap-6 border-t border-hairline pt-6">
        <Section title="What the columns hold">
          <ColumnsMap table={opened.table} mapping={mapping} onMap={notes.map} />
        </Section>
        <Section title="How to read them">
          <Settle table={opened.table} mapping={mapping} onMap={notes.map} />
        </Section>
        <Section title={notes.names.length > 1 ? 'Which bikes' : 'Which bike'}>
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
