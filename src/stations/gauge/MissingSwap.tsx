import { Link } from 'react-router'
import { object } from 'yup'
import type { IsoTime } from '../../core/log/entry.ts'
import { missingSwap } from '../../core/log/missing-swap.ts'
import type { ChainReport } from '../../core/strategy/facts/bike-report.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { pastDay } from '../../ui/form/fields.ts'
import { useCheckedForm } from '../../ui/form/use-checked-form.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { dayOf } from '../../words/day.ts'
import { TextField } from '../../ui/parts/fields.tsx'
import { OPENS } from '../../words/places.ts'
import { sayDay } from '../../words/numbers.ts'
import { words } from '../../words/stations/gauge/missing-swap.ts'
import { newId } from '../../session/new-id.ts'

interface Props {
  readonly chain: ChainReport
  /** When the look before was taken, and the odd one. */
  readonly before: IsoTime
  readonly look: IsoTime
}

const midnightOf = (day: string): IsoTime => new Date(`${day}T00:00:00`).toISOString()

/** A swap that was never logged, written at its date: between two looks. */
export function MissingSwap({ chain, before, look }: Props) {
  const { garage, now, record } = useOpenLog()
  const { part, name } = chain.part.entry
  const [earliest, latest] = [dayOf(before), dayOf(look)]
  const middle = dayOf(new Date((Date.parse(before) + Date.parse(look)) / 2).toISOString())
  const { form, submit, saving } = useCheckedForm(
    object({
      day: pastDay(now).test(
        'between',
        words.betweenTheTwoLooks(sayDay(before, now), sayDay(look, now)),
        (day) => day >= earliest && day <= latest,
      ),
    }),
    { day: middle },
    async ({ day }, { setError }) => {
      // In the morning of the day, but never before the look that was still at the old chain.
      const at =
        [midnightOf(day), new Date(Date.parse(before) + 60_000).toISOString()].sort().at(-1) ?? before
      const drafts = missingSwap(garage, part, at, newId())
      if (!drafts) return setError('day', { message: words.cameOntoItsBike(name) })
      return record(drafts, words.cameOffWhatWas(name))
    },
  )
  // In rotation the chain came back onto its bike after the look before: there is no one day to write.
  if (!missingSwap(garage, part, look, 'fresh'))
    return (
      <Link to={OPENS.fitChain} className="underline underline-offset-4">
        {words.logTheSwap}
      </Link>
    )
  return (
    <form onSubmit={submit} noValidate className="flex flex-col gap-2">
      <TextField
        label={words.fittedOnAbout}
        type="date"
        min={earliest}
        max={latest}
        fault={form.formState.errors.day?.message}
        {...form.register('day')}
      />
      <Button type="submit" disabled={saving}>
        {words.logTheSwap}
      </Button>
    </form>
  )
}
