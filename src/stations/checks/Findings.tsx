import { Link } from 'react-router'
import { useOpenLog } from '../../session/log-context.ts'
import { usePicture } from '../../session/use-picture.ts'
import { Button, buttonLook } from '../../ui/parts/Button.tsx'
import { Section } from '../../ui/parts/Section.tsx'
import { entryAddress, OPENS } from '../../words/places.ts'
import { useUnits } from '../../ui/screen-state.ts'
import { useInTurn } from '../../ui/use-in-turn.ts'
import { sayFindingBy } from '../../words/checks/check-words.ts'
import { ITEM_NAMES } from '../../words/checks/item-names.ts'
import { ITEM_WORDS } from '../../words/checks/item-words.ts'
import { sayAgo, sayDay, sayKm } from '../../words/numbers.ts'
import type { OpenFinding } from '../../core/strategy/facts/check-facts.ts'
import { checkMade, thisMoment } from './round-writing.ts'
import type { ChecksInHand } from './use-checks.ts'
import { words } from '../../words/stations/checks/findings.ts'

function FoundPicture({ id, alt }: { readonly id: string; readonly alt: string }) {
  const address = usePicture(id)
  if (address === undefined) return null
  if (address === 'missing') return <p className="text-sm text-steel">{words.itsPictureIsOnAnother}</p>
  return <img src={address} alt={alt} className="mt-2 max-h-40 w-auto" />
}

function OneFinding({ finding }: { readonly finding: OpenFinding }) {
  const { now, record } = useOpenLog()
  const units = useUnits()
  const { check, km, isDue } = finding
  const { item, bike, result, note, picture, at, id } = check
  const seenTo = useInTurn(async () => {
    await record([checkMade(bike, item, 'pass', thisMoment())], words.seenTo(ITEM_NAMES[item]))
  })
  return (
    <li className="grid grid-cols-[minmax(0,1fr)_auto] items-start gap-x-6 gap-y-1 border-t border-hairline py-2 max-sm:grid-cols-1">
      <div>
        <p>
          <strong className="font-semibold">{ITEM_NAMES[item]}</strong>:{' '}
          <span className={result === 'fail' && isDue ? 'font-semibold text-rust' : ''}>
            {sayFindingBy(check, units, now)}
          </span>
          {note && `. ${note}`}
        </p>
        <p className="text-sm text-steel">
          {words.foundSince(sayAgo(at, now), sayKm(km, units))} {result === 'fail' && ITEM_WORDS[item].fails}
        </p>
        {picture && <FoundPicture id={picture} alt={`${ITEM_NAMES[item]}, ${sayDay(at, now)}`} />}
      </div>
      <div className="flex flex-wrap gap-x-4">
        <Button onClick={seenTo}>
          {words.itIsSeenTo}
          <span className="sr-only"> {ITEM_NAMES[item]}</span>
        </Button>
        <Link to={entryAddress(id)} className={`${buttonLook('link')} min-h-11 text-sm`}>
          {words.correct}
          <span className="sr-only"> {ITEM_NAMES[item]}</span>
        </Link>
      </div>
    </li>
  )
}

/** What was found and not seen to since. */
export function Findings({ hand }: { readonly hand: ChecksInHand }) {
  const { findings } = hand.report
  if (findings.length === 0) return null
  return (
    <Section id="findings" title={words.foundAndNotSeen} note={words.itStaysHereOnToday}>
      <ul aria-label={words.findings} className="border-b border-hairline">
        {findings.map((finding) => (
          <OneFinding key={finding.check.item} finding={finding} />
        ))}
      </ul>
      <Link to={OPENS.fixedSum} className={`${buttonLook('link')} mt-2 min-h-11 text-sm`}>
        {words.putThemIntoAJob}
      </Link>
    </Section>
  )
}

/** Checks dated in the future: they count once their day is put right. */
export function AheadNote({ hand }: { readonly hand: ChecksInHand }) {
  const { now } = useOpenLog()
  if (hand.ahead.length === 0) return null
  return (
    <p role="status" className="border-l-4 border-ochre pl-3">
      {words.datedInTheFuture}{' '}
      {hand.ahead.map(({ id, item, at }) => (
        <Link key={id} to={entryAddress(id)} className="mr-3 underline underline-offset-4">
          {ITEM_NAMES[item]}, {sayDay(at, now)}
        </Link>
      ))}
    </p>
  )
}
