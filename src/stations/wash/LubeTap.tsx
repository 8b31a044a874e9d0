import { CHAIN_LOOKS, type ChainLook } from '../../core/lube/chain-looks.ts'
import type { ChainReport } from '../../core/strategy/facts/bike-report.ts'
import { livesOf } from '../../core/strategy/facts/own-lives.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { Choice } from '../../ui/parts/fields.tsx'
import { Section } from '../../ui/parts/Section.tsx'
import { useUnits } from '../../ui/screen-state.ts'
import type { Units } from '../../core/units/units.ts'
import { useInTurn } from '../../ui/use-in-turn.ts'
import { LUBE_NAMES } from '../../words/names.ts'
import { sayAboutKm, sayCount, sayFigure } from '../../words/numbers.ts'
import { LOOK_NAMES } from '../../words/wash-words.ts'
import type { Interval } from '../../core/stats/interval.ts'
import { words } from '../../words/stations/wash/lube-tap.ts'

interface Props {
  readonly chain: ChainReport
  /** What was tapped last, while that still holds. */
  readonly look: ChainLook | undefined
}

const sayRange = ({ p10, p90 }: Interval, units: Units): string =>
  words.to(sayAboutKm(p10, units), sayAboutKm(p90, units))

/** How the chain looks and sounds, in one tap; and what all such taps have taught of how long lube lasts here. */
export function LubeTap({ chain, look }: Props) {
  const { garage, now, record } = useOpenLog()
  const units = useUnits()
  const tap = useInTurn(async (seen: ChainLook) => {
    await record(
      [{ kind: 'lube-check', at: now, chain: chain.part.entry.part, look: seen }],
      words.chain(LOOK_NAMES[seen]),
    )
  })
  const lube = chain.lube?.lube
  const own = lube === undefined || lube === 'none' ? undefined : livesOf(garage)[lube]
  return (
    <Section id="lube" title={words.howDoesTheChain} note={words.oneTapBeforeYou}>
      <Choice<ChainLook>
        legend={words.theChainIs}
        hideLegend
        value={look}
        onPick={tap}
        options={CHAIN_LOOKS.map((value) => ({ value, label: LOOK_NAMES[value] }))}
      />
      {own && lube && (
        <details className="mt-3">
          <summary className="min-h-11 cursor-pointer py-2 underline underline-offset-4">
            {words.howLongLastsOnYour(LUBE_NAMES[lube])}
          </summary>
          <dl className="grid gap-2 text-[0.95rem]">
            <div>
              <dt className="font-medium">{words.onDryRoad}</dt>
              <dd className="text-steel">
                {own.looks === 0
                  ? words.aGuessSoFar(sayRange(own.lifeKm.before, units))
                  : words.firstAGuessOfAfter(
                      sayRange(own.lifeKm.before, units),
                      sayCount(own.looks, 'tap'),
                      sayRange(own.lifeKm.after, units),
                    )}
              </dd>
            </div>
            <div>
              <dt className="font-medium">{words.inTheWetItGoes}</dt>
              <dd className="text-steel">
                {words.byAFactorOfTo(
                  sayFigure(own.wetFactor.after.p10),
                  sayFigure(own.wetFactor.after.p90),
                  own.looks === 0 ? words.aGuessSoFar2 : '',
                )}
              </dd>
            </div>
          </dl>
        </details>
      )}
    </Section>
  )
}
