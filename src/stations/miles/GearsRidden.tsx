import { useMemo, useState } from 'react'
import { object } from 'yup'
import { groupedNumber } from '../../core/units/grouped-number.ts'
import { neededNumber } from '../../ui/form/fields.ts'
import { useCheckedForm } from '../../ui/form/use-checked-form.ts'
import { cogMixOf, gearCost, gearMix, hardestCogs, sprocketTeeth } from '../../core/exposure/gear-mix.ts'
import { ridesDuring } from '../../core/exposure/distance.ts'
import { USUAL_MASS_KG, USUAL_MOTOR_SHARE } from '../../core/exposure/chain-energy.ts'
import { USUAL_CIRCUMFERENCE_MM } from '../../core/exposure/ride-gears.ts'
import type { BikeReport } from '../../core/strategy/facts/bike-report.ts'
import { addDays } from '../../core/units/days.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { dayOf } from '../../words/day.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { Choice, TextField } from '../../ui/parts/fields.tsx'
import { Section } from '../../ui/parts/Section.tsx'
import { Stepper } from '../../ui/parts/Stepper.tsx'
import { sayList } from '../../words/numbers.ts'

type Stretch = 'chain' | 'month' | 'year' | 'all' | 'between'

const kjText = (kj: number): string => `${groupedNumber(Math.round(kj))}\u00a0kJ`
const percent = (share: number): string => `${Math.round(100 * share)}\u00a0%`

/** A bar of energy for each sprocket: what it was given, by length, with its share beside it. */
function Bars({ title, kj }: { readonly title: string; readonly kj: ReadonlyMap<number, number> }) {
  const total = [...kj.values()].reduce((a, b) => a + b, 0)
  const most = Math.max(...kj.values())
  return (
    <table className="w-full max-w-xl text-[0.95rem]">
      <caption className="pb-1 text-left text-sm text-steel">{title}</caption>
      <tbody>
        {[...kj]
          .sort(([a], [b]) => a - b)
          .map(([teeth, value]) => (
            <tr key={teeth}>
              <th scope="row" className="w-10 pr-3 text-right font-mono font-normal">
                {teeth}
              </th>
              <td className="w-full py-0.5">
                <svg
                  viewBox="0 0 100 10"
                  preserveAspectRatio="none"
                  aria-hidden="true"
                  className="h-4 w-full"
                >
                  <rect width={most > 0 ? (100 * value) / most : 0} height="10" fill="var(--petrol)" />
                </svg>
              </td>
              <td className="pl-3 text-right whitespace-nowrap">{percent(total > 0 ? value / total : 0)}</td>
            </tr>
          ))}
      </tbody>
    </table>
  )
}

/** What is asked of a bike's wheel, load and motor. */
const GROUNDS = object({
  wheel: neededNumber({
    unit: 'mm',
    ask: 'The wheel’s circumference, usually about 2100 mm.',
    least: 500,
    most: 4000,
  }),
  mass: neededNumber({ unit: 'kg', ask: 'Rider, bike and load together.', least: 20, most: 800 }),
  motor: neededNumber({ unit: '%', ask: 'The motor’s share; 0 for none.', least: 0, most: 99 }),
})

