import { useState } from 'react'
import { object } from 'yup'
import type { School } from '../../core/log/kinds/limit.ts'
import { BOUNDS } from '../../core/log/bounds.ts'
import { limitFor } from '../../core/measure/limits.ts'
import type { BikeReport } from '../../core/strategy/facts/bike-report.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { neededNumber, neededText } from '../../ui/form/fields.ts'
import { StepperField } from '../../ui/form/StepperField.tsx'
import { useCheckedForm } from '../../ui/form/use-checked-form.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { Choice, TextField } from '../../ui/parts/fields.tsx'
import { keepUnits, sayLimit } from '../../words/numbers.ts'
import { useInTurn } from '../../ui/use-in-turn.ts'
import { sayLimitReason } from '../../words/limit-reason.ts'
import { words } from '../../words/stations/gauge/limit-choice.ts'
import { SCHOOL_NAMES } from '../../words/names.ts'

const SCHOOLS: readonly School[] = ['early', 'usual', 'late']

const ownSchema = object({
  percent: neededNumber({ unit: '%', ask: words.aLimitLiesBetween, least: 0.1, most: 2 }),
  reason: neededText(words.giveAReasonTheNext, BOUNDS.noteLetters),
})

function OwnLimit({ report, onDone }: { readonly report: BikeReport; readonly onDone: () => void }) {
  const { record, now } = useOpenLog()
  const { bike, name } = report.bike.entry
  const { form, submit, saving } = useCheckedForm(
    ownSchema,
    { percent: report.limit.percent, reason: report.bike.limit?.reason ?? '' },
    async ({ percent, reason }) => {
      const draft = { kind: 'limit', at: now, bike, school: report.limit.school, percent, reason } as const
      if (await record([draft], words.nowGoesBy(name, sayLimit(percent)))) onDone()
    },
  )
  const { errors } = form.formState
  return (
    <form
      noValidate
      onSubmit={submit}
      className="grid max-w-[40rem] grid-cols-[12rem_minmax(0,1fr)_auto] items-end gap-3 max-sm:grid-cols-1"
    >
      <StepperField
        control={form.control}
        name="percent"
        label={words.limit}
        step={0.05}
        min={0.1}
        max={2}
        digits={2}
      />
      <TextField label={words.because} fault={errors.reason?.message} {...form.register('reason')} />
      <Button type="submit" disabled={saving}>
        {words.setIt}
      </Button>
    </form>
  )
}

/** Which limit the bike goes by, with the reason for the one in force. */
export function LimitChoice({ report }: { readonly report: BikeReport }) {
  const { record, now } = useOpenLog()
  const [own, setOwn] = useState(false)
  const { entry } = report.bike
  const cassette = report.sprockets.find(({ role }) => role === 'cog')?.part.entry.spec
  const drivetrain = {
    speeds: entry.speeds,
    shifting: entry.shifting,
    cogMaterial: cassette?.type === 'cassette' ? cassette.material : ('steel' as const),
  }
  const isOwn = report.bike.limit?.percent !== undefined
  const pick = useInTurn(async (choice: School | 'own') => {
    setOwn(choice === 'own')
    if (choice !== 'own')
      await record(
        [{ kind: 'limit', at: now, bike: entry.bike, school: choice }],
        words.nowGoesByTheLimit(entry.name, SCHOOL_NAMES[choice]),
      )
  })
  return (
    <div className="flex flex-col gap-4">
      <div className="flex flex-wrap items-center gap-x-8 gap-y-3">
        <Choice<School | 'own'>
          legend={words.whichLimitToGo}
          hideLegend
          value={own || isOwn ? 'own' : report.limit.school}
          onPick={pick}
          options={[
            ...SCHOOLS.map((school) => ({
              value: school,
              label: `${SCHOOL_NAMES[school]} ${sayLimit(limitFor(drivetrain, school).percent)} %`,
            })),
            {
              value: 'own' as const,
              label: isOwn ? words.myOwn(sayLimit(report.limit.percent)) : words.myOwn2,
            },
          ]}
        />
        <p className="max-w-[34rem] text-[0.95rem] text-steel">
          {keepUnits(
            words.theMakersOwnLimit(sayLimit(report.limit.percent), sayLimitReason(report.limit.reason)),
          )}
        </p>
      </div>
      {(own || isOwn) && (
        <OwnLimit key={report.bike.limit?.id ?? 'none'} report={report} onDone={() => setOwn(false)} />
      )}
    </div>
  )
}
