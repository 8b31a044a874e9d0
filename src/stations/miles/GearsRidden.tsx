import { useMemo, useState } from 'react'
import { object } from 'yup'
import { groupedNumber, sayDecimal } from '../../words/grouped-number.ts'
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
import { words } from '../../words/stations/miles/gears-ridden.ts'

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
    ask: words.theWheelsCircumferenceUsually,
    least: 500,
    most: 4000,
  }),
  mass: neededNumber({ unit: 'kg', ask: words.riderBikeAndLoad, least: 20, most: 800 }),
  motor: neededNumber({ unit: '%', ask: words.theMotorsShare0, least: 0, most: 99 }),
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
      if (total === 0) return setError('root', { message: words.atLeastOneCog })
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
        words.sGearsAndWeight(entry.name),
      )
      return undefined
    },
  )
  const { errors } = form.formState
  return (
    <details className="text-[0.95rem]">
      <summary className="cursor-pointer underline underline-offset-4">
        {words.basedOn(entry.cogMix ? '' : words.aGuessPleaseCorrect)}
      </summary>
      <form noValidate onSubmit={submit} className="mt-3 flex flex-col gap-4">
        <div className="grid max-w-2xl grid-cols-3 gap-3 max-sm:grid-cols-1">
          <TextField
            label={words.wheelMmRound}
            inputMode="decimal"
            fault={errors.wheel?.message}
            {...form.register('wheel')}
          />
          <TextField
            label={words.riderBikeAndLoadKg}
            inputMode="decimal"
            fault={errors.mass?.message}
            {...form.register('mass')}
          />
          {entry.motor !== 'none' && (
            <TextField
              label={words.theMotorsShare}
              inputMode="decimal"
              fault={errors.motor?.message}
              {...form.register('motor')}
            />
          )}
        </div>
        <fieldset>
          <legend className="mb-1 text-sm font-medium">{words.shareOfTheRiding}</legend>
          <div className="grid max-w-3xl grid-cols-4 gap-3 max-sm:grid-cols-2">
            {cogs.map((cog) => (
              <Stepper
                key={cog}
                label={words.cog(cog)}
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
          {words.keepIt}
        </Button>
      </form>
    </details>
  )
}

const STRETCHES = [
  { value: 'chain', label: words.thisChain },
  { value: 'month', label: words.aMonth },
  { value: 'year', label: words.aYear },
  { value: 'all', label: words.allItsRides },
  { value: 'between', label: words.betweenTwoDays },
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
      <Choice legend={words.over} value={stretch} onPick={setStretch} options={STRETCHES} />
      {stretch === 'between' && (
        <div className="grid max-w-md grid-cols-2 gap-3">
          <TextField
            label={words.firstDay}
            type="date"
            value={range.from}
            onChange={(event) => setRange({ ...range, from: event.target.value })}
          />
          <TextField
            label={words.lastDay}
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
      title={words.whatTheGearsDid}
      note={
        told >= 0.995
          ? words.everyRideHasCadence
          : told <= 0.005
            ? words.noRideHereShows
            : words.cadenceShowsTheGears(percent(told))
      }
      className="no-print border-t border-hairline pt-6"
    >
      <div className="flex flex-col gap-4">
        <StretchChoice over={over} />
        {mix.totalKj === 0 || !first ? (
          <p className="text-steel">{words.nothingWasRiddenInThatTime}</p>
        ) : (
          <>
            <p className="max-w-[52rem] text-lg">
              {words.the} <strong>{first.teeth}</strong>
              {second && (
                <>
                  {' '}
                  {words.andThe} <strong>{second.teeth}</strong>
                </>
              )}{' '}
              {words.do} <strong>{percent(first.share + (second?.share ?? 0))}</strong> {words.ofTheWork}
              {untouched.length > 0 &&
                words.theCanLookNew(
                  sayList(untouched.map(String)),
                  untouched.length === 1 ? words.it : words.them,
                )}
            </p>
            <div className="grid grid-cols-[minmax(0,1.4fr)_minmax(0,1fr)] gap-x-14 gap-y-4 max-md:grid-cols-1">
              <Bars
                title={told >= 0.5 ? words.energyByCogOf(kjText(mix.totalKj)) : words.energyByCog}
                kj={mix.cogs}
              />
              <div className="flex flex-col gap-4">
                <Bars title={words.energyByRing} kj={mix.rings} />
                <ul className="flex list-disc flex-col gap-1 pl-5 text-[0.95rem]">
                  {cost.smallCogShare > 0.01 && (
                    <li>
                      {words.goesThroughCogsOf13(
                        percent(cost.smallCogShare),
                        sayDecimal(cost.smallCogTimes, 1),
                      )}
                    </li>
                  )}
                  {teeth.rings.length > 1 && (
                    <li>
                      {words.isCrossedLargeToLarge(
                        percent(cost.crossedShare),
                        cost.crossedShare > 0.1 ? words.theSameRatiosAre : '.',
                      )}
                    </li>
                  )}
                  <li>{words.aRingFourTeeth(percent(cost.largerRingSaves))}</li>
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
