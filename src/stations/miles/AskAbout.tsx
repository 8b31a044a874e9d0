import { useOpenLog } from '../../session/log-context.ts'
import { Choice } from '../../ui/parts/fields.tsx'
import { useUnits } from '../../ui/screen-state.ts'
import type { Units } from '../../core/units/units.ts'
import { sayCount, sayDay, sayKm } from '../../words/numbers.ts'
import type { Open, OpenKind, Question, Say } from './questions.ts'
import { words } from '../../words/stations/miles/ask-about.ts'

const SHOWN = 4

const MANY: Readonly<Record<OpenKind, (count: string) => string>> = {
  sport: (count) => words.areRecordedAsSomething(count),
  day: (count) => words.haveADateThatCannot(count),
  'same-day': (count) => words.haveTheDayAndDistance(count),
  twin: (count) => words.areWrittenTwiceInTheir(count),
}

/** What is open about one ride, in a sentence. */
function sayOpen(open: Open, now: string, units: Units): string {
  const { draft } = open
  const ride = `${sayKm(draft.km, units)}, ${sayDay(draft.at, now)}`
  const file = draft.source?.file ?? words.aRide
  switch (open.kind) {
    case 'sport':
      return words.wasRecordedAsDid(file, open.sport, ride)
    case 'day':
      switch (open.doubt.why) {
        case 'future':
          return words.isDatedInTheFuture(file, draft.at.slice(0, 10))
        case 'lost-count':
          return words.isDatedOldReceivers(
            file,
            draft.at.slice(0, 10),
            open.doubt.likely?.slice(0, 10) ?? words.later,
          )
        case 'clock-not-set':
          return words.isDatedTheDevices(file, draft.at.slice(0, 10), sayKm(draft.km, units))
      }
      break
    case 'same-day':
      return words.hasHasOnTheSame(file, ride, open.of.name, sayKm(open.of.km, units))
    case 'twin':
      return words.lineTheSameAs(file, open.line, ride)
  }
}

function labelOf(say: Say, question: Question): string {
  const many = question.open.length > 1
  switch (say) {
    case 'take':
      if (question.kind === 'same-day') return many ? words.keepBothOfEach : words.keepBoth
      if (question.kind === 'twin') return many ? words.riddenTwiceKeepBoth : words.riddenTwiceKeepBoth2
      if (question.kind === 'day') return words.keepTheDateOfTheFile
      return many ? words.takeThemAsRides : words.takeItAsARide
    case 'likely-day': {
      const [first] = question.open
      const likely = !many && first?.kind === 'day' ? first.doubt.likely?.slice(0, 10) : undefined
      return likely === undefined ? words.n1024WeeksLater : words.itWas(likely)
    }
    case 'one':
      return many ? words.theSameRides : words.theSameRide
    case 'leave':
      return question.kind === 'twin' ? words.writtenTwiceTakeItOnce : words.leaveOut
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
    <section aria-label={words.questionsAboutTheseRides} className="flex flex-col gap-3">
      <h3 className="text-sm font-semibold">
        {questions.length === 1 ? words.oneQuestionFirst : words.questionsFirst(questions.length)}
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
                {open.length > SHOWN && <li>{words.andMore(open.length - SHOWN)}</li>}
              </ul>
            )}
          </div>
        )
      })}
    </section>
  )
}
