import { useMemo } from 'react'
import { Link } from 'react-router'
import type { BikeReport } from '../../../core/strategy/facts/bike-report.ts'
import {
  rotationOf,
  TOGETHER_PERCENT,
  type HookChain,
  type Rotation,
  type RotationWhy,
} from '../../../core/strategy/facts/rotation.ts'
import type { WashFacts } from '../../../core/strategy/facts/wash-facts.ts'
import { relayAhead, type RelayAhead } from '../../../core/strategy/relay.ts'
import { relayAsk, turnEveryKm, turnKmOf, turnsSoFar } from '../../../core/strategy/relay-facts.ts'
import { useOpenLog } from '../../../session/log-context.ts'
import { useTeeth } from '../../../session/teeth-store.ts'
import { useAnswers, useDrawsOf } from '../../../session/use-forecasts.ts'
import { buttonLook } from '../../../ui/parts/Button.tsx'
import { SelectField } from '../../../ui/parts/fields.tsx'
import { Section } from '../../../ui/parts/Section.tsx'
import { OPENS } from '../../../words/places.ts'
import { useUnits } from '../../../ui/screen-state.ts'
import type { Units } from '../../../core/units/units.ts'
import { useInTurn } from '../../../ui/use-in-turn.ts'
import { sayAboutKm, sayKm, sayPercent } from '../../../words/numbers.ts'
import { namePart } from '../../../words/part-name.ts'
import { HookRow } from './HookRow.tsx'
import { HookTags } from './HookTags.tsx'
import { Relay } from './Relay.tsx'
import { words } from '../../../words/stations/wash/hooks/hook-board.ts'

/** Rain makes the choice from this share of wet road on. */
const RAIN_SHARE = 0.3

const WHY: Readonly<Record<RotationWhy, string>> = {
  'least-worn': words.itIsTheLeast,
  rain: words.wetRoadsAheadTheMost,
  'only-ready': words.itIsTheOnly,
}

/** When the chain that is on gives way, and why. */
function sayGiveWay({ giveWay }: Rotation, onName: string, units: Units): string {
  if (!giveWay) return ''
  const { inKm, why, range } = giveWay
  const because = {
    lube: words.whatIsOnIsUsed(onName),
    ahead: words.isThenAheadOfTheOthers(onName),
    turn: words.itsTurnIsOver,
  }[why]
  if (inKm < 1)
    return {
      lube: words.swapNowWhatIsOnIs(onName),
      ahead: words.swapNowIsAhead(onName),
      turn: words.swapNowTheTurn(onName),
    }[why]
  const spread =
    range && range.p90 > range.p10 + 1
      ? words.probablyTo(sayAboutKm(range.p10, units), sayAboutKm(range.p90, units))
      : ''
  return words.swapInAbout(sayAboutKm(inKm, units), spread, because)
}

/** How far the chains are apart, and how far the whole set lasts. */
function saySet({ apartPercent, isApart }: Rotation, ahead: RelayAhead | undefined, units: Units): string {
  const apart =
    apartPercent === undefined
      ? ''
      : isApart
        ? words.theSetIsApart(sayPercent(apartPercent), sayPercent(TOGETHER_PERCENT))
        : words.theSetIsWithin(sayPercent(apartPercent))
  const far = ahead
    ? words.togetherTheyGoAbout(
        sayAboutKm(ahead.setKm.p50, units),
        sayAboutKm(ahead.setKm.p10, units),
        sayAboutKm(ahead.setKm.p90, units),
      )
    : ''
  return [apart, far].filter(Boolean).join(' ')
}

const EVEN = 'even'
/** Lengths of a turn to choose from, km. */
const TURNS_KM = [100, 200, 300, 400, 500, 750, 1000, 1500, 2000] as const

