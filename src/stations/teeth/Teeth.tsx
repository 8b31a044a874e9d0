import { STATIONS } from '../../ui/places.ts'
import { useState } from 'react'
import { Link } from 'react-router'
import type { WearWord } from '../../core/log/entry.ts'
import type { Sprocket } from '../../core/strategy/facts/sprockets.ts'
import { worstWord } from '../../core/strategy/wear-word.ts'
import { useBikeReport, useOpenLog } from '../../session/log-context.ts'
import { DrivetrainDrawing } from '../../ui/drawings/DrivetrainDrawing.tsx'
import { WearMark } from '../../ui/glyphs/ToothGlyph.tsx'
import { Answer } from '../../ui/parts/Answer.tsx'
import { buttonLook } from '../../ui/parts/Button.tsx'
import { CautionNote } from '../../ui/parts/Empty.tsx'
import { Choice } from '../../ui/parts/fields.tsx'
import { NoBike } from '../../ui/parts/NoBike.tsx'
import { Section } from '../../ui/parts/Section.tsx'
import { useBikeId } from '../../ui/use-bike-id.ts'
import { sayAgo, sayCount, sayList } from '../../ui/words/numbers.ts'
import { useInTurn } from '../../ui/use-in-turn.ts'

const WORDS: readonly WearWord[] = ['fresh', 'good', 'watch', 'swap', 'spent']

/** What each word looks like on a tooth. */
const LOOKS_LIKE: Readonly<Record<WearWord, string>> = {
  fresh: 'round even valleys, flat tips, as new',
  good: 'valleys even, edges a little polished',
  watch: 'one flank worn more; the tooth begins to lean',
  swap: 'leaning, the tip nearly a point, the valley wide',
  spent: 'hooked or pointed: a fresh chain will not run on it',
}

const nameOf = ({ role, teeth }: Sprocket): string =>
  role === 'cog' || role === 'ring' ? `${role} ${teeth}` : `${role}, ${teeth}`

function sayTeeth(name: string, sprockets: readonly Sprocket[]): string {
  const looked = sprockets.filter((sprocket) => sprocket.look)
  const worst = worstWord(looked.flatMap(({ look }) => (look ? [look.word] : [])))
  if (!worst) return `${name}’s teeth have not been checked yet.`
  const those = looked.filter(({ look }) => look?.word === worst)
  const cogs = those.filter(({ role }) => role === 'cog').map(({ teeth }) => String(teeth))
  const others = those
    .filter(({ role }) => role !== 'cog')
    .map((one) => (one.role === 'ring' ? nameOf(one) : one.role))
  const names = sayList([
    ...(cogs.length > 0 ? [`${cogs.length > 1 ? 'cogs' : 'cog'} ${sayList(cogs)}`] : []),
    ...others,
  ])
  switch (worst) {
    case 'fresh':
    case 'good':
      return `${name}’s teeth look ${worst}.`
    case 'watch':
      return `Watch ${name}’s ${names}.`
    case 'swap':
      return `${name}: swap the ${names}.`
    case 'spent':
      return `${name}’s ${names} ${those.length === 1 ? 'is' : 'are'} spent.`
  }
}

interface RowProps {
  readonly sprocket: Sprocket
  readonly onChoose: (sprocket: Sprocket) => void
}

