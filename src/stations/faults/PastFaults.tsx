import { faultsOf } from '../../core/strategy/facts/faults-found.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { Section } from '../../ui/parts/Section.tsx'
import { fault as words } from '../../words/entries/fault.ts'
import { useUnits } from '../../ui/screen-state.ts'
import { sayDay } from '../../words/numbers.ts'
import { words as phrases } from '../../words/stations/faults/past-faults.ts'

/** What was found on a bike before: it moves how likely each cause is thought to be. */
export function PastFaults({ bike }: { readonly bike: string }) {
  const { garage, now } = useOpenLog()
  const units = useUnits()
  const past = faultsOf(garage)
    .filter((fault) => fault.bike === bike)
    .toReversed()
  if (past.length === 0) return null
  return (
    <Section title={phrases.foundBefore} note={phrases.whatWasFoundMakes}>
      <ul className="border-t border-hairline/70">
        {past.slice(0, 8).map((fault) => (
          <li key={fault.fault} className="border-b border-hairline/70 py-1.5 text-[0.95rem]">
            {sayDay(fault.at, now)}: {words.say(fault, garage, units)}
          </li>
        ))}
      </ul>
    </Section>
  )
}
