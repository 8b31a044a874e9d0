import { Link } from 'react-router'
import type { BikeEntry } from '../../core/log/kinds/bike.ts'
import { faultToAskAfter } from '../../core/strategy/facts/faults-found.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { buttonLook } from '../../ui/parts/Button.tsx'
import { Section } from '../../ui/parts/Section.tsx'
import { bikeChosen, useSend } from '../../ui/screen-state.ts'
import { STATIONS } from '../../words/places.ts'
import { words } from '../../words/stations/today/after-repair.ts'

/** Bikes that were ridden since a fault was mended: whether it is gone is asked once, where the fault is looked for. */
export function AfterRepair({ bikes }: { readonly bikes: readonly BikeEntry[] }) {
  const { garage } = useOpenLog()
  const send = useSend()
  const asked = bikes.filter(({ bike }) => faultToAskAfter(garage, bike))
  if (asked.length === 0) return null
  return (
    <Section title={words.riddenSinceItWas} note={words.oneTapItTeaches} className="mt-8">
      <ul className="flex flex-wrap gap-3">
        {asked.map(({ bike, name }) => (
          <li key={bike}>
            <Link
              to={STATIONS.faults.path}
              onClick={() => send(bikeChosen(bike))}
              className={buttonLook('plain')}
            >
              {words.isItGoneOn(name)}
            </Link>
          </li>
        ))}
      </ul>
    </Section>
  )
}
