import { cogRisks, SKIP_DOUBTFUL } from '../../../core/strategy/facts/teeth-facts.ts'
import type { BikeReport } from '../../../core/strategy/facts/bike-report.ts'
import type { HookChain } from '../../../core/strategy/facts/rotation.ts'
import { linkOfChain } from '../../../core/strategy/relay-facts.ts'
import type { Garage } from '../../../core/log/garage.ts'
import type { TeethOutlook } from '../../../core/teeth/teeth-outlook.ts'
import { useOpenLog } from '../../../session/log-context.ts'
import { useUnits } from '../../../ui/screen-state.ts'
import { sayCogs } from '../../../words/advice.ts'
import { LUBE_NAMES } from '../../../words/names.ts'
import { sayChance, sayKm, sayPercent } from '../../../words/numbers.ts'
import { words } from '../../../words/stations/wash/hooks/hook-row.ts'

/** A chain's state in two or three words. */
function sayReady({ lube, facts }: HookChain): string {
  if (lube === undefined) return words.lubeNotEntered
  if (lube === 'none') return words.bareWaxItBefore
  if (facts?.clock.due)
    return facts.clock.reason === 'storage'
      ? words.hungTooLongWipe(LUBE_NAMES[lube])
      : words.usedUp(LUBE_NAMES[lube])
  const used = Math.round(100 * (facts?.clock.used ?? 0))
  return used < 2 ? words.fresh(LUBE_NAMES[lube]) : words.used(LUBE_NAMES[lube], used)
}

/** How often a chain's joining link was closed; where it went where another chain has it now. */
function sayLink(garage: Garage, chain: string): string {
  const link = linkOfChain(garage, chain)
  if (!link) return words.joiningLinkNotEntered
  if (link.isElsewhere) return words.itsJoiningLinkWent
  return link.closings >= link.allowed
    ? words.joiningLinkClosedOfTimes(link.closings, link.allowed)
    : words.joiningLinkClosedOfTimes2(link.closings, link.allowed)
}

/** What the teeth say of a chain on this cassette. */
function saySkips(report: BikeReport, teeth: TeethOutlook | undefined, chain: string): string {
  if (!teeth) return ''
  const bad = cogRisks(report, teeth, chain).filter(({ asked = 0 }) => asked >= SKIP_DOUBTFUL)
  const worst = bad.reduce((high, { asked = 0 }) => Math.max(high, asked), 0)
  return bad.length === 0
    ? words.runsOnAllCogs
    : words.maySkipOn(sayCogs(bad.map(({ teeth: count }) => count)), sayChance(worst))
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

interface Props {
  readonly report: BikeReport
  readonly teeth: TeethOutlook | undefined
  readonly chain: HookChain
  readonly name: string
  /** Elongation of the most worn of the set, %. */
  readonly most: number
}

/** One chain of a set: what is on it, how worn it is, its joining link, and what the teeth say of it. */
export function HookRow({ report, teeth, chain, name, most }: Props) {
  const { garage } = useOpenLog()
  const units = useUnits()
  return (
    <li className="flex items-center gap-4 py-2">
      <HookDrawing chain={chain} most={most} />
      <div className="min-w-0 flex-1">
        <p className="font-semibold">
          {name}
          {chain.isOn && <span className="font-normal text-steel">{words.onTheBike}</span>}
        </p>
        <p className="text-[0.95rem] text-steel">
          {[
            chain.percent === undefined ? '' : sayPercent(chain.percent),
            sayKm(chain.km, units),
            sayReady(chain),
            sayLink(garage, chain.id),
            saySkips(report, teeth, chain.id),
          ]
            .filter(Boolean)
            .join(' · ')}
        </p>
      </div>
    </li>
  )
}
