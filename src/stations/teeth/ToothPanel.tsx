import { useMemo, useState } from 'react'
import { Link } from 'react-router'
import type { WearWord } from '../../core/log/entry.ts'
import { teethAtOdds } from '../../core/strategy/facts/teeth-at-odds.ts'
import type { ToothState } from '../../core/strategy/facts/tooth-state.ts'
import { TOOTH_WORDS } from '../../core/teeth/tooth-word.ts'
import type { TeethOutlook } from '../../core/teeth/teeth-outlook.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { sayEntry } from '../../words/entries/index.ts'
import { WearMark } from '../../ui/glyphs/ToothGlyph.tsx'
import { Choice } from '../../ui/parts/fields.tsx'
import { Section } from '../../ui/parts/Section.tsx'
import { entryAddress } from '../../words/places.ts'
import { useUnits } from '../../ui/screen-state.ts'
import { useInTurn } from '../../ui/use-in-turn.ts'
import { sayAgo, sayDay, sayFigure, sayPercent } from '../../words/numbers.ts'
import { CogTests } from './CogTests.tsx'
import { MatchByEye } from './MatchByEye.tsx'
import { ComparePictures } from './picture/ComparePictures.tsx'
import { TakePicture } from './picture/TakePicture.tsx'
import { RingClock } from './RingClock.tsx'
import { nameOf } from './say-teeth.ts'
import { words } from '../../words/stations/teeth/tooth-panel.ts'
import { WORD_NAMES, ROLE_NAMES } from '../../words/names.ts'

/** What each word looks like on a tooth. */
const LOOKS_LIKE: Readonly<Record<WearWord, string>> = {
  fresh: words.roundEvenValleysFlat,
  good: words.valleysEvenEdgesALittle,
  watch: words.oneFlankWornMore,
  swap: words.leaningTheTipNearly,
  spent: words.hookedOrPointedAFresh,
}

/** Everything the log holds about one sprocket, newest first. */
function ToothHistory({ state: { sprocket, tests, pictures } }: { readonly state: ToothState }) {
  const { garage, now } = useOpenLog()
  const units = useUnits()
  const { part, role, teeth } = sprocket
  const found = useMemo(() => {
    const looks = (garage.looks.get(part.entry.part) ?? []).filter(
      ({ cog }) => cog === (role === 'cog' ? teeth : undefined),
    )
    return [...looks, ...tests, ...pictures].sort((a, b) => (a.at < b.at ? 1 : -1))
  }, [garage, part, role, teeth, tests, pictures])
  const kept = pictures.filter(({ picture }) => picture !== undefined)
  if (found.length === 0) return null
  return (
    <div className="border-t border-hairline pt-3">
      <h3 className="text-[0.98rem] font-semibold">{words.whatWasFound}</h3>
      <ul className="mt-1 divide-y divide-hairline text-[0.95rem]">
        {found.map((entry) => (
          <li key={entry.id} className="flex flex-wrap justify-between gap-x-4 py-1.5">
            <Link
              to={entryAddress(entry.id)}
              className="underline decoration-hairline underline-offset-4 hover:decoration-ink"
            >
              {sayEntry(entry, garage, units)}
            </Link>
            <span className="text-sm text-steel">{sayDay(entry.at, now)}</span>
          </li>
        ))}
      </ul>
      {kept.length > 0 && <ComparePictures name={nameOf(sprocket)} entries={kept} />}
    </div>
  )
}

interface Props {
  readonly state: ToothState
  readonly teeth: TeethOutlook | undefined
}

/** One sprocket in hand: matched by eye, tested, and what is known of it. */
export function ToothPanel({ state, teeth }: Props) {
  const { record, now } = useOpenLog()
  const { sprocket, outlook, word } = state
  const { role, part } = sprocket
  const [worstDeg, setWorstDeg] = useState(sprocket.look?.worstFromCrankDeg)
  const look = useInTurn(async (seen: WearWord) => {
    await record(
      [
        {
          kind: 'look',
          at: now,
          part: part.entry.part,
          word: seen,
          ...(role === 'cog' && { cog: sprocket.teeth }),
          ...(role === 'ring' && worstDeg !== undefined && { worstFromCrankDeg: worstDeg }),
        },
      ],
      `${nameOf(sprocket)}: ${WORD_NAMES[seen]}.`,
    )
  })
  const odds = teethAtOdds(state)
  const isDrawn = role === 'cog' || role === 'ring'
  return (
    <Section
      title={`${isDrawn ? words.the(sprocket.teeth) : words.the2(ROLE_NAMES[role])}, ${sprocket.look ? words.checked(sayAgo(sprocket.look.at, now)) : words.notCheckedYet}`}
      note={
        outlook &&
        words.theRoadAloneToWithAll(
          sayFigure(outlook.before.p10),
          sayPercent(outlook.before.p90),
          sayFigure(outlook.after.p10),
          sayPercent(outlook.after.p90),
        )
      }
    >
      <div className="flex flex-col gap-4">
        {!isDrawn && <p className="text-sm text-steel">{words.lookAtTheTension}</p>}
        {role === 'ring' && <RingClock deg={worstDeg} onPick={setWorstDeg} />}
        {isDrawn && (
          <MatchByEye
            key={`${part.entry.part} ${sprocket.teeth} ${outlook?.mean.toFixed(2)}`}
            state={state}
            onMatched={look}
          />
        )}
        <div>
          <Choice
            legend={isDrawn ? words.orSayItInAWord : words.howItLooks}
            dense
            value={sprocket.look?.word}
            onPick={look}
            options={TOOTH_WORDS.map((value) => ({
              value,
              label: <WearMark word={value} className="gap-1 text-sm max-sm:flex-col-reverse" />,
            }))}
          />
          <p className="mt-1 text-sm text-steel">
            {sprocket.look
              ? words.lastByEye(WORD_NAMES[sprocket.look.word], LOOKS_LIKE[sprocket.look.word])
              : word === 'unsure'
                ? words.nothingIsKnownOfItYet
                : words.probably(WORD_NAMES[word], LOOKS_LIKE[word])}
          </p>
        </div>
        {odds && (
          <p className="border-l-4 border-ochre pl-3 text-[0.95rem]">
            {words.byEyeItWas(
              WORD_NAMES[odds.eye.word],
              sayDay(odds.eye.at, now),
              WORD_NAMES[odds.picture.word],
              sayDay(odds.picture.at, now),
            )}
          </p>
        )}
        {isDrawn && <TakePicture key={`${part.entry.part} ${sprocket.teeth}`} state={state} />}
        {role === 'cog' && <CogTests state={state} teeth={teeth} />}
        <ToothHistory state={state} />
      </div>
    </Section>
  )
}
