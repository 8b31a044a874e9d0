import { useState } from 'react'
import type { School } from '../../core/log/kinds/limit.ts'
import { BOUNDS } from '../../core/log/bounds.ts'
import { limitFor } from '../../core/measure/limits.ts'
import type { BikeReport } from '../../core/strategy/facts/bike-report.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { Choice, TextField } from '../../ui/parts/fields.tsx'
import { faultOfText } from '../../ui/parts/text-fault.ts'
import { Stepper } from '../../ui/parts/Stepper.tsx'
import { keepUnits, sayLimit } from '../../ui/words/numbers.ts'
import { useInTurn } from '../../ui/use-in-turn.ts'
import { useOnce } from '../../ui/use-once.ts'

const SCHOOLS: readonly School[] = ['early', 'usual', 'late']

function OwnLimit({ report, onDone }: { readonly report: BikeReport; readonly onDone: () => void }) {
  const { record, now } = useOpenLog()
  const { bike, name } = report.bike.entry
  const [percent, setPercent] = useState(report.limit.percent)
  const [reason, setReason] = useState(report.bike.limit?.reason ?? '')
  const [fault, setFault] = useState<string>()
  const [save, saving] = useOnce(async () => {
    if (reason.trim() === '') return setFault('Give a reason: the next mechanic will want to know.')
    const long = faultOfText(reason, BOUNDS.noteLetters)
    if (long) return setFault(long)
    if (!(percent >= 0.1 && percent <= 2)) return setFault('A limit lies between 0.1 and 2 %.')
    const draft = {
      kind: 'limit',
      at: now,
      bike,
      school: report.limit.school,
      percent,
      reason: reason.trim(),
    } as const
    if (await record([draft], `${name} now goes by ${sayLimit(percent)} %.`)) onDone()
    return undefined
  })
  return (
    <div className="grid max-w-[40rem] grid-cols-[12rem_minmax(0,1fr)_auto] items-end gap-3 max-sm:grid-cols-1">
      <Stepper
        label="Limit, %"
        value={percent}
        step={0.05}
        min={0.1}
        max={2}
        digits={2}
        onStep={setPercent}
      />
      <TextField
        label="Because"
        value={reason}
        onChange={(event) => setReason(event.target.value)}
        fault={fault}
      />
      <Button disabled={saving} onClick={save}>
        Set it
      </Button>
    </div>
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
        `${entry.name} now goes by the ${choice} limit.`,
      )
  })
  return (
    <div className="flex flex-col gap-4">
      <div className="flex flex-wrap items-center gap-x-8 gap-y-3">
        <Choice<School | 'own'>
          legend="Which limit to go by"
          hideLegend
          value={own || isOwn ? 'own' : report.limit.school}
          onPick={pick}
          options={[
            ...SCHOOLS.map((school) => ({
              value: school,
              label: `${school} ${sayLimit(limitFor(drivetrain, school).percent)} %`,
            })),
            { value: 'own' as const, label: isOwn ? `my own ${sayLimit(report.limit.percent)} %` : 'my own' },
          ]}
        />
        <p className="max-w-[34rem] text-[0.95rem] text-steel">
          {keepUnits(
            `${sayLimit(report.limit.percent)} %: ${report.limit.reason}. The maker’s own limit comes first where there is one.`,
          )}
        </p>
      </div>
      {(own || isOwn) && (
        <OwnLimit key={report.bike.limit?.id ?? 'none'} report={report} onDone={() => setOwn(false)} />
      )}
    </div>
  )
}
