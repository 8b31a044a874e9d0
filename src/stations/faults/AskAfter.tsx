import type { Garage } from '../../core/log/garage.ts'
import type { FaultEntry } from '../../core/log/kinds/fault.ts'
import { faultToAskAfter } from '../../core/strategy/facts/faults-found.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { useInTurn } from '../../ui/use-in-turn.ts'
import { sayCause } from '../../words/faults/causes.ts'
import { sayDay, sayList } from '../../words/numbers.ts'
import { words } from '../../words/stations/faults/ask-after.ts'

interface Props {
  readonly garage: Garage
  readonly bike: string
  readonly name: string
}

/** After the first ride since a repair: whether it is gone. Asked once. */
export function AskAfter({ garage, bike, name }: Props) {
  const { now, record } = useOpenLog()
  const fault = faultToAskAfter(garage, bike)
  const answer = useInTurn(async (afterwards: NonNullable<FaultEntry['afterwards']>) => {
    if (!fault) return
    const {
      id: _id,
      format: _format,
      action: _action,
      supersedes: _supersedes,
      firstId: _first,
      ...rest
    } = fault
    await record([{ ...rest, at: now, afterwards }], words.noted(name))
  })
  if (!fault) return null
  const what = fault.found.length > 0 ? sayList(fault.found.map(sayCause)) : words.theFault
  return (
    <section aria-label={words.afterTheRepair} className="border-y border-hairline py-3">
      <p className="font-medium">{words.wasRiddenSinceYou(name, what, sayDay(fault.at, now))}</p>
      <div className="mt-2 flex flex-wrap gap-2">
        <Button onClick={() => answer('gone')}>{words.itIsGone}</Button>
        <Button onClick={() => answer('still-there')}>{words.stillThere}</Button>
        <Button look="link" onClick={() => answer('not-sure')} className="min-h-11">
          {words.notSure}
        </Button>
      </div>
    </section>
  )
}
