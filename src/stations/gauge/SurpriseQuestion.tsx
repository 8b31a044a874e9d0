import type { ReactNode } from 'react'
import { Link } from 'react-router'
import type { Interval } from '../../core/stats/interval.ts'
import type { ChainReport } from '../../core/strategy/facts/bike-report.ts'
import type { Surprise } from '../../core/wear/surprise.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { Section } from '../../ui/parts/Section.tsx'
import { useOnce } from '../../ui/use-once.ts'
import { sayChance, sayDay } from '../../words/numbers.ts'
import { mendFor, sayCause, sayIfSo, saySurprise } from '../../words/surprise.ts'
import { MissingSwap } from './MissingSwap.tsx'
import { words } from '../../words/stations/gauge/surprise-question.ts'

interface Props {
  readonly chain: ChainReport
  readonly surprise: Surprise
  /** The bike's, %. */
  readonly limit: number
}

interface AnswerProps {
  readonly says: string
  readonly p: number
  readonly ifSo: Interval
  readonly limit: number
  /** The way to put it right. */
  readonly children: ReactNode
}

/** One answer to the question: what it means for the chain, how likely it is, and what to do about it. */
function PossibleAnswer({ says, p, ifSo, limit, children }: AnswerProps) {
  return (
    <li className="grid grid-cols-[minmax(0,1fr)_9rem_13rem] items-baseline gap-x-6 border-t border-hairline py-2 max-sm:grid-cols-1">
      <span>
        <span className="font-medium">{says}</span>{' '}
        <span className="text-[0.95rem] text-steel">{sayIfSo(ifSo, limit)}</span>
      </span>
      <span className="text-[0.95rem] text-steel">{sayChance(p)}</span>
      <span>{children}</span>
    </li>
  )
}

/** A look that was not to be expected: what may lie behind it, the likeliest first, each with the way to correct it. */
export function SurpriseQuestion({ chain, surprise, limit }: Props) {
  const { garage, now, record } = useOpenLog()
  const used = chain.readings.flatMap((reading) => (reading.used ? [reading.entry] : []))
  const { first, size } = surprise.look
  const [before, look, until] = [used[first - 1], used[first], used[first + size - 1]]
  const { part } = chain.part.entry
  const [confirm, confirming] = useOnce(async () => {
    if (until)
      await record(
        [{ kind: 'look-answer', at: now, chain: part, until: until.at }],
        words.notedTheReadingIsRight,
      )
  })
  if (!look) return null
  const day = sayDay(look.at, now)
  return (
    <Section
      id="odd"
      title={words.notWhatWasExpected}
      note={saySurprise(surprise, day)}
      className="border-l-4 border-ochre pl-5"
    >
      <ul className="max-w-[52rem]">
        {surprise.causes.map(({ cause, p, ifSo }) => {
          const { path, label } = mendFor(cause, surprise, look.id)
          return (
            <PossibleAnswer
              key={`${cause.kind} ${cause.kind === 'wrong-chain' ? cause.chain : ''}`}
              says={sayCause(cause, garage, before && [sayDay(before.at, now), day])}
              {...{ p, ifSo, limit }}
            >
              {cause.kind === 'swapped' && before ? (
                <MissingSwap chain={chain} before={before.at} look={look.at} />
              ) : (
                <Link to={path} className="underline underline-offset-4">
                  {label}
                </Link>
              )}
            </PossibleAnswer>
          )
        })}
        <PossibleAnswer
          says={words.orIsTheReading}
          p={surprise.asLogged}
          ifSo={surprise.ifAsLogged}
          limit={limit}
        >
          <Button look="link" disabled={confirming} onClick={confirm}>
            {words.itIsAllRight}
          </Button>
        </PossibleAnswer>
      </ul>
      <p className="mt-2 text-sm text-steel">
        {surprise.isLast && words.aSecondReadingSettles}
        {words.untilThisIsAnswered}
      </p>
    </Section>
  )
}
