import type { WearWord } from '../log/entry.ts'
import { seededRandom } from '../stats/random.ts'
import { NEW_EYE, TOOL_FALSE, TOOL_FINDS } from '../teeth/evidence.ts'
import { toothWord } from '../teeth/tooth-word.ts'
import { skipRisk, THRESHOLD_SD } from '../teeth/skip.ts'

/** A story of a fresh chain on used cogs. */
export interface SkipStory {
  readonly seed: number
  /** The cog that is ridden most, its teeth. */
  readonly cog: number
  /** Elongation at which the last chain came off, %, and how many chains there were. */
  readonly lastChain: number
  readonly chains: number
  /** How the teeth look. */
  readonly look: WearWord
  /** How far the chain that will be fitted has lengthened, %. */
  readonly nextChain: number
  /** The cog-check tool; absent: nobody has one. */
  readonly tool?: 'pass' | 'condemn'
  /** What its teeth may have shaped themselves to, %: a hundred ways it may be, all of which fit the story. */
  readonly worn: Float64Array
  /** The rider's own threshold in each, %. */
  readonly shift: Float64Array
}

/** So many futures are shown. */
export const FUTURES = 100
/** Ways it may be that are tried; those that fit the story stay. */
const TRIES = 4000

/** How far a cog follows a chain that came off at so much, %: from methods 5, over that chain's life. */
const FOLLOWED = 0.75

/**
 * A story from a seed. Of many cogs of the same history, those whose looks and tool say what the story says are kept: they are the
 * posterior, by rejection.
 */
export function madeUpSkip(seed: number): SkipStory {
  const random = seededRandom(seed)
  const cogs = [11, 13, 15, 17] as const
  const cog = cogs[Math.floor(random.unit() * cogs.length)] ?? 13
  const lastChain = Math.round(20 * random.between(0.4, 1.4)) / 20
  const chains = 1 + Math.floor(random.unit() * 4)
  const nextChain = random.chance(0.8) ? 0 : Math.round(20 * random.between(0.1, 0.4)) / 20
  const draw = (): number =>
    (FOLLOWED * lastChain + 0.06 * (chains - 1)) * Math.exp(random.normal(0, Math.hypot(0.3, 0.15)))
  const truth = draw()
  const look = toothWord(truth + random.normal(0, NEW_EYE.sd))
  const asksTool = random.chance(0.5)
  const toolSays = (worn: number): 'pass' | 'condemn' => {
    const risk = skipRisk(worn, 0, cog)
    return random.chance(TOOL_FINDS * risk + TOOL_FALSE * (1 - risk)) ? 'condemn' : 'pass'
  }
  const tool = asksTool ? toolSays(truth) : undefined
  const fits: number[] = []
  const rest: number[] = []
  for (let i = 0; i < TRIES && fits.length < FUTURES; i++) {
    const worn = draw()
    const isSo =
      toothWord(worn + random.normal(0, NEW_EYE.sd)) === look &&
      (tool === undefined || toolSays(worn) === tool)
    if (isSo) fits.push(worn)
    else rest.push(worn)
  }
  // A story that hardly ever happens is filled up with what comes next to it.
  const worn = [...fits, ...rest].slice(0, FUTURES)
  return {
    seed,
    cog,
    lastChain,
    chains,
    look,
    nextChain,
    ...(tool && { tool }),
    worn: Float64Array.from(worn),
    shift: Float64Array.from(worn, () => random.normal(0, THRESHOLD_SD)),
  }
}

/** What came of a hundred rides with a hard push on the cog. */
export interface SkipFutures {
  /** In each, whether it skipped. */
  readonly skipped: readonly boolean[]
  /** The chance that the app gives it. */
  readonly p: number
}

/** A hundred futures of the story, each with its own luck. */
export function skipFutures({ seed, cog, nextChain, worn, shift }: SkipStory): SkipFutures {
  const random = seededRandom(seed + 1)
  const risks = Array.from(worn, (one, i) => skipRisk(one, nextChain, cog, shift[i]))
  return {
    skipped: risks.map((risk) => random.unit() < risk),
    p: risks.reduce((sum, risk) => sum + risk, 0) / Math.max(1, risks.length),
  }
}
