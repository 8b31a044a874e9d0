import { useId, useState } from 'react'
import { PRICED, type Priced } from '../../../core/log/kinds/prices.ts'
import type { BikeId } from '../../../core/log/entry.ts'
import { usualPrices } from '../../../core/strategy/plans/usual-prices.ts'
import { Button } from '../../../ui/parts/Button.tsx'
import { SelectField } from '../../../ui/parts/fields.tsx'
import { CURRENCIES, minorPerMajor, sayMoney } from '../../../words/money.ts'
import { numberTyped } from '../../../words/typed.ts'
import { PRICE_NAMES } from '../../../words/plan-words.ts'
import { PriceListIn } from './PriceListIn.tsx'
import { usePriceSaving } from './use-price-saving.ts'
import type { Plans } from './use-plans.ts'
import { words } from '../../../words/stations/decide/plans/price-editor.ts'

interface Props {
  readonly bike: BikeId
  readonly speeds: number
  readonly plans: Plans
}

/** What an hour and a skip are worth is asked where it is asked how much they are minded. */
const isPart = (name: Priced): boolean => name !== 'hour' && name !== 'skip'

/** Dearer than this, in major units, and it is a slip of the finger. */
const DEAREST = 1e6

/** A price to be typed, beside its slider; what is no price is said and changes nothing. */
function PriceBox({
  label,
  minor,
  perMajor,
  onType,
}: {
  readonly label: string
  readonly minor: number
  readonly perMajor: number
  readonly onType: (minor: number) => void
}) {
  const [text, setText] = useState<string>()
  const [fault, setFault] = useState<string>()
  const id = useId()
  return (
    <span>
      <input
        className="min-h-9 w-full rounded-[3px] border border-hairline bg-raised px-2 text-right font-mono text-ink aria-invalid:border-rust"
        inputMode="decimal"
        aria-label={label}
        value={text ?? String(minor / perMajor)}
        {...(fault !== undefined && { 'aria-invalid': true, 'aria-describedby': id })}
        onBlur={() => {
          if (fault === undefined) setText(undefined)
        }}
        onChange={({ target }) => {
          setText(target.value)
          const typed = numberTyped(target.value, {
            unit: '',
            ask: words.aPriceIs0,
            least: 0,
            most: DEAREST,
          })
          setFault('fault' in typed ? typed.fault : undefined)
          if ('value' in typed) onType(Math.round(typed.value * perMajor))
        }}
      />
      {fault !== undefined && (
        <span id={id} role="alert" className="block text-sm text-rust">
          {fault}
        </span>
      )}
    </span>
  )
}

/** Prices by slider: the chart follows at once, and they are kept when they are saved. */
export function PriceEditor({ bike, speeds, plans }: Props) {
  const { prices, currency, typed, paid, moved, move, settle } = plans
  const { isMoved, save, changeCurrency } = usePriceSaving(bike, plans)
  const perMajor = minorPerMajor(currency)
  const usual = usualPrices(speeds, currency)
  const most = (name: Priced): number => Math.max(4 * usual[name], 2 * (typed[name] ?? 0))
  return (
    <details>
      <summary className="min-h-11 cursor-pointer py-2 underline underline-offset-4">
        {words.prices(Object.keys({ ...paid, ...typed }).length === 0 ? words.aGuessSoFar : '')}
      </summary>
      <div className="flex flex-col gap-3 pt-1">
        {PRICED.filter(isPart).map((name) => (
          <label
            key={name}
            className="grid grid-cols-[minmax(0,1fr)_6rem] items-center gap-x-3 text-[0.95rem]"
          >
            <span>
              {PRICE_NAMES[name]}
              {typed[name] === undefined && moved[name] === undefined && (
                <span className="text-steel">
                  {paid[name] === undefined ? words.aGuess : words.asLastPaid}
                </span>
              )}
            </span>
            <PriceBox
              label={`${PRICE_NAMES[name]}, ${currency}`}
              minor={prices[name]}
              perMajor={perMajor}
              onType={(minor) => move({ [name]: minor })}
            />
            <input
              type="range"
              className="col-span-2 h-11 w-full accent-petrol"
              min={0}
              max={most(name)}
              step={Math.max(1, Math.round(most(name) / 200))}
              value={prices[name]}
              aria-valuetext={sayMoney(prices[name], currency)}
              onChange={({ target }) => move({ [name]: Math.round(Number(target.value)) })}
            />
          </label>
        ))}
        <div className="flex flex-wrap items-end gap-4">
          <SelectField
            label={words.currency}
            className="w-32"
            value={currency}
            options={Object.fromEntries([...new Set([...CURRENCIES, currency])].map((code) => [code, code]))}
            onPick={changeCurrency}
          />
          <Button look="firm" disabled={!isMoved} onClick={save}>
            {words.savePrices}
          </Button>
          {isMoved && (
            <Button look="link" className="min-h-11" onClick={settle}>
              {words.putThemBack}
            </Button>
          )}
        </div>
        <PriceListIn bike={bike} plans={plans} />
        <p className="text-sm text-steel">{words.aChangeOfCurrency}</p>
      </div>
    </details>
  )
}
