import clsx from 'clsx'
import { COMPLAINTS, type AnyFinding } from '../../core/faults/finder.ts'
import { Section } from '../../ui/parts/Section.tsx'
import { COMPLAINT_NAMES, FINDING_WORDS } from '../../words/faults/findings.ts'
import { CogPick } from './CogPick.tsx'
import { withAnswer } from './given.ts'
import { TapAlong } from './TapAlong.tsx'
import type { SearchInHand } from './use-search.ts'
import { words } from '../../words/stations/faults/symptoms.ts'

const CHIP =
  'min-h-11 rounded-[3px] border px-3 text-left text-[0.95rem] leading-tight bench:min-h-14 bench:text-lg'

/** A question of a few answers. Several may be tapped: then they contradict one another, and both are counted. Tapped again: not sure. */
function Question({ hand, finding }: { readonly hand: SearchInHand; readonly finding: AnyFinding }) {
  const { kept, change, search } = hand
  const { title, values } = FINDING_WORDS[finding]
  const said = kept.answers.find((one) => one.finding === finding)?.said ?? []
  const fromLog = said.length === 0 ? search.known[finding] : undefined
  const tap = (value: string) =>
    change(
      withAnswer(
        kept,
        finding,
        said.includes(value) ? said.filter((one) => one !== value) : [...said, value],
      ),
    )
  return (
    <fieldset className="min-w-0">
      <legend className="mb-1 text-sm font-medium">{title}</legend>
      <div className="flex flex-wrap gap-1.5">
        {Object.entries(values).map(([value, label]) => (
          <button
            key={value}
            type="button"
            aria-pressed={said.includes(value)}
            onClick={() => tap(value)}
            className={clsx(
              CHIP,
              said.includes(value)
                ? 'border-petrol bg-petrol/10 font-semibold'
                : fromLog === value
                  ? 'border-dashed border-petrol'
                  : 'border-hairline hover:border-steel',
            )}
          >
            {label}
            {fromLog === value && <span className="ml-1 text-sm text-steel">{words.yourLog}</span>}
          </button>
        ))}
        <button
          type="button"
          aria-pressed={said.length === 0 && fromLog === undefined}
          onClick={() => change(withAnswer(kept, finding, undefined))}
          className={clsx(CHIP, 'border-transparent text-steel')}
        >
          {words.notSure}
        </button>
      </div>
    </fieldset>
  )
}

const AFTER: readonly AnyFinding[] = ['new-chain', 'new-cassette', 'crash', 'wheel-change']
const OF_NOISE: readonly AnyFinding[] = [
  'sound',
  'pedalling',
  'seated',
  'felt',
  'braking',
  'bars',
  'rhythm',
  'weather',
]

/** What happens and when, tapped. Nothing has to be answered. */
export function Symptoms({ hand }: { readonly hand: SearchInHand }) {
  const { kept, change, search, cogs } = hand
  const isAsked = (finding: AnyFinding): boolean => search.ready.findings.includes(finding)
  if (kept.about === 'noise')
    return (
      <Section title={words.whatDoYouHear} note={words.answerWhatYouKnow}>
        <div className="flex flex-col gap-4">
          {OF_NOISE.map((finding) => (
            <Question key={finding} hand={hand} finding={finding} />
          ))}
        </div>
      </Section>
    )
  const toggle = (one: (typeof COMPLAINTS)[number]) =>
    change({
      ...kept,
      complaints: kept.complaints.includes(one)
        ? kept.complaints.filter((other) => other !== one)
        : [...kept.complaints, one],
    })
  return (
    <>
      <Section title={words.whatHappens} note={words.tapEverythingYouNotice}>
        <div className="flex flex-wrap gap-1.5">
          {COMPLAINTS.filter(isAsked).map((one) => (
            <button
              key={one}
              type="button"
              aria-pressed={kept.complaints.includes(one)}
              onClick={() => toggle(one)}
              className={clsx(
                CHIP,
                kept.complaints.includes(one)
                  ? 'border-petrol bg-petrol/10 font-semibold'
                  : 'border-hairline hover:border-steel',
              )}
            >
              {COMPLAINT_NAMES[one]}
            </button>
          ))}
          <button
            type="button"
            aria-pressed={false}
            onClick={() => change({ ...kept, about: 'noise' })}
            className={clsx(CHIP, 'border-hairline hover:border-steel')}
          >
            {words.itCreaks}
          </button>
        </div>
      </Section>
      <Section title={words.when} note={words.answerWhatYouKnow}>
        <div className="flex flex-col gap-4">
          <Question hand={hand} finding="load" />
          {isAsked('cogs') && cogs.length > 1 && (
            <CogPick cogs={cogs} picked={kept.cogs} onPick={(picked) => change({ ...kept, cogs: picked })} />
          )}
          <Question hand={hand} finding="standing" />
          <Question hand={hand} finding="period" />
          <TapAlong hand={hand} />
          <div className="grid grid-cols-2 gap-4 max-sm:grid-cols-1">
            {AFTER.map((finding) => (
              <Question key={finding} hand={hand} finding={finding} />
            ))}
          </div>
        </div>
      </Section>
    </>
  )
}
