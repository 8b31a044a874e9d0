import { useState, type DragEvent } from 'react'
import type { BikeId } from '../../../core/log/entry.ts'
import type { Priced } from '../../../core/log/kinds/prices.ts'
import { readPriceList, type PriceFault } from '../../../formats/price-list.ts'
import { useOpenLog } from '../../../session/log-context.ts'
import { Button } from '../../../ui/parts/Button.tsx'
import { useInTurn } from '../../../ui/use-in-turn.ts'
import { minorPerMajor, sayExactMoney } from '../../../words/money.ts'
import { sayCount } from '../../../words/numbers.ts'
import { PRICE_NAMES } from '../../../words/plan-words.ts'
import type { Plans } from './use-plans.ts'
import { words } from '../../../words/stations/decide/plans/price-list-in.ts'

const FAULTS: Readonly<Record<PriceFault['fault'], string>> = {
  'unknown-thing': words.notOneOfTheThings,
  'no-price': words.noPriceThatCan,
  negative: words.aPriceIs0,
  'too-dear': words.thatDearItCannot,
  twice: words.standsThereTwiceTheFirst,
}
/** More than this is no price list. */
const MOST_LETTERS = 200_000

interface Props {
  readonly bike: BikeId
  readonly plans: Plans
}

/** A price list, pasted or dropped: what was understood, what was not and why, and one press to take it over. */
export function PriceListIn({ bike, plans }: Props) {
  const { now, record } = useOpenLog()
  const [text, setText] = useState('')
  const [fault, setFault] = useState<string>()
  const { lines, faults } = readPriceList(text)
  const currency = lines.find((line) => line.currency !== undefined)?.currency ?? plans.currency
  const isMixed = lines.some((line) => line.currency !== undefined && line.currency !== currency)
  const minor = Object.fromEntries(
    lines.map(({ priced, price }) => [priced, Math.round(price * minorPerMajor(currency))]),
  ) as Partial<Record<Priced, number>>
  const drop = (event: DragEvent): void => {
    event.preventDefault()
    const [file] = event.dataTransfer.files
    if (!file) return
    setFault(undefined)
    if (file.size > MOST_LETTERS) return setFault(words.isTooLargeForAList(file.name))
    void file.text().then(setText, () => setFault(words.couldNotBeRead(file.name)))
  }
  const take = useInTurn(async () => {
    const kept = plans.currency === currency ? plans.typed : {}
    const drafts = [{ kind: 'prices' as const, at: now, bike, currency, minor: { ...kept, ...minor } }]
    if (await record(drafts, words.takenOver(sayCount(lines.length, 'price')))) {
      setText('')
      plans.settle()
    }
  })
  return (
    <div className="flex flex-col gap-2">
      <label className="text-sm font-medium">
        {words.pasteOrDropAPrice}
        <textarea
          className="mt-1 block min-h-20 w-full rounded-[3px] border border-steel bg-raised p-2 font-mono text-sm text-ink"
          placeholder={words.chain2490Eur}
          value={text}
          maxLength={MOST_LETTERS}
          onChange={({ target }) => setText(target.value)}
          onDragOver={(event) => event.preventDefault()}
          onDrop={drop}
        />
      </label>
      {fault !== undefined && (
        <p role="alert" className="text-sm text-rust">
          {fault}
        </p>
      )}
      {text.trim() !== '' && (
        <div className="text-sm" aria-live="polite">
          {lines.map(({ priced }) => (
            <p key={priced}>
              {PRICE_NAMES[priced]}: {sayExactMoney(minor[priced] ?? 0, currency)}
            </p>
          ))}
          {faults.map(({ line, text: said, fault: why }) => (
            <p key={line} className="text-rust">
              {words.line(line, said, FAULTS[why])}
            </p>
          ))}
          {isMixed && <p className="text-rust">{words.twoCurrenciesInOne}</p>}
          {lines.length > 0 && currency !== plans.currency && !isMixed && (
            <p>{words.theseAreInYour(currency, plans.currency)}</p>
          )}
        </div>
      )}
      <Button className="self-start" disabled={lines.length === 0 || isMixed} onClick={() => take()}>
        {words.takeThesePricesOver}
      </Button>
    </div>
  )
}
