import { useState } from 'react'
import { Link } from 'react-router'
import type { AnyCause } from '../../core/faults/finder.ts'
import type { FaultOutcome } from '../../core/log/kinds/fault.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { Button, buttonLook } from '../../ui/parts/Button.tsx'
import { CautionNote } from '../../ui/parts/Empty.tsx'
import { Section } from '../../ui/parts/Section.tsx'
import { useInTurn } from '../../ui/use-in-turn.ts'
import { REPAIRS } from '../../words/faults/repairs.ts'
import { sayCause } from '../../words/faults/causes.ts'
import { sayCauseWith } from '../../words/faults/say-fault.ts'
import { faultEntry } from './given.ts'
import type { SearchInHand } from './use-search.ts'
import { words } from '../../words/stations/faults/mend-it.ts'
import { newId } from '../../session/new-id.ts'

interface Props {
  readonly hand: SearchInHand
  readonly bike: string
  readonly name: string
  readonly causes: readonly AnyCause[]
  readonly blamed: readonly number[]
  readonly isElectric: boolean
  readonly onBack: () => void
  readonly onAlso: (cause: AnyCause) => void
}

/** The repair, step by step; then it is logged as mended, or as found and left. */
export function MendIt({ hand, bike, name, causes, blamed, isElectric, onBack, onAlso }: Props) {
  const { now, record } = useOpenLog()
  const { kept, clear, view } = hand
  const [fault] = useState(newId)
  const log = useInTurn(async (outcome: FaultOutcome) => {
    await record(
      [faultEntry(kept, { at: now, bike, fault, found: causes, outcome })],
      outcome === 'mended' ? words.mended(name) : words.foundNotMendedYet(name),
    )
    clear()
    onBack()
  })
  const others = view.ranking.causes
    .filter(({ cause, p }) => p >= 0.15 && !causes.includes(cause))
    .slice(0, 3)
  return (
    <div className="flex flex-col gap-6">
      {causes.map((cause) => {
        const { steps, caution, mechanic, goOn } = REPAIRS[cause]
        return (
          <Section key={cause} title={words.mend(sayCauseWith(cause, blamed))}>
            {caution && <CautionNote>{caution}</CautionNote>}
            {isElectric && (
              <p className="mt-2 border-l-4 border-rust pl-3 text-[0.95rem]">{words.electricBikePowerOff}</p>
            )}
            <ol className="mt-3 list-decimal pl-5 leading-snug">
              {steps.map((step) => (
                <li key={step} className="mb-1.5">
                  {step}
                </li>
              ))}
            </ol>
            <p className="mt-2 text-[0.95rem] text-steel">
              {words.theMakersInstructionsAndTorques}
              {mechanic && words.forAQualifiedMechanic(mechanic)}
            </p>
            {goOn && (
              <Link to={goOn.to} className={`${buttonLook('plain')} mt-3`}>
                {goOn.label}
              </Link>
            )}
          </Section>
        )
      })}
      {others.length > 0 && (
        <p className="flex flex-wrap items-center gap-2 text-[0.95rem]">
          {words.somethingElseAsWell}
          {others.map(({ cause }) => (
            <Button key={cause} onClick={() => onAlso(cause)}>
              {sayCause(cause)}
            </Button>
          ))}
        </p>
      )}
      <div className="flex flex-wrap gap-3 border-t border-hairline pt-4">
        <Button look="firm" onClick={() => log('mended')}>
          {words.itIsMended}
        </Button>
        <Button onClick={() => log('not-mended')}>{words.foundNotMendedYet2}</Button>
        <Button look="link" onClick={onBack} className="min-h-11">
          {words.backToTheSearch}
        </Button>
      </div>
    </div>
  )
}