/** What the energy of riding is worked out from, to be corrected: wheel, mass, motor, and the mix where no cadence tells. */
function Grounds({ report, cogs }: { readonly report: BikeReport; readonly cogs: readonly number[] }) {
  const { record } = useOpenLog()
  const { entry } = report.bike
  const mix = cogMixOf(entry, cogs)
  const [shares, setShares] = useState<Readonly<Record<string, number>>>(() =>
    Object.fromEntries([...mix].map(([cog, share]) => [cog, Math.round(100 * share)])),
  )
  const total = Object.values(shares).reduce((a, b) => a + b, 0)
  const { form, submit, saving } = useCheckedForm(
    GROUNDS,
    {
      wheel: entry.circumferenceMm ?? USUAL_CIRCUMFERENCE_MM,
      mass: entry.massKg ?? USUAL_MASS_KG,
      motor: Math.round(100 * (entry.motorShare ?? USUAL_MOTOR_SHARE[entry.motor])),
    },
    async ({ wheel, mass, motor }, { setError }) => {
      if (total === 0) return setError('root', { message: 'At least one cog is ridden.' })
      const { id, action: _action, ...held } = entry
      await record(
        [
          {
            ...held,
            supersedes: id,
            circumferenceMm: wheel,
            massKg: mass,
            ...(entry.motor !== 'none' && { motorShare: motor / 100 }),
            cogMix: Object.fromEntries(Object.entries(shares).map(([cog, share]) => [cog, share / total])),
          },
        ],
        `${entry.name}’s gears and weight are saved.`,
      )
      return undefined
    },
  )
  const { errors } = form.formState
  return (
    <details className="text-[0.95rem]">
      <summary className="cursor-pointer underline underline-offset-4">
        Based on{entry.cogMix ? '' : ': a guess, please correct it'}
      </summary>
      <form noValidate onSubmit={submit} className="mt-3 flex flex-col gap-4">
        <div className="grid max-w-2xl grid-cols-3 gap-3 max-sm:grid-cols-1">
          <TextField
            label="Wheel, mm round"
            inputMode="decimal"
            fault={errors.wheel?.message}
            {...form.register('wheel')}
          />
          <TextField
            label="Rider, bike and load, kg"
            inputMode="decimal"
            fault={errors.mass?.message}
            {...form.register('mass')}
          />
          {entry.motor !== 'none' && (
            <TextField
              label="The motor’s share, %"
              inputMode="decimal"
              fault={errors.motor?.message}
              {...form.register('motor')}
            />
          )}
        </div>
        <fieldset>
          <legend className="mb-1 text-sm font-medium">
            Share of the riding on each cog, for rides without cadence
          </legend>
          <div className="grid max-w-3xl grid-cols-4 gap-3 max-sm:grid-cols-2">
            {cogs.map((cog) => (
              <Stepper
                key={cog}
                label={`Cog ${cog}`}
                value={shares[cog] ?? 0}
                onStep={(share) => setShares({ ...shares, [cog]: Number.isFinite(share) ? share : 0 })}
                digits={0}
                step={5}
                min={0}
                max={100}
              />
            ))}
          </div>
        </fieldset>
        {errors.root?.message !== undefined && (
          <p role="alert" className="text-sm font-medium text-rust">
            {errors.root.message}
          </p>
        )}
        <Button className="self-start" type="submit" disabled={saving}>
          Keep it
        </Button>
      </form>
    </details>
  )
}

const STRETCHES = [
  { value: 'chain', label: 'this chain' },
  { value: 'month', label: 'a month' },
  { value: 'year', label: 'a year' },
  { value: 'all', label: 'all its rides' },
  { value: 'between', label: 'between two days' },
] as const

/** The stretch that is looked at, and the rides in it. */
function useStretch(report: BikeReport) {
  const { now } = useOpenLog()
  const { rides } = report.bike
  const [stretch, setStretch] = useState<Stretch>('chain')
  const [range, setRange] = useState({ from: dayOf(rides[0]?.at ?? now), to: dayOf(now) })
  const meant = useMemo(() => {
    switch (stretch) {
      case 'all':
        return rides
      case 'year':
        return ridesDuring(rides, addDays(now, -365))
      case 'month':
        return ridesDuring(rides, addDays(now, -30))
      case 'chain':
        return report.chain ? ridesDuring(rides, report.chain.fittedAt) : rides
      case 'between':
        return rides.filter(({ at }) => dayOf(at) >= range.from && dayOf(at) <= range.to)
    }
  }, [stretch, range, rides, now, report.chain])
  return { stretch, setStretch, range, setRange, meant }
}

