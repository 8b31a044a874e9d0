import { useMemo } from 'react'
import { Link } from 'react-router'
import type { BikeReport } from '../../core/strategy/facts/bike-report.ts'
import {
  rotationOf,
  TOGETHER_PERCENT,
  type HookChain,
  type RotationWhy,
} from '../../core/strategy/facts/rotation.ts'
import { cogRisks, SKIP_DOUBTFUL } from '../../core/strategy/facts/teeth-facts.ts'
import type { WashFacts } from '../../core/strategy/facts/wash-facts.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { useTeeth } from '../../session/teeth-store.ts'
import { useAnswers } from '../../session/use-forecasts.ts'
import { buttonLook } from '../../ui/parts/Button.tsx'
import { Section } from '../../ui/parts/Section.tsx'
import { OPENS } from '../../ui/places.ts'
import { useUnits } from '../../ui/screen-state.ts'
import { sayCogs } from '../../ui/words/advice.ts'
import { LUBE_NAMES } from '../../ui/words/names.ts'
import { sayAboutKm, sayChance, sayKm, sayPercent } from '../../ui/words/numbers.ts'
import { namePart } from '../../ui/words/part-name.ts'
import { HookTags } from './HookTags.tsx'

/** Rain makes the choice from this share of wet road on. */
const RAIN_SHARE = 0.3

const WHY: Readonly<Record<RotationWhy, string>> = {
  'least-worn': 'it is the least worn, so the set wears evenly',
  rain: 'wet roads ahead: the most worn has least to lose',
  'only-ready': 'it is the only one that is ready',
}

/** A chain's state in two or three words. */
function sayReady({ lube, facts }: HookChain): string {
  if (lube === undefined) return 'lube not entered'
  if (lube === 'none') return 'bare: wax it before it goes on'
  if (facts?.clock.due)
    return facts.clock.reason === 'storage'
      ? `${LUBE_NAMES[lube]}, hung too long: wipe it and renew it first`
      : `${LUBE_NAMES[lube]} used up`
  const used = Math.round(100 * (facts?.clock.used ?? 0))
  return used < 2 ? `fresh ${LUBE_NAMES[lube]}` : `${LUBE_NAMES[lube]}, ${used} % used`
}

/** One chain on its hook: as long as it is worn, as full as its lube. */
function HookDrawing({ chain, most }: { readonly chain: HookChain; readonly most: number }) {
  const drop = 26 + 30 * ((chain.percent ?? 0) / Math.max(0.2, most))
  const left =
    chain.lube === undefined || chain.lube === 'none' ? 0 : Math.max(0, 1 - (chain.facts?.clock.used ?? 1))
  return (
    <svg viewBox="0 0 44 76" aria-hidden="true" className="h-19 w-11 shrink-0">
      <path d="M22 0V6C22 12 30 12 30 7" fill="none" className="stroke-ink" strokeWidth={2.5} />
      <ellipse
        cx={22}
        cy={10 + drop / 2}
        rx={11}
        ry={drop / 2}
        fill="none"
        className={chain.isOn ? 'stroke-ochre' : 'stroke-petrol'}
        strokeWidth={4}
        strokeDasharray="4 2"
      />
      <rect x={2} y={70} width={40} height={4} className="fill-hairline" />
      <rect x={2} y={70} width={40 * left} height={4} className="fill-petrol" />
    </svg>
  )
}

/** Chains that take turns: each on its hook, what is on it, how worn it is, whose turn it is, and tags for the hooks. */
export function HookBoard({ report, facts }: { readonly report: BikeReport; readonly facts: WashFacts }) {
  const { garage } = useOpenLog()
  const units = useUnits()
  const ids = useMemo(() => facts.chains.map(({ id }) => id), [facts])
  const answers = useAnswers(ids)
  const { outlook: teeth } = useTeeth(report.bike.entry.bike)
  const chains: readonly HookChain[] = facts.chains.map((chain, i) => ({
    ...chain,
    percent: answers[i]?.now.mean,
  }))
  const rotation = rotationOf(chains, facts.wants.wetShare >= RAIN_SHARE)
  if (!rotation) return null
  const { next, swapInKm, apartPercent, isApart } = rotation
  const nameOf = (id: string): string => namePart(garage, id, report.bike.entry.bike)
  const most = Math.max(...chains.map(({ percent }) => percent ?? 0))
  const skips = (id: string): string => {
    if (!teeth) return ''
    const bad = cogRisks(report, teeth, id).filter(({ asked = 0 }) => asked >= SKIP_DOUBTFUL)
    const worst = bad.reduce((high, { asked = 0 }) => Math.max(high, asked), 0)
    return bad.length === 0
      ? 'runs on all cogs'
      : `may skip on ${sayCogs(bad.map(({ teeth: count }) => count))} (${sayChance(worst)})`
  }
  return (
    <Section
      id="hooks"
      title={next ? `Next on: ${nameOf(next.id)}` : 'Chains in turn'}
      note={[
        next && `${WHY[next.why]}.`.replace(/^./, (letter) => letter.toUpperCase()),
        swapInKm !== undefined &&
          (swapInKm < 1 ? 'Swap now.' : `Swap in about ${sayAboutKm(swapInKm, units)}.`),
        apartPercent !== undefined &&
          (isApart
            ? `The set is ${sayPercent(apartPercent)} apart, more than the ${sayPercent(TOGETHER_PERCENT)} that keeps the cogs even: ride the least worn for a while.`
            : `The set is within ${sayPercent(apartPercent)}.`),
      ]
        .filter(Boolean)
        .join(' ')}
    >
      <ul aria-label="Chains on their hooks" className="divide-y divide-hairline border-y border-hairline">
        {chains.map((chain) => (
          <li key={chain.id} className="flex items-center gap-4 py-2">
            <HookDrawing chain={chain} most={most} />
            <div className="min-w-0 flex-1">
              <p className="font-semibold">
                {nameOf(chain.id)}
                {chain.isOn && <span className="font-normal text-steel">, on the bike</span>}
              </p>
              <p className="text-[0.95rem] text-steel">
                {[
                  chain.percent === undefined ? '' : sayPercent(chain.percent),
                  sayKm(chain.km, units),
                  sayReady(chain),
                  skips(chain.id),
                ]
                  .filter(Boolean)
                  .join(' · ')}
              </p>
            </div>
          </li>
        ))}
      </ul>
      <div className="no-print mt-3 flex flex-wrap items-center gap-4">
        {next && (
          <Link to={OPENS.fitChain} className={buttonLook('plain')}>
            Swap the chain
          </Link>
        )}
        <HookTags chains={chains.map(({ id }) => ({ id, name: nameOf(id) }))} bike={report.bike.entry.name} />
      </div>
    </Section>
  )
}
