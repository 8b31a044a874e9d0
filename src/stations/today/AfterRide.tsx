import { CHAIN_LOOKS, type ChainLook } from '../../core/lube/chain-looks.ts'
import type { BikeReport } from '../../core/strategy/facts/bike-report.ts'
import { isLookAsked } from '../../core/strategy/facts/look-asked.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { Choice } from '../../ui/parts/fields.tsx'
import { Section } from '../../ui/parts/Section.tsx'
import { useUnits } from '../../ui/screen-state.ts'
import { useInTurn } from '../../ui/use-in-turn.ts'
import { sayDay, sayKm } from '../../words/numbers.ts'
import { LOOK_NAMES } from '../../words/wash-words.ts'
import { words } from '../../words/stations/today/after-ride.ts'

/** So many bikes are asked about at once, those ridden last first. */
const MOST_ASKED = 3

function BikeTap({ report }: { readonly report: BikeReport }) {
  const { now, record } = useOpenLog()
  const units = useUnits()
  const { name } = report.bike.entry
  const ride = report.chain?.story.rides.at(-1)?.ride
  const tap = useInTurn(async (look: ChainLook) => {
    if (!report.chain) return
    await record(
      [{ kind: 'lube-check', at: now, chain: report.chain.part.entry.part, look }],
      words.sChain(name, LOOK_NAMES[look]),
    )
  })
  return (
    <Choice<ChainLook>
      legend={`${name}${ride ? words.on(sayKm(ride.km, units), sayDay(ride.at, now)) : ''}`}
      value={undefined}
      onPick={tap}
      options={CHAIN_LOOKS.map((value) => ({ value, label: LOOK_NAMES[value] }))}
    />
  )
}

/** After a ride: how the chain looked and sounded, in one tap; it teaches how long lube lasts on that bike. */
export function AfterRide({ reports }: { readonly reports: readonly BikeReport[] }) {
  const { garage } = useOpenLog()
  const lastRide = ({ chain }: BikeReport): string => chain?.story.rides.at(-1)?.at ?? ''
  const asked = reports
    .filter((report) => isLookAsked(garage, report))
    .sort((a, b) => (lastRide(a) < lastRide(b) ? 1 : -1))
    .slice(0, MOST_ASKED)
  if (asked.length === 0) return null
  return (
    <Section title={words.howWasTheChain} note={words.oneTapItTeaches} className="mt-8">
      <div className="flex flex-col gap-3">
        {asked.map((report) => (
          <BikeTap key={report.bike.entry.bike} report={report} />
        ))}
      </div>
    </Section>
  )
}
