import { COST_PARTS, type CostPart, type PlanCost } from '../../../core/strategy/plans/price.ts'
import { Button } from '../../../ui/parts/Button.tsx'
import { perDistance, saySkips } from '../../../words/plan-words.ts'
import { useUnits } from '../../../ui/screen-state.ts'
import { sayMoney } from '../../../words/money.ts'
import { words } from '../../../words/stations/decide/plans/plan-table.ts'
import { sayDecimal } from '../../../words/grouped-number.ts'

const PART_NAMES: Readonly<Record<CostPart, string>> = {
  chains: words.chains,
  cogs: words.cogs,
  rings: words.rings,
  pulleys: words.pulleys,
  lube: words.lube,
  work: words.work,
  skips: words.skips,
}
/** Each part a tone of its own, dark to light, and in the same order along every bar. */
const TONES: Readonly<Record<CostPart, string>> = {
  chains: 'bg-ink',
  cogs: 'bg-petrol',
  rings: 'bg-steel',
  pulleys: 'bg-ochre',
  lube: 'bg-hairline',
  work: 'border border-steel bg-paper',
  skips: 'bg-rust',
}

interface Props {
  /** The cheapest first. */
  readonly costs: readonly PlanCost[]
  readonly best: PlanCost
  /** The one that the bike is on; undefined where it is not among them. */
  readonly now: PlanCost | undefined
  readonly nameOf: (id: PlanCost['id']) => string
  readonly onFollow: (id: PlanCost['id']) => void
  readonly isBusy: boolean
  readonly currency: string
  /** More skips than this in 1000 km are not put up with. */
  readonly mostSkips: number
}

/** A plan's cost as a bar of its parts, and the spread of 8 in 10 lives as a whisker. */
function CostBar({ cost, most }: { readonly cost: PlanCost; readonly most: number }) {
  const share = (minor: number): string => `${(100 * minor) / most}%`
  return (
    <div aria-hidden="true">
      <div className="flex h-5">
        {COST_PARTS.filter((part) => cost.parts[part] > 0).map((part) => (
          <span
            key={part}
            title={PART_NAMES[part]}
            className={`border-r border-paper ${TONES[part]}`}
            style={{ width: share(cost.parts[part]) }}
          />
        ))}
      </div>
      <div className="relative mt-1 h-1.5">
        <span
          className="absolute top-0.5 border-x border-t border-ink"
          style={{ left: share(cost.cost.p10), width: share(cost.cost.p90 - cost.cost.p10), height: 5 }}
        />
      </div>
    </div>
  )
}

/** Plans side by side: what each costs per 1000 km, made of what, and how often it skips. */
export function PlanTable({ costs, best, now, nameOf, onFollow, isBusy, currency, mostSkips }: Props) {
  const units = useUnits()
  const { said, times } = perDistance(units)
  const money = (minor: number): string => sayMoney(minor * times, currency)
  const most = Math.max(...costs.map(({ cost, mean }) => Math.max(cost.p90, mean)))
  const used = COST_PARTS.filter((part) => costs.some(({ parts }) => parts[part] > 0))
  return (
    <div>
      <p className="flex flex-wrap gap-x-4 gap-y-1 text-sm text-steel">
        {words.costPer(said)}
        {used.map((part) => (
          <span key={part} className="flex items-center gap-1.5">
            <span className={`inline-block size-3 ${TONES[part]}`} aria-hidden="true" />
            {PART_NAMES[part]}
          </span>
        ))}
        <span>{words.whisker8In10}</span>
      </p>
      <table className="mt-2 w-full border-collapse text-[0.95rem]">
        <thead className="text-left text-sm text-steel">
          <tr>
            <th scope="col" className="w-48 py-1 font-normal max-sm:w-auto">
              {words.plan}
            </th>
            <th scope="col" className="font-normal max-sm:hidden">
              <span className="sr-only">{words.costAsABar}</span>
            </th>
            <th scope="col" className="w-20 pl-3 text-right font-normal">
              {words.per(said)}
            </th>
            <th scope="col" className="w-24 pl-3 text-right font-normal max-sm:hidden">
              {words.chainsACassette}
            </th>
            <th scope="col" className="w-20 pl-3 text-right font-normal max-sm:hidden">
              {words.minutes}
            </th>
            <th scope="col" className="w-20 pl-3 text-right font-normal max-lg:hidden">
              {words.daysWaiting}
            </th>
            <th scope="col" className="w-36 pl-3 font-normal">
              {words.skipsUnderLoad}
            </th>
          </tr>
        </thead>
        <tbody>
          {costs.map((cost) => (
            <tr key={cost.id} className="border-t border-hairline align-middle">
              <th
                scope="row"
                className={`py-2 pr-3 text-left ${cost === best ? 'font-bold' : 'font-normal'}`}
              >
                {nameOf(cost.id)}
                {cost === best && <span className="block h-1 w-16 bg-jolt" aria-hidden="true" />}
                {cost === now ? (
                  <span className="block text-sm font-normal text-steel">{words.thePlanYouAre}</span>
                ) : (
                  <span className="no-print block">
                    <Button
                      look="link"
                      className="text-sm font-normal text-steel"
                      aria-label={words.follow(nameOf(cost.id))}
                      disabled={isBusy}
                      onClick={() => onFollow(cost.id)}
                    >
                      {words.followIt}
                    </Button>
                  </span>
                )}
              </th>
              <td className="py-2 max-sm:hidden">
                <CostBar cost={cost} most={most} />
              </td>
              <td className="pl-3 text-right font-mono font-semibold">
                {money(cost.mean)}
                <span className="sr-only">
                  {words.n8In10Lives(money(cost.cost.p10), money(cost.cost.p90))}
                </span>
              </td>
              <td className="pl-3 text-right max-sm:hidden">
                {Number.isFinite(cost.chainsPerCassette)
                  ? sayDecimal(cost.chainsPerCassette, 1)
                  : words.noneRenewed}
              </td>
              <td className="pl-3 text-right max-sm:hidden">{Math.round(cost.minutesPer1000 * times)}</td>
              <td className="pl-3 text-right max-lg:hidden">{sayDecimal(cost.daysPer1000 * times, 1)}</td>
              <td className={`pl-3 ${cost.skipsPer1000 > mostSkips ? 'text-rust' : ''}`}>
                {saySkips(cost.skipsPer1000, units)}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}