/** Which stretch of the road the gears are told for. */
function StretchChoice({ over }: { readonly over: ReturnType<typeof useStretch> }) {
  const { stretch, setStretch, range, setRange } = over
  return (
    <>
      <Choice legend="Over" value={stretch} onPick={setStretch} options={STRETCHES} />
      {stretch === 'between' && (
        <div className="grid max-w-md grid-cols-2 gap-3">
          <TextField
            label="First day"
            type="date"
            value={range.from}
            onChange={(event) => setRange({ ...range, from: event.target.value })}
          />
          <TextField
            label="Last day"
            type="date"
            value={range.to}
            onChange={(event) => setRange({ ...range, to: event.target.value })}
          />
        </div>
      )}
    </>
  )
}

/** Energy through each cog and ring, and what that says about wear. */
export function GearsRidden({ report }: { readonly report: BikeReport }) {
  const { garage } = useOpenLog()
  const { entry, rides } = report.bike
  const teeth = useMemo(() => sprocketTeeth(garage, entry.bike), [garage, entry.bike])
  const over = useStretch(report)
  const { meant } = over
  const mix = useMemo(() => gearMix(meant, entry, teeth), [meant, entry, teeth])
  if (teeth.rings.length === 0 || teeth.cogs.length < 2 || rides.length === 0) return null
  const cost = gearCost(mix, teeth)
  const hardest = hardestCogs(mix)
  const [first, second] = hardest
  const told = mix.toldShare
  const untouched = teeth.cogs.filter((cog) => (mix.cogs.get(cog) ?? 0) < 0.01 * mix.totalKj)
  return (
    <Section
      title="What the gears did"
      note={
        told >= 0.995
          ? 'Every ride has cadence, so its gears are known.'
          : told <= 0.005
            ? 'No ride here shows its gears. This is the bike’s usual mix: a guess until a ride has cadence, or you correct it.'
            : `Cadence shows the gears for ${percent(told)} of the energy; the rest follows the bike’s usual mix.`
      }
      className="no-print border-t border-hairline pt-6"
    >
      <div className="flex flex-col gap-4">
        <StretchChoice over={over} />
        {mix.totalKj === 0 || !first ? (
          <p className="text-steel">Nothing was ridden in that time.</p>
        ) : (
          <>
            <p className="max-w-[52rem] text-lg">
              The <strong>{first.teeth}</strong>
              {second && (
                <>
                  {' '}
                  and the <strong>{second.teeth}</strong>
                </>
              )}{' '}
              do <strong>{percent(first.share + (second?.share ?? 0))}</strong> of the work.
              {untouched.length > 0 &&
                ` The ${sayList(untouched.map(String))} can look new: hardly anyone rides ${untouched.length === 1 ? 'it' : 'them'}.`}
            </p>
            <div className="grid grid-cols-[minmax(0,1.4fr)_minmax(0,1fr)] gap-x-14 gap-y-4 max-md:grid-cols-1">
              <Bars
                title={told >= 0.5 ? `Energy by cog, of ${kjText(mix.totalKj)}` : 'Energy by cog'}
                kj={mix.cogs}
              />
              <div className="flex flex-col gap-4">
                <Bars title="Energy by ring" kj={mix.rings} />
                <ul className="flex list-disc flex-col gap-1 pl-5 text-[0.95rem]">
                  {cost.smallCogShare > 0.01 && (
                    <li>
                      {percent(cost.smallCogShare)} goes through cogs of 13 teeth or fewer, where each
                      kilojoule wears the pins {cost.smallCogTimes.toFixed(1)} times as much as on the others.
                    </li>
                  )}
                  {teeth.rings.length > 1 && (
                    <li>
                      {percent(cost.crossedShare)} is crossed, large to large or small to small
                      {cost.crossedShare > 0.1
                        ? ': the same ratios are there on the other ring, with a straighter chain.'
                        : '.'}
                    </li>
                  )}
                  <li>
                    A ring four teeth larger, the ratios kept, would spare the pins about{' '}
                    {percent(cost.largerRingSaves)}.
                  </li>
                </ul>
              </div>
            </div>
          </>
        )}
        <Grounds report={report} cogs={teeth.cogs} />
      </div>
    </Section>
  )
}
