import { useMemo } from 'react'
import type { BikeReport } from '../../core/strategy/facts/bike-report.ts'
import { wornSprockets } from '../../core/strategy/facts/facts.ts'
import { SKIP_DOUBTFUL, type CogRisk } from '../../core/strategy/facts/teeth-facts.ts'
import type { ToothState } from '../../core/strategy/facts/tooth-state.ts'
import { worstWord, type ChainWord } from '../../core/strategy/wear-word.ts'
import type { TeethOutlook } from '../../core/teeth/teeth-outlook.ts'
import { Answer } from '../../ui/parts/Answer.tsx'
import { buttonLook } from '../../ui/parts/Button.tsx'
import { CautionNote } from '../../ui/parts/Empty.tsx'
import { sayCount } from '../../words/numbers.ts'
import { sayChainAsked, sayCogRisks, sayLooks, sayOthersWorn } from './say-teeth.ts'
import { words } from '../../words/stations/teeth/teeth-answer.ts'

/** The worst of all sprockets, in a word; unsure where nothing is known of any. */
function worstOf(states: readonly ToothState[]): ChainWord {
  return worstWord(states.flatMap(({ word }) => (word === 'unsure' ? [] : [word]))) ?? 'unsure'
}

interface Props {
  readonly report: BikeReport
  readonly teeth: TeethOutlook | undefined
  readonly states: readonly ToothState[]
  /** Empty while they are being worked out. */
  readonly risks: readonly CogRisk[]
  /** The used chain in question; absent where it is a fresh one. */
  readonly asked: { readonly name: string; readonly isOn: boolean } | undefined
}

/** The answer about a bike's teeth: whether a chain runs on them, what to replace, and by what that is known. */
export function TeethAnswer({ report, teeth, states, risks, asked }: Props) {
  const worn = useMemo(() => wornSprockets(report.sprockets, teeth), [report, teeth])
  const looked = states.filter(({ sprocket }) => sprocket.look).length
  const notes = [...new Set(states.flatMap(({ sprocket }) => sprocket.part.entry.note ?? []))]
  const grounds = words.byEyeOfChecked(looked, sayCount(states.length, 'sprocket'))
  // A chain that slips on the road comes before any other question.
  const slipsNow = risks.some(({ now }) => (now ?? 0) >= SKIP_DOUBTFUL)
  const said =
    asked && !slipsNow ? sayChainAsked(risks, asked.isOn ? undefined : asked.name) : sayCogRisks(risks)
  return (
    <>
      <Answer
        word={worstOf(states)}
        detail={[risks.length > 0 && said.detail, sayOthersWorn(worn), grounds, ...notes]
          .filter(Boolean)
          .join(' ')}
        action={
          <a href="#looks" className={buttonLook('next')}>
            {words.checkACog}
          </a>
        }
      >
        {risks.length > 0 ? (
          <>
            {said.subject}
            <strong className="font-semibold">{said.strong}</strong>
            {said.advice}
          </>
        ) : (
          sayLooks(report.bike.entry.name, report.sprockets)
        )}
      </Answer>
      {slipsNow && <CautionNote>{words.aSlippingDrivetrainCan}</CautionNote>}
    </>
  )
}
