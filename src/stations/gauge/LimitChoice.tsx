import type { School } from '../../core/log/entries.ts'
import { limitFor } from '../../core/measure/limits.ts'
import type { BikeReport } from '../../core/strategy/bike-report.ts'
import { useOpenLog } from '../../store/log-context.ts'
import { Choice } from '../../ui/parts/fields.tsx'
import { sayLimit } from '../../ui/words/numbers.ts'

const SCHOOLS: readonly School[] = ['early', 'usual', 'late']

/** Which limit the bike goes by, with the reason for the one in force. */
export function LimitChoice({ report }: { readonly report: BikeReport }) {
  const { record, now } = useOpenLog()
  const { entry } = report.bike
  const cassette = report.sprockets.find(({ role }) => role === 'cog')?.part.entry.spec
  const drivetrain = {
    speeds: entry.speeds,
    shifting: entry.shifting,
    cogMaterial: cassette?.type === 'cassette' ? cassette.material : ('steel' as const),
  }
  const pick = (school: School) =>
    void record(
      [{ kind: 'limit', at: now, bike: entry.bike, school }],
      `${entry.name} now goes by the ${school} limit.`,
    )
  return (
    <div className="flex flex-wrap items-center gap-x-8 gap-y-3">
      <Choice
        legend="Which limit to go by"
        hideLegend
        value={report.limit.school}
        onPick={pick}
        options={SCHOOLS.map((school) => ({
          value: school,
          label: `${school} ${sayLimit(limitFor(drivetrain, school).percent)} %`,
        }))}
      />
      <p className="max-w-[34rem] text-[0.95rem] text-steel">
        {sayLimit(report.limit.percent)} %: {report.limit.reason}. The maker’s own limit comes first where
        there is one.
      </p>
    </div>
  )
}
