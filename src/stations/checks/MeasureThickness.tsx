import { useState } from 'react'
import { object } from 'yup'
import {
  lawOf,
  THICKNESS_TOOLS,
  type ThicknessTool,
  type WearingPart,
} from '../../core/checks/wearing-parts.ts'
import { hasGrownBack } from '../../core/checks/wearing.ts'
import type { EntryDraft } from '../../core/log/entries.ts'
import type { ThicknessEntry } from '../../core/log/kinds/thickness.ts'
import type { BikeReport } from '../../core/strategy/facts/bike-report.ts'
import { inchesToMm, mmToInches } from '../../core/units/convert.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { neededNumber } from '../../ui/form/fields.ts'
import { useCheckedForm } from '../../ui/form/use-checked-form.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { SelectField, TextField } from '../../ui/parts/fields.tsx'
import { useUnits } from '../../ui/screen-state.ts'
import { useOnce } from '../../ui/use-once.ts'
import {
  sayMm,
  sayWearAhead,
  sayWearNow,
  THICKNESS_TOOL_NAMES,
  WEARING_HOW,
  WEARING_NAMES,
} from '../../words/checks/wearing-words.ts'
import { recallTool, rememberTool } from './kept-tool.ts'
import { thisMoment } from './round-writing.ts'
import { words } from '../../words/stations/checks/measure-thickness.ts'

interface Props {
  readonly report: BikeReport
  readonly part: WearingPart
}

const TOOL_OPTIONS = Object.fromEntries(
  THICKNESS_TOOLS.map((tool) => [tool, THICKNESS_TOOL_NAMES[tool]]),
) as Readonly<Record<ThicknessTool, string>>

/** What stands in the log of one part, and what it comes to. */
const outlookIn = ({ wearing }: BikeReport, part: WearingPart) => wearing.find((one) => one.part === part)

/** Whether sealant is still liquid, or is fresh. */
function LookAtSealant({ report, part }: Props) {
  const { record } = useOpenLog()
  const { bike } = report.bike.entry
  const outlook = outlookIn(report, part)
  const { now } = useOpenLog()
  const units = useUnits()
  const [save, saving] = useOnce(async (more: Pick<ThicknessEntry, 'isDry' | 'isNew'>) => {
    await record(
      [{ kind: 'thickness', at: thisMoment(), bike, part, ...more }],
      words.noted(WEARING_NAMES[part]),
    )
  })
  return (
    <div role="group" aria-label={WEARING_NAMES[part]} className="border-t border-hairline pt-3">
      <p className="font-semibold">{WEARING_NAMES[part]}</p>
      {outlook && (
        <p className="text-[0.95rem] text-steel">
          {sayWearNow(outlook, units)}; {sayWearAhead(outlook, units, now)}.
        </p>
      )}
      <div className="mt-2 flex flex-wrap gap-2">
        <Button disabled={saving} onClick={() => save({ isDry: false })}>
          {words.stillLiquid}
        </Button>
        <Button disabled={saving} onClick={() => save({ isDry: true })}>
          {words.driedOut}
        </Button>
        <Button disabled={saving} onClick={() => save({ isNew: true })}>
          {words.filledFresh}
        </Button>
      </div>
    </div>
  )
}

/** Measuring one part that wears: how thick, with what; what it comes to follows at once. */
function MeasureMm({ report, part }: Props) {
  const { record, now } = useOpenLog()
  const units = useUnits()
  const isMetric = units === 'metric'
  const law = lawOf(part)
  const { bike } = report.bike.entry
  const outlook = outlookIn(report, part)
  const [strange, setStrange] = useState<{ readonly mm: number; readonly by: ThicknessTool }>()
  const [tool, setTool] = useState<ThicknessTool>(recallTool)
  const shown = (mm: number): number => (isMetric ? mm : mmToInches(mm))
  const write = async (
    more: Pick<ThicknessEntry, 'mm' | 'by' | 'isNew'>,
    clear: () => void,
  ): Promise<void> => {
    const draft: EntryDraft = { kind: 'thickness', at: thisMoment(), bike, part, ...more }
    const said = more.isNew
      ? words.fittedNew(WEARING_NAMES[part])
      : words.saved(WEARING_NAMES[part], sayMm(more.mm ?? 0, units))
    if (await record([draft], said)) {
      setStrange(undefined)
      clear()
    }
  }
  const { form, submit, saving } = useCheckedForm(
    object({
      mm: neededNumber({
        unit: isMetric ? 'mm' : 'in',
        ask: words.howIsIt(law.gets === 'wider' ? words.wide : words.thick),
        least: 0,
        most: Math.round(shown(law.mostMm) * 1000) / 1000,
      }),
    }),
    { mm: '' },
    async ({ mm: typed }, { reset }) => {
      const mm = isMetric ? typed : inchesToMm(typed)
      const before = outlook?.entries.findLast((one) => one.mm !== undefined)
      rememberTool(tool)
      if (
        before?.mm !== undefined &&
        hasGrownBack(law, { mm: before.mm, by: before.by ?? 'ruler' }, { mm, by: tool })
      )
        setStrange({ mm, by: tool })
      else await write({ mm, by: tool }, () => reset({ mm: '' as never }))
    },
  )
  const clear = (): void => form.reset({ mm: '' as never })
  const [fitNew, isFitting] = useOnce(() => write({ isNew: true }, clear))
  const [answer, isAnswering] = useOnce(async (isNew: boolean) => {
    if (strange) await write({ ...strange, ...(isNew && { isNew: true }) }, clear)
  })
  return (
    <form
      noValidate
      aria-label={WEARING_NAMES[part]}
      className="flex flex-col gap-2 border-t border-hairline pt-3"
      onSubmit={submit}
    >
      <p className="font-semibold">
        {WEARING_NAMES[part]} <span className="font-normal text-steel">({WEARING_HOW[part]})</span>
      </p>
      {outlook && (
        <p className="text-[0.95rem] text-steel">
          {sayWearNow(outlook, units)}; {sayWearAhead(outlook, units, now)}.
        </p>
      )}
      <div className="flex flex-wrap items-end gap-3">
        <TextField
          label={words.measured(isMetric ? words.mm : words.inches)}
          inputMode="decimal"
          className="w-36"
          fault={form.formState.errors.mm?.message}
          {...form.register('mm')}
        />
        <SelectField<ThicknessTool>
          label={words.with}
          className="w-40"
          value={tool}
          options={TOOL_OPTIONS}
          onPick={setTool}
        />
        <Button look="firm" type="submit" disabled={saving}>
          {words.save}
        </Button>
        <Button look="link" className="min-h-11" disabled={isFitting} onClick={fitNew}>
          {words.fittedNew2}
        </Button>
      </div>
      {strange && (
        <div role="alert" className="border-l-4 border-ochre pl-3">
          <p>{words.isLessWornThan(sayMm(strange.mm, units))}</p>
          <div className="mt-2 flex flex-wrap gap-2">
            <Button disabled={isAnswering} onClick={() => answer(true)}>
              {words.itIsNew}
            </Button>
            <Button disabled={isAnswering} onClick={() => answer(false)}>
              {words.thisOneIsRight}
            </Button>
            <Button look="link" className="min-h-11" onClick={() => setStrange(undefined)}>
              {words.letMeMeasureAgain}
            </Button>
          </div>
        </div>
      )}
    </form>
  )
}

/** Measuring or looking at one part that wears. */
export const MeasureThickness = (props: Props) =>
  lawOf(props.part).gets === 'older' ? <LookAtSealant {...props} /> : <MeasureMm {...props} />
