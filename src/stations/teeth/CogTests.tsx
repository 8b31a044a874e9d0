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

const TEST_NAMES: Readonly<Record<NextTest, string>> = {
  look: 'a look at it',
  tool: 'the cog-check tool',
  ride: 'a hard push with a fresh chain',
}

/** Tool and road at odds: which counts more, and why. */
function sayAtOdds(tests: readonly CogTestEntry[]): string | undefined {
  const has = (by: CogTestEntry['by'], result: CogTestEntry['result']): boolean =>
    tests.some((test) => test.by === by && test.result === result)
  if (has('tool', 'held') && has('ride', 'slipped'))
    return 'The tool passed it, and the chain skipped on the road. The ride counts more: the tool misses 4 in 10 bad cogs.'
  if (has('tool', 'slipped') && has('ride', 'held'))
    return 'The tool condemned it, and it held on the road. The ride counts more: the tool condemns 1 in 20 good cogs.'
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
  const wrong = `The chance to be wrong about a fresh chain on this cog is ${sayChance(now)}`
  if (tests.length === 0) return `${wrong}. No one test would tell much more.`
  return `${wrong}; ${tests.map((test) => `${sayChance(after[test])} after ${TEST_NAMES[test]}`).join(', ')}.`
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
        ? `Cog ${sprocket.teeth}: the tool ${result === 'held' ? 'passed' : 'condemned'} it.`
        : `Cog ${sprocket.teeth}: the chain ${result === 'held' ? 'held' : 'skipped'} on it.`
    await record(
      [{ kind: 'cog-test', at: now, part: sprocket.part.entry.part, cog: sprocket.teeth, by, result }],
      said,
    )
  })
  const atOdds = sayAtOdds(tests)
  const worth = teeth && state.outlook && sayWorth(state.outlook, teeth, isRide)
  return (
    <div className="border-t border-hairline pt-3">
      <h3 className="text-[0.98rem] font-semibold">Under load</h3>
      {atOdds && <p className="mt-1 text-[0.95rem]">{atOdds}</p>}
      <div className="mt-2 flex flex-wrap gap-2">
        <Button onClick={() => write('ride', 'slipped')}>It skipped on a ride</Button>
        <Button onClick={() => write('tool', 'held')}>The tool passed it</Button>
        <Button onClick={() => write('tool', 'slipped')}>The tool condemned it</Button>
      </div>
      {worth && <p className="mt-3 text-sm text-steel">{worth}</p>}
      {!isRide && (
        <p className="mt-2 text-sm text-steel">
          Road tests are not offered.{' '}
          <Button look="link" onClick={() => offerRides(true)}>
            Offer them again
          </Button>
        </p>
      )}
      {isRide && (
        <details className="mt-2">
          <summary className="min-h-11 cursor-pointer py-2 underline underline-offset-4">
            Last of all: a test on the road
          </summary>
          <CautionNote>
            A skip throws your knee into the bar. Only seated, slowly, on clear ground; never standing. You
            never need this test: leave it out if you like.
          </CautionNote>
          <div className="mt-2 flex flex-wrap gap-2">
            <Button onClick={() => write('ride', 'held')}>It held under a hard push</Button>
            <Button look="link" onClick={() => offerRides(false)}>
              Never offer this again
            </Button>
          </div>
        </details>
      )}
    </div>
  )
}
