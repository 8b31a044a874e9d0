import { useState } from 'react'
import type { AnyFinding } from '../../core/faults/finder.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { CautionNote } from '../../ui/parts/Empty.tsx'
import { Section } from '../../ui/parts/Section.tsx'
import { FINDING_WORDS, WAY_NAMES } from '../../words/faults/findings.ts'
import { sayCount } from '../../words/numbers.ts'
import { TestDrawing } from './drawings/TestDrawing.tsx'
import { withAnswer } from './given.ts'
import type { SearchInHand } from './use-search.ts'
import { words as phrases } from '../../words/stations/faults/next-test.ts'

const sayMinutes = (minutes: number): string =>
  minutes < 1 ? phrases.halfAMinute : minutes === 1.5 ? phrases.oneAndAHalf : sayCount(minutes, 'minute')

/** The test that tells most for its minutes and its danger: drawn, told, and answered with one tap. Others can be taken instead. */
export function NextTest({
  hand,
  isElectric,
}: {
  readonly hand: SearchInHand
  readonly isElectric: boolean
}) {
  const { view, kept, change, search, cogs } = hand
  const [picked, pick] = useState<AnyFinding>()
  const open = view.next.filter(({ finding }) => !kept.later.includes(finding))
  const at = open.find(({ finding }) => finding === picked) ?? open[0]
  if (!at)
    return (
      <Section title={phrases.nextTest}>
        <p className="text-[0.95rem]">
          {phrases.noTestThatIsLeft}{' '}
          {kept.later.length > 0 && (
            <Button look="link" onClick={() => change({ ...kept, later: [] })}>
              {phrases.offerThoseThatWere}
            </Button>
          )}
        </p>
      </Section>
    )
  const { finding } = at
  const words = FINDING_WORDS[finding]
  const { way, minutes } = search.ready.network.findings[finding]
  const answer = (value: string) => {
    pick(undefined)
    change(withAnswer(kept, finding, [value]))
  }
  return (
    <Section
      id="next-test"
      title={phrases.nextTest}
      note={phrases.itTellsMostForIts(WAY_NAMES[way], sayMinutes(minutes))}
    >
      <h3 className="text-lg leading-tight font-semibold">{words.title}</h3>
      <div className="mt-2 grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] items-start gap-4 max-sm:grid-cols-1">
        <ol className="list-decimal pl-5 text-[0.98rem] leading-snug">
          {(words.how ?? []).map((step) => (
            <li key={step} className="mb-1">
              {step}
            </li>
          ))}
        </ol>
        <TestDrawing finding={finding} cogs={cogs.length > 0 ? cogs : [18]} />
      </div>
      {(words.caution ?? (isElectric && way !== 'eye')) && (
        <div className="mt-2">
          <CautionNote>
            {[words.caution, isElectric && way !== 'eye' && phrases.electricBikePowerOff]
              .filter(Boolean)
              .join(' ')}
          </CautionNote>
        </div>
      )}
      <div className="mt-3 flex flex-wrap gap-2" role="group" aria-label={words.title}>
        {Object.entries(words.values).map(([value, label]) => (
          <button
            key={value}
            type="button"
            onClick={() => answer(value)}
            className="min-h-12 rounded-[3px] border-2 border-petrol px-4 font-semibold hover:bg-petrol/10 bench:min-h-16 bench:text-lg"
          >
            {label}
          </button>
        ))}
        <button
          type="button"
          onClick={() => {
            pick(undefined)
            change({ ...kept, later: [...kept.later, finding] })
          }}
          className="min-h-12 px-3 text-steel underline underline-offset-4"
        >
          {phrases.notNow}
        </button>
      </div>
      {open.length > 1 && (
        <details className="mt-3">
          <summary className="min-h-11 cursor-pointer py-2 underline underline-offset-4">
            {phrases.anotherTest}
          </summary>
          <ul>
            {open
              .filter((one) => one.finding !== finding)
              .slice(0, 8)
              .map((one) => (
                <li key={one.finding}>
                  <button
                    type="button"
                    onClick={() => pick(one.finding)}
                    className="flex min-h-11 w-full items-center justify-between gap-3 border-b border-hairline/70 text-left"
                  >
                    {FINDING_WORDS[one.finding].title}
                    <span className="shrink-0 text-sm text-steel">
                      {WAY_NAMES[search.ready.network.findings[one.finding].way]},{' '}
                      {sayMinutes(search.ready.network.findings[one.finding].minutes)}
                    </span>
                  </button>
                </li>
              ))}
          </ul>
        </details>
      )}
    </Section>
  )
}
