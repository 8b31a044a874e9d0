import { useState } from 'react'
import { itemOf } from '../../core/checks/items.ts'
import { lawOf, type WearingPart } from '../../core/checks/wearing-parts.ts'
import type { WearingOutlook } from '../../core/strategy/facts/wearing-facts.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { CautionNote } from '../../ui/parts/Empty.tsx'
import { Section } from '../../ui/parts/Section.tsx'
import { Sheet } from '../../ui/parts/Sheet.tsx'
import { useUnits } from '../../ui/screen-state.ts'
import {
  sayWearAhead,
  sayWearNow,
  sayWearRate,
  WEARING_HOW,
  WEARING_NAMES,
} from '../../words/checks/wearing-words.ts'
import { sayAboutKm, sayAgo, sayDay, sayKm } from '../../words/numbers.ts'
import { OwnLimit } from './OwnLimit.tsx'
import { MeasureThickness } from './MeasureThickness.tsx'
import type { ChecksInHand } from './use-checks.ts'
import { WearRoad } from './WearRoad.tsx'
import { words } from '../../words/stations/checks/wearing.ts'

/** The parts that the bike's checks measure. */
const partsOf = ({ itemsOf }: ChecksInHand): readonly WearingPart[] => [
  ...new Set(itemsOf('spring').flatMap((id) => itemOf(id).measures ?? [])),
]

function OneOutlook({ one, onMeasure }: { readonly one: WearingOutlook; readonly onMeasure: () => void }) {
  const { now } = useOpenLog()
  const units = useUnits()
  const { part, law, lookDay, nextLook, pPast, lookedAt, km, past } = one
  const isByDays = law.gets === 'older'
  const look = isByDays || lookDay ? lookDay && sayDay(lookDay, now) : undefined
  return (
    <li className="grid grid-cols-[minmax(0,1fr)_minmax(14rem,22rem)_auto] items-center gap-x-8 gap-y-2 border-t border-hairline py-3 max-lg:grid-cols-1">
      <div>
        <p>
          <strong className="font-semibold">{WEARING_NAMES[part]}</strong>:{' '}
          <span className={pPast >= 0.5 ? 'font-semibold text-rust' : ''}>
            {sayWearAhead(one, units, now)}
          </span>
        </p>
        <p className="text-sm text-steel">{words.now(sayWearNow(one, units), sayWearRate(one, units))}</p>
        <p className="text-sm text-steel">
          {pPast < 0.1 &&
            words.nextLook(
              isByDays
                ? (look ?? words.yearsFromNow)
                : words.inAbout(sayAboutKm(nextLook, units), look ? `, ${look}` : ''),
            )}
          {past === 'new' ? words.sinceItWasNew(sayKm(km, units)) : words.itsPastIsNot}
          {lookedAt && words.lookedAt(sayAgo(lookedAt, now))}
        </p>
      </div>
      <WearRoad one={one} />
      <Button className="justify-self-start" onClick={onMeasure}>
        {isByDays ? words.look : words.measure}
        <span className="sr-only"> {WEARING_NAMES[part]}</span>
      </Button>
    </li>
  )
}

/** Pads, rotors, tyres, rims and sealant: how worn, how fast, until when, when to look next. */
export function Wearing({ hand }: { readonly hand: ChecksInHand }) {
  const [measuring, setMeasuring] = useState<WearingPart>()
  const { wearing } = hand.report
  const parts = partsOf(hand)
  const known = wearing.filter(({ part }) => parts.includes(part))
  const strangers = wearing.filter(({ part }) => !parts.includes(part))
  const rest = parts.filter((part) => !wearing.some((one) => one.part === part))
  return (
    <Section id="wearing" title={words.whatWears} note={words.eachReadingHasIts}>
      {known.length > 0 && (
        <ul aria-label={words.whatWears} className="border-b border-hairline">
          {known.map((one) => (
            <OneOutlook key={one.part} one={one} onMeasure={() => setMeasuring(one.part)} />
          ))}
        </ul>
      )}
      {strangers.length > 0 && (
        <p role="status" className="mt-3 border-l-4 border-ochre pl-3">
          {words.measuredButNotOnThisBike(strangers.map(({ part }) => WEARING_NAMES[part]).join('; '))}
        </p>
      )}
      {rest.length > 0 && (
        <div className="mt-3 flex flex-wrap items-center gap-2">
          <span className="text-[0.95rem] text-steel">{words.notMeasuredYet}</span>
          {rest.map((part) => (
            <Button key={part} className="text-sm" onClick={() => setMeasuring(part)}>
              {WEARING_NAMES[part]}
            </Button>
          ))}
        </div>
      )}
      <Sheet
        open={measuring !== undefined}
        onClose={() => setMeasuring(undefined)}
        title={measuring ? WEARING_NAMES[measuring] : ''}
        note={measuring && words.whatIsMeasured(WEARING_HOW[measuring])}
      >
        {measuring && (
          <div className="flex flex-col gap-4">
            <MeasureThickness key={measuring} report={hand.report} part={measuring} />
            {lawOf(measuring).gets !== 'older' && (
              <OwnLimit key={`limit ${measuring}`} report={hand.report} part={measuring} />
            )}
            {lawOf(measuring).gets !== 'older' && <CautionNote>{words.fingersOutOfATurning}</CautionNote>}
          </div>
        )}
      </Sheet>
    </Section>
  )
}