/** How the chains take turns: so that they wear evenly, or every so many km. */
function TurnChoice({ bike, everyKm }: { readonly bike: string; readonly everyKm: number | undefined }) {
  const { now, record } = useOpenLog()
  const units = useUnits()
  const pick = useInTurn(async (picked: string) => {
    await record(
      [{ kind: 'rotation', at: now, bike, ...(picked !== EVEN && { everyKm: Number(picked) }) }],
      picked === EVEN ? words.chainsTakeTurnsSo : words.chainsTakeTurnsEvery(sayKm(Number(picked), units)),
    )
  })
  const lengths = [...new Set([...TURNS_KM, ...(everyKm === undefined ? [] : [everyKm])])].sort(
    (a, b) => a - b,
  )
  return (
    <SelectField
      label={words.chainsTakeTurns}
      className="w-64"
      value={everyKm === undefined ? EVEN : String(everyKm)}
      options={{
        [EVEN]: words.soThatTheyWear,
        ...Object.fromEntries(lengths.map((km) => [String(km), words.every(sayKm(km, units))])),
      }}
      onPick={(picked) => void pick(picked)}
    />
  )
}

function useRotation(report: BikeReport, facts: WashFacts) {
  const { garage } = useOpenLog()
  const ids = useMemo(() => facts.chains.map(({ id }) => id), [facts])
  const answers = useAnswers(ids)
  const draws = useDrawsOf(report.chain?.part.entry.part)
  const ahead = useMemo(() => {
    const ask = draws && relayAsk(garage, report, facts.chains, draws)
    return ask && relayAhead(ask)
  }, [garage, report, facts, draws])
  const chains: readonly HookChain[] = facts.chains.map((chain, i) => ({
    ...chain,
    percent: answers[i]?.now.mean,
  }))
  const everyKm = turnEveryKm(garage, report.bike.entry.bike)
  const rotation = rotationOf(chains, {
    isRainAhead: facts.wants.wetShare >= RAIN_SHARE,
    ahead,
    everyKm,
    turnKm: turnKmOf(report),
  })
  const past = useMemo(
    () =>
      turnsSoFar(
        report,
        ids.flatMap((id) => garage.parts.get(id) ?? []),
      ),
    [report, ids, garage],
  )
  return { rotation, ahead, past, everyKm }
}

/** Chains that take turns: each on its hook, what is on it, how worn it is, whose turn it is, and tags for the hooks. */
export function HookBoard({ report, facts }: { readonly report: BikeReport; readonly facts: WashFacts }) {
  const { garage } = useOpenLog()
  const units = useUnits()
  const { bike, name } = report.bike.entry
  const { outlook: teeth } = useTeeth(bike)
  const { rotation, ahead, past, everyKm } = useRotation(report, facts)
  if (!rotation) return null
  const { next, chains, isNoneReady } = rotation
  const nameOf = (id: string): string => namePart(garage, id, bike)
  const on = chains.find(({ isOn }) => isOn)
  const named = chains.map(({ id }) => ({ id, name: nameOf(id) }))
  const most = Math.max(...chains.map(({ percent }) => percent ?? 0))
  return (
    <Section
      id="hooks"
      title={next ? words.nextOn(nameOf(next.id)) : words.chainsInTurn}
      note={[
        next && WHY[next.why],
        isNoneReady && words.noneOfTheOthers,
        on && sayGiveWay(rotation, nameOf(on.id), units),
        saySet(rotation, ahead, units),
      ]
        .filter(Boolean)
        .join(' ')}
    >
      <Relay chains={named} past={past} nowKm={report.totalKm} ahead={ahead?.turns ?? []} />
      <ul
        aria-label={words.chainsOnTheirHooks}
        className="mt-3 divide-y divide-hairline border-y border-hairline"
      >
        {chains.map((chain) => (
          <HookRow
            key={chain.id}
            report={report}
            teeth={teeth}
            chain={chain}
            name={nameOf(chain.id)}
            most={most}
          />
        ))}
      </ul>
      <div className="no-print mt-3 flex flex-wrap items-end gap-4">
        <TurnChoice bike={bike} everyKm={everyKm} />
        {next && (
          <Link to={OPENS.fitChain} className={buttonLook('plain')}>
            {words.swapTheChain}
          </Link>
        )}
        <HookTags chains={named} bike={name} />
      </div>
    </Section>
  )
}
