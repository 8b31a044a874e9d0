import { object } from 'yup'
import { lawOf, type WearingPart } from '../../core/checks/wearing-parts.ts'
import type { BikeReport } from '../../core/strategy/facts/bike-report.ts'
import { inchesToMm, mmToInches } from '../../core/units/convert.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { neededNumber } from '../../ui/form/fields.ts'
import { useCheckedForm } from '../../ui/form/use-checked-form.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { TextField } from '../../ui/parts/fields.tsx'
import { useUnits } from '../../ui/screen-state.ts'
import { sayMm, WEARING_NAMES } from '../../words/checks/wearing-words.ts'
import { thisMoment } from './round-writing.ts'
import { words } from '../../words/stations/checks/own-limit.ts'

interface Props {
  readonly report: BikeReport
  readonly part: WearingPart
}

/** The maker's limit of a part, in place of the usual one. */
export function OwnLimit({ report, part }: Props) {
  const { record } = useOpenLog()
  const units = useUnits()
  const isMetric = units === 'metric'
  const law = lawOf(part)
  const { bike } = report.bike.entry
  const limitMm = report.wearing.find((one) => one.part === part)?.law.limitMm ?? law.limitMm
  const shown = (mm: number): number => Math.round((isMetric ? mm : mmToInches(mm)) * 1000) / 1000
  const { form, submit, saving } = useCheckedForm(
    object({
      limit: neededNumber({
        unit: isMetric ? 'mm' : 'in',
        ask: words.whatDoesItsMaker,
        least: 0,
        most: shown(law.mostMm),
      }),
    }),
    { limit: shown(limitMm) },
    async ({ limit }) => {
      const mm = isMetric ? limit : inchesToMm(limit)
      await record(
        [{ kind: 'thickness', at: thisMoment(), bike, part, limitMm: mm }],
        words.limit(WEARING_NAMES[part], sayMm(mm, units)),
      )
    },
  )
  return (
    <details>
      <summary className="min-h-11 cursor-pointer py-2 underline underline-offset-4">
        {words.itsMakerSaysAnother}
      </summary>
      <form noValidate className="flex flex-wrap items-end gap-3" onSubmit={submit}>
        <TextField
          label={words.limit2(isMetric ? words.mm : words.inches)}
          inputMode="decimal"
          className="w-36"
          fault={form.formState.errors.limit?.message}
          {...form.register('limit')}
        />
        <Button type="submit" disabled={saving}>
          {words.saveTheLimit}
        </Button>
      </form>
    </details>
  )
}
