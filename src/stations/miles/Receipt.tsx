import { useEffect, useMemo, useRef } from 'react'
import type { RideDraft } from '../../core/exposure/admit-rides.ts'
import { isWorthALook } from '../../core/exposure/receipt.ts'
import { whatRidesAdd, type ChainAddition } from '../../core/exposure/rides-add.ts'
import type { BikeId } from '../../core/log/entry.ts'
import type { Garage } from '../../core/log/garage.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { useUnits } from '../../ui/screen-state.ts'
import { sayCount, sayDay, sayKm } from '../../words/numbers.ts'
import { namePart } from '../../words/part-name.ts'
import { sayReceipt } from '../../words/receipt.ts'
import { words } from '../../words/stations/miles/receipt.ts'

const SHOWN = 100

/** What rides add to the chains of their bike: "Adds 212 km to chain B: 180 wear-km." */
export function Additions({
  garage,
  additions,
}: {
  readonly garage: Garage
  readonly additions: readonly ChainAddition[]
}) {
  const units = useUnits()
  if (additions.length === 0) return <p className="text-[0.95rem]">{words.noChainWasOnTheBike}</p>
  return (
    <ul className="text-[0.95rem]">
      {additions.map(({ chain, km, wearKm }) => (
        <li key={chain}>
          {km < 0 ? words.takes : words.adds} <strong>{sayKm(Math.abs(km), units)}</strong>{' '}
          {words.ofWearDistance(
            km < 0 ? words.from : words.to,
            namePart(garage, chain),
            sayKm(Math.abs(wearKm), units),
            wearKm < 0 !== km < 0 && Math.abs(wearKm) > 0.05 ? (wearKm < 0 ? words.less : words.more) : '',
          )}
        </li>
      ))}
    </ul>
  )
}

/** What rides would add, worked out once for the rides given. */
export function useAdditions(bike: BikeId, drafts: readonly RideDraft[]): readonly ChainAddition[] {
  const { garage } = useOpenLog()
  return useMemo(() => whatRidesAdd(garage, bike, drafts), [garage, bike, drafts])
}

/** How the figures of each ride were come by. What is worth a look comes first. */
export function ReceiptList({ drafts }: { readonly drafts: readonly RideDraft[] }) {
  const { now } = useOpenLog()
  const units = useUnits()
  const sorted = [...drafts].sort(
    (a, b) =>
      Number(b.receipt ? isWorthALook(b.receipt) : false) -
      Number(a.receipt ? isWorthALook(a.receipt) : false),
  )
  return (
    <>
      <div
        className="max-h-96 overflow-y-auto border-y border-hairline"
        role="region"
        aria-label={words.whereEachFigureComes}
        tabIndex={0}
      >
        <ul className="divide-y divide-hairline text-[0.95rem]">
          {sorted.slice(0, SHOWN).map((draft, i) => (
            <li key={i} className="py-2">
              <span className="flex justify-between gap-4">
                <span className="min-w-0 truncate">
                  {sayDay(draft.at, now)}
                  {draft.source && <span className="text-steel"> · {draft.source.file}</span>}
                </span>
                <span className="shrink-0">{sayKm(draft.km, units)}</span>
              </span>
              {sayReceipt(draft).map((sentence) => (
                <span key={sentence} className="block text-sm text-steel">
                  {sentence}
                </span>
              ))}
            </li>
          ))}
        </ul>
      </div>
      {drafts.length > SHOWN && (
        <p className="text-sm text-steel">{words.andMoreEachCan(drafts.length - SHOWN)}</p>
      )}
    </>
  )
}

interface Props {
  readonly drafts: readonly RideDraft[]
  readonly additions: readonly ChainAddition[]
  readonly onClose: () => void
}

/** What an import did. */
export function Receipt({ drafts, additions, onClose }: Props) {
  const { garage } = useOpenLog()
  const box = useRef<HTMLElement>(null)
  // The list of what was found was long, and is gone: the page would show whatever came after it.
  useEffect(() => {
    // A browser may answer with a promise, which is nothing to clean up.
    void box.current?.scrollIntoView?.({ block: 'center' })
  }, [])
  return (
    <section
      ref={box}
      aria-label={words.whatWasAdded}
      className="flex flex-col gap-2 border-l-4 border-petrol pl-3"
    >
      <p role="status" className="text-lg font-medium">
        {words.added(sayCount(drafts.length, 'ride'))}
      </p>
      <Additions garage={garage} additions={additions} />
      <details>
        <summary className="min-h-8 cursor-pointer text-[0.95rem] underline underline-offset-4">
          {words.whereEachFigureComes}
        </summary>
        <div className="mt-2">
          <ReceiptList drafts={drafts} />
        </div>
      </details>
      <Button look="link" className="self-start" onClick={onClose}>
        {words.hideThis}
      </Button>
    </section>
  )
}