function LookRow({ sprocket, onChoose }: RowProps) {
  const { record, now } = useOpenLog()
  const { look, part } = sprocket
  const pick = useInTurn(async (word: WearWord) => {
    onChoose(sprocket)
    await record(
      [
        {
          kind: 'look',
          at: now,
          part: part.entry.part,
          word,
          ...(sprocket.role === 'cog' && { cog: sprocket.teeth }),
        },
      ],
      `${nameOf(sprocket)}: ${word}.`,
    )
  })
  return (
    <li
      className="grid grid-cols-[6.6rem_minmax(0,1fr)] items-center gap-x-4 gap-y-1 border-t border-hairline py-2 max-sm:grid-cols-1"
      onMouseEnter={() => onChoose(sprocket)}
      onFocus={() => onChoose(sprocket)}
    >
      <div className="max-sm:flex max-sm:items-baseline max-sm:justify-between">
        <p className="font-semibold">{nameOf(sprocket)}</p>
        <p className="text-sm text-steel">{look ? sayAgo(look.at, now) : 'not checked'}</p>
      </div>
      <Choice
        legend={`How ${nameOf(sprocket)} looks`}
        hideLegend
        dense
        value={look?.word}
        onPick={pick}
        options={WORDS.map((word) => ({
          value: word,
          label: <WearMark word={word} className="gap-1 text-sm max-sm:flex-col-reverse" />,
        }))}
      />
    </li>
  )
}

/** Teeth: every cog, ring and pulley drawn to scale, each given one of the five words by eye. */
export default function Teeth() {
  const { garage } = useOpenLog()
  const report = useBikeReport(useBikeId(garage))
  const [chosen, setChosen] = useState<Sprocket>()
  if (!report) return <NoBike what="Add one with its cogs and rings, and say here how their teeth look." />
  const { sprockets } = report
  const { name } = report.bike.entry
  if (sprockets.length === 0)
    return (
      <Answer
        word="unsure"
        action={
          <Link to={STATIONS.shelf.path} className={buttonLook('next')}>
            Go to the shelf
          </Link>
        }
      >
        No cogs or rings are entered for {name} yet.
      </Answer>
    )
  const looked = sprockets.filter(({ look }) => look)
  const worst = worstWord(looked.flatMap(({ look }) => (look ? [look.word] : [])))
  const notes = [...new Set(sprockets.flatMap(({ part }) => part.entry.note ?? []))]
  return (
    <div className="flex flex-col gap-8">
      <Answer
        word={worst ?? 'unsure'}
        detail={`By eye: ${looked.length} of ${sayCount(sprockets.length, 'sprocket')} checked. Judged by eye, not measured.${notes.length > 0 ? ` ${notes.join(' ')}` : ''}`}
        action={
          <a href="#looks" className={buttonLook('next')}>
            Check them
          </a>
        }
      >
        {sayTeeth(name, sprockets)}
      </Answer>
      {(worst === 'swap' || worst === 'spent') && (
        <CautionNote>
          A slipping drivetrain can throw the rider. Do not ride it hard, and never test it standing.
        </CautionNote>
      )}
      <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] gap-x-12 gap-y-8 max-lg:grid-cols-1">
        <div className="lg:sticky lg:top-6 lg:self-start">
          <DrivetrainDrawing sprockets={sprockets} chosen={chosen} />
          <p className="text-sm text-steel">
            The bar is 50 mm; all at one scale. Outline only: not checked yet.
          </p>
          <dl className="mt-4 grid grid-cols-[6.5rem_1fr] gap-y-1 text-[0.95rem]">
            {WORDS.map((word) => (
              <div key={word} className="contents">
                <dt>
                  <WearMark word={word} />
                </dt>
                <dd className="m-0 text-steel">{LOOKS_LIKE[word]}</dd>
              </div>
            ))}
          </dl>
        </div>
        <section id="looks" tabIndex={-1} className="scroll-mt-4 outline-none" aria-label="Looks">
          <Section
            title="How do they look?"
            note="Compare like with like: some teeth are short, cut or twisted by design, as shifting aids. That is not wear. Go all the way round: the pedal stroke loads some teeth more."
          >
            <ul className="border-b border-hairline">
              {sprockets.map((sprocket) => (
                <LookRow
                  key={`${sprocket.part.entry.part} ${sprocket.teeth}`}
                  sprocket={sprocket}
                  onChoose={setChosen}
                />
              ))}
            </ul>
          </Section>
        </section>
      </div>
    </div>
  )
}
