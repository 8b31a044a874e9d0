import { useOpenLog } from '../../session/log-context.ts'
import { Choice } from '../../ui/parts/fields.tsx'
import { useUnits } from '../../ui/screen-state.ts'
import type { Units } from '../../core/units/units.ts'
import { sayCount, sayDay, sayKm } from '../../words/numbers.ts'
import type { Open, OpenKind, Question, Say } from './questions.ts'

const SHOWN = 4

const MANY: Readonly<Record<OpenKind, (count: string) => string>> = {
  sport: (count) => `${count} are recorded as something else than cycling`,
  day: (count) => `${count} have a date that cannot be`,
  'same-day': (count) => `${count} have the day and distance of a ride that is there already`,
  twin: (count) => `${count} are written twice in their table, cell for cell`,
}

/** What is open about one ride, in a sentence. */
function sayOpen(open: Open, now: string, units: Units): string {
  const { draft } = open
  const ride = `${sayKm(draft.km, units)}, ${sayDay(draft.at, now)}`
  const file = draft.source?.file ?? 'A ride'
  switch (open.kind) {
    case 'sport':
      return `${file} was recorded as “${open.sport}”: ${ride}. Did it go over the chain?`
    case 'day':
      switch (open.doubt.why) {
        case 'future':
          return `${file} is dated ${draft.at.slice(0, 10)}, in the future: the device’s clock was wrong.`
        case 'lost-count':
          return `${file} is dated ${draft.at.slice(0, 10)}. Old receivers lose count after 1024 weeks; it may have been ${open.doubt.likely?.slice(0, 10) ?? 'later'}.`
        case 'clock-not-set':
          return `${file} is dated ${draft.at.slice(0, 10)}: the device’s clock was not set. Add its ${sayKm(draft.km, units)} by hand, on the day you rode it.`
      }
      break
    case 'same-day':
      return `${file} has ${ride}; ${open.of.name} has ${sayKm(open.of.km, units)} on the same day. Is it the same ride?`
    case 'twin':
      return `${file}, line ${open.line}: the same as a row above it, ${ride}. Was it ridden twice?`
  }
}

function labelOf(say: Say, question: Question): string {
  const many = question.open.length > 1
  switch (say) {
    case 'take':
      if (question.kind === 'same-day') return many ? 'Keep both of each' : 'Keep both'
      if (question.kind === 'twin')
        return many ? 'Ridden twice: keep both of each' : 'Ridden twice: keep both'
      if (question.kind === 'day') return 'Keep the date of the file'
      return many ? 'Take them as rides' : 'Take it as a ride'
    case 'likely-day': {
      const [first] = question.open
      const likely = !many && first?.kind === 'day' ? first.doubt.likely?.slice(0, 10) : undefined
      return likely === undefined ? '1024 weeks later' : `It was ${likely}`
    }
    case 'one':
      return many ? 'The same rides' : 'The same ride'
    case 'leave':
      return question.kind === 'twin' ? 'Written twice: take it once' : 'Leave out'
  }
}

interface Props {
  readonly questions: readonly Question[]
  readonly said: Readonly<Record<string, Say>>
  readonly onSay: (id: string, say: Say) => void
}

/** What has to be said about some rides before they go in; each has an answer already, which holds if nobody says another. */
export function AskAbout({ questions, said, onSay }: Props) {
  const { now } = useOpenLog()
  const units = useUnits()
  if (questions.length === 0) return null
  return (
    <section aria-label="Questions about these rides" className="flex flex-col gap-3">
      <h3 className="text-sm font-semibold">
        {questions.length === 1 ? 'One question first' : `${questions.length} questions first`}
      </h3>
      {questions.map((question) => {
        const { id, kind, open, choices, usual } = question
        const [first] = open
        if (!first) return null
        const legend =
          open.length > 1 ? `${MANY[kind](sayCount(open.length, 'ride'))}.` : sayOpen(first, now, units)
        return (
          <div key={id} className="border-l-4 border-petrol pl-3">
            <Choice<Say>
              legend={legend}
              options={choices.map((say) => ({ value: say, label: labelOf(say, question) }))}
              value={said[id] ?? usual}
              onPick={(say) => onSay(id, say)}
            />
            {open.length > 1 && (
              <ul className="mt-1 list-disc pl-5 text-sm text-steel">
                {open.slice(0, SHOWN).map((one, i) => (
                  <li key={i} className="break-words">
                    {sayOpen(one, now, units)}
                  </li>
                ))}
                {open.length > SHOWN && <li>And {open.length - SHOWN} more.</li>}
              </ul>
            )}
          </div>
        )
      })}
    </section>
  )
}
