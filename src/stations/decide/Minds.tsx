import type { BikeId } from '../../core/log/entry.ts'
import type { Priced } from '../../core/log/kinds/prices.ts'
import type { BreakEven, PlanCost } from '../../core/strategy/plans/price.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { minorPerMajor, sayMoney } from '../../words/money.ts'
import { usePriceSaving } from './plans/use-price-saving.ts'
import type { Plans } from './plans/use-plans.ts'
import { words } from '../../words/stations/decide/minds.ts'

type Minded = Extract<Priced, 'skip' | 'hour'>

const MINDED: Readonly<Record<Minded, { readonly label: string; readonly dearest: number }>> = {
  skip: { label: words.iWouldPayToBe, dearest: 60 },
  hour: { label: words.anHourOfMy, dearest: 120 },
}

interface Props {
  readonly bike: BikeId
  readonly plans: Plans
  readonly nameOf: (id: PlanCost['id']) => string
}

/** A mark on a slider where the cheapest plan becomes another. */
function TipMark({ tip, most }: { readonly tip: BreakEven; readonly most: number }) {
  return (
    <span
      aria-hidden="true"
      className="absolute top-0 h-3 w-0.5 bg-rust"
      style={{ left: `calc(8px + (100% - 16px) * ${tip.price / most})` }}
    />
  )
}

/** How much the rider minds a skip and the hassle, in money: moved, every figure on the page follows. */
export function Minds({ bike, plans, nameOf }: Props) {
  const { prices, currency, move, said } = plans
  const { isMoved, save } = usePriceSaving(bike, plans)
  return (
    <div className="flex flex-col gap-4">
      {(Object.keys(MINDED) as Minded[]).map((name) => {
        const { label, dearest } = MINDED[name]
        const most = Math.max(dearest * minorPerMajor(currency), 1.5 * prices[name])
        const tips = said?.tips.filter(({ of, price }) => of === name && price <= most) ?? []
        return (
          <div key={name}>
            <label className="grid grid-cols-[minmax(0,1fr)_auto] items-baseline gap-x-3 text-[0.95rem]">
              <span className="font-medium">{label}</span>
              <span className="text-right font-mono">{sayMoney(prices[name], currency)}</span>
              <span className="relative col-span-2 block pt-1">
                {tips.map((tip) => (
                  <TipMark key={tip.price} tip={tip} most={most} />
                ))}
                <input
                  type="range"
                  className="block h-8 w-full accent-petrol"
                  min={0}
                  max={most}
                  step={Math.max(1, Math.round(most / 240))}
                  value={prices[name]}
                  aria-valuetext={sayMoney(prices[name], currency)}
                  onChange={({ target }) => move({ [name]: Math.round(Number(target.value)) })}
                />
              </span>
            </label>
            {tips.map(({ price, isAbove, then }) => (
              <p key={price} className="text-sm text-steel">
                {isAbove ? words.over : words.under} {sayMoney(price, currency)}: {nameOf(then)}.
              </p>
            ))}
            {said && tips.length === 0 && <p className="text-sm text-steel">{words.noOtherPlanIsCheapest}</p>}
          </div>
        )
      })}
      {isMoved && (
        <Button look="firm" className="self-start" onClick={save}>
          {words.saveWhatYouMind}
        </Button>
      )}
    </div>
  )
}
