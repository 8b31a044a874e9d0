import type { CogTestEntry } from '../../core/log/kinds/cog-test.ts'
import type { ToothState } from '../../core/strategy/facts/tooth-state.ts'
import { testWorth, type NextTest } from '../../core/teeth/next-test.ts'
import type { SprocketOutlook, TeethOutlook } from '../../core/teeth/teeth-outlook.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { CautionNote } from '../../ui/parts/Empty.tsx'
import { sayChance } from '../../words/numbers.ts'
import { useInTurn } from '../../ui/use-in-turn.ts'
import { useRideTests } from './ride-tests.ts'
import { words } from '../../words/stations/teeth/cog-tests.ts'

const TEST_NAMES: Readonly<Record<NextTest, string>> = {
  look: words.aLookAtIt,
  tool: words.theCogCheckTool,
  ride: words.aHardPushWithAFresh,
}

/** Tool and road at odds: which counts more, and why. */
function sayAtOdds(tests: readonly CogTestEntry[]): string | undefined {
  const has = (by: CogTestEntry['by'], result: CogTestEntry['result']): boolean =>
    tests.some((test) => test.by === by && test.result === result)
  if (has('tool', 'held') && has('ride', 'slipped')) return words.theToolPassedItAndThe
  if (has('tool', 'slipped') && has('ride', 'held')) return words.theToolCondemnedItAndIt
  return undefined
}

/** A chance to be wrong that is worth asking after, and a test that leaves less than this share of it. */
const WORTH_ASKING = 0.05
const TELLS = 0.85

/** What each test would tell of this cog, the best first. */
function sayWorth(outlook: SprocketOutlook, teeth: TeethOutlook, isRide: boolean): string | undefined {
  const { now, after } = testWorth(outlook, teeth)
  if (now < WORTH_ASKING) return undefined
  const tests = (['look', 'tool', ...(isRide ? (['ride'] as const) : [])] as const)
    .filter((test) => after[test] < TELLS * now)
    .sort((a, b) => after[a] - after[b])
  const wrong = words.theChanceToBe(sayChance(now))
  if (tests.length === 0) return words.noOneTestWould(wrong)
  return `${wrong}; ${tests.map((test) => words.after(sayChance(after[test]), TEST_NAMES[test])).join(', ')}.`
}

interface Props {
  readonly state: ToothState
  readonly teeth: TeethOutlook | undefined
}

/** What was found out under load: by the tool, and on the road. */
export function CogTests({ state, teeth }: Props) {
  const { record, now } = useOpenLog()
  const [isRide, offerRides] = useRideTests()
  const { sprocket, tests } = state
  const write = useInTurn(async (by: CogTestEntry['by'], result: CogTestEntry['result']) => {
    const said =
      by === 'tool'
        ? words.cogTheToolIt(sprocket.teeth, result === 'held' ? words.passed : words.condemned)
        : words.cogTheChainOnIt(sprocket.teeth, result === 'held' ? words.held : words.skipped)
    await record(
      [{ kind: 'cog-test', at: now, part: sprocket.part.entry.part, cog: sprocket.teeth, by, result }],
      said,
    )
  })
  const atOdds = sayAtOdds(tests)
  const worth = teeth && state.outlook && sayWorth(state.outlook, teeth, isRide)
  return (
    <div className="border-t border-hairline pt-3">
      <h3 className="text-[0.98rem] font-semibold">{words.underLoad}</h3>
      {atOdds && <p className="mt-1 text-[0.95rem]">{atOdds}</p>}
      <div className="mt-2 flex flex-wrap gap-2">
        <Button onClick={() => write('ride', 'slipped')}>{words.itSkippedOnARide}</Button>
        <Button onClick={() => write('tool', 'held')}>{words.theToolPassedIt}</Button>
        <Button onClick={() => write('tool', 'slipped')}>{words.theToolCondemnedIt}</Button>
      </div>
      {worth && <p className="mt-3 text-sm text-steel">{worth}</p>}
      {!isRide && (
        <p className="mt-2 text-sm text-steel">
          {words.roadTestsAreNot}{' '}
          <Button look="link" onClick={() => offerRides(true)}>
            {words.offerThemAgain}
          </Button>
        </p>
      )}
      {isRide && (
        <details className="mt-2">
          <summary className="min-h-11 cursor-pointer py-2 underline underline-offset-4">
            {words.lastOfAllATest}
          </summary>
          <CautionNote>{words.aSkipThrowsYour}</CautionNote>
          <div className="mt-2 flex flex-wrap gap-2">
            <Button onClick={() => write('ride', 'held')}>{words.itHeldUnderAHard}</Button>
            <Button look="link" onClick={() => offerRides(false)}>
              {words.neverOfferThisAgain}
            </Button>
          </div>
        </details>
      )}
    </div>
  )
}
