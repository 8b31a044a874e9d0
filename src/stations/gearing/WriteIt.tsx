import { chainLinks } from '../../core/gearing/chain-fit.ts'
import { gearChange, gearChangeEntries, usualGearName } from '../../core/gearing/write-set.ts'
import { checksBeforeFitting } from '../../core/strategy/fitting-checks.ts'
import { useOpenLog } from '../../session/log-context.ts'
import type { JudgedBike } from '../../session/verdicts.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { useInTurn } from '../../ui/use-in-turn.ts'
import { sayCheck } from '../../words/fitting.ts'
import { sayList } from '../../words/numbers.ts'
import { namePart } from '../../words/part-name.ts'
import type { GearingInHand, OnBench } from './use-gearing.ts'
import { words } from '../../words/stations/gearing/write-it.ts'
import { newId } from '../../session/new-id.ts'

interface Props {
  readonly gearing: GearingInHand
  readonly judged: JudgedBike
  readonly what: OnBench
  readonly onDone: () => void
}

/** Whether the chain that is on is too short for a set of gears, in a sentence: it would tear off the derailleur. */
function sayTooShort({ rider, hasDerailleur, links }: GearingInHand, what: OnBench): string | undefined {
  if (links === undefined || rider.chainstayMm === undefined) return undefined
  const needed = chainLinks(rider.chainstayMm, what.set, hasDerailleur)?.byFormula.links
  if (needed === undefined || needed <= links) return undefined
  return words.itsChainIsToo(rider.isStayGuessed ? words.probably : '', needed, links)
}

/** A what-if goes on the bike: what to know before, what comes off and goes on, and it is written as one step. */
export function WriteIt({ gearing, judged, what, onDone }: Props) {
  const { garage, now, record } = useOpenLog()
  const { report } = judged
  const { bike, name } = report.bike.entry
  const { off, on } = gearChange(garage, bike, what.set)
  const checks = [
    ...new Map(
      on
        .flatMap((spec) => checksBeforeFitting(garage, judged, spec))
        .map((check) => [sayCheck(check, garage), check]),
    ),
  ]
  const write = useInTurn(async () => {
    await record(
      [
        ...gearChangeEntries(garage, bike, what.set, now, newId),
        gearing.draftWith({ whatIfs: gearing.whatIfs.filter((one) => one.name !== what.name) }),
      ],
      words.fitted(name, what.name),
    )
    onDone()
  })
  const tooShort = sayTooShort(gearing, what)
  const goesOn = on.map(usualGearName)
  return (
    <section aria-label={words.fit(what.name)} className="mt-4 border-y border-hairline py-4">
      {goesOn.length === 0 && off.length === 0 ? (
        <p>{words.hasTheseGearsAlready(name)}</p>
      ) : (
        <>
          <p className="font-medium">
            {words.onOffToTheShelf(
              sayList(goesOn) || words.nothing,
              sayList(off.map(({ entry }) => namePart(garage, entry.part, bike))) || words.nothing,
            )}
          </p>
          <ul className="mt-2 flex flex-col gap-2">
            {tooShort !== undefined && (
              <li className="border-l-4 border-rust pl-3 text-[0.95rem] leading-snug">
                <strong>{words.stop} </strong>
                {tooShort}
              </li>
            )}
            {checks.map(([said, { weight }]) => (
              <li
                key={said}
                className={`border-l-4 pl-3 text-[0.95rem] leading-snug ${weight === 'note' ? 'border-steel' : weight === 'care' ? 'border-ochre' : 'border-rust'}`}
              >
                <strong>
                  {weight === 'stop' ? words.stop2 : weight === 'care' ? words.takeCare : words.look}
                </strong>
                {said}
              </li>
            ))}
          </ul>
        </>
      )}
      <div className="mt-3 flex flex-wrap gap-3">
        {(goesOn.length > 0 || off.length > 0) && (
          <Button look="firm" onClick={write}>
            {words.writeItItIsOn(name)}
          </Button>
        )}
        <Button look="link" className="min-h-11" onClick={onDone}>
          {words.notNow}
        </Button>
      </div>
    </section>
  )
}
