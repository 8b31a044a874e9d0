import type { CogRisk } from '../../core/strategy/facts/teeth-facts.ts'
import type { WornTeeth } from '../../core/strategy/facts/facts.ts'
import { SKIP_DOUBTFUL, SKIP_LIKELY } from '../../core/strategy/facts/teeth-facts.ts'
import type { Sprocket } from '../../core/strategy/facts/sprockets.ts'
import { worstWord } from '../../core/strategy/wear-word.ts'
import { sayCogs } from '../../words/advice.ts'
import { sayChance, sayCount, sayList } from '../../words/numbers.ts'
import { words } from '../../words/stations/teeth/say-teeth.ts'
import { WORD_NAMES, ROLE_NAMES } from '../../words/names.ts'

/** A sprocket by its name: "cog 13", "guide pulley, 11". */
export const nameOf = ({ role, teeth }: Pick<Sprocket, 'role' | 'teeth'>): string =>
  role === 'cog' || role === 'ring' ? `${ROLE_NAMES[role]} ${teeth}` : `${ROLE_NAMES[role]}, ${teeth}`

/** What is said of the teeth by eye alone, while nothing better is known. */
export function sayLooks(name: string, sprockets: readonly Sprocket[]): string {
  const looked = sprockets.filter((sprocket) => sprocket.look)
  const worst = worstWord(looked.flatMap(({ look }) => (look ? [look.word] : [])))
  if (!worst) return words.sTeethHaveNot(name)
  const those = looked.filter(({ look }) => look?.word === worst)
  const cogs = those.filter(({ role }) => role === 'cog').map(({ teeth }) => String(teeth))
  const others = those
    .filter(({ role }) => role !== 'cog')
    .map((one) => (one.role === 'ring' ? nameOf(one) : ROLE_NAMES[one.role]))
  const names = sayList([
    ...(cogs.length > 0 ? [`${cogs.length > 1 ? words.cogs : words.cog} ${sayList(cogs)}`] : []),
    ...others,
  ])
  switch (worst) {
    case 'fresh':
    case 'good':
      return words.sTeethLook(name, WORD_NAMES[worst])
    case 'watch':
      return words.watchS(name, names)
    case 'swap':
      return words.swapThe(name, names)
    case 'spent':
      return words.sSpent(name, names, those.length === 1 ? words.is : words.are)
  }
}

/** The answer about a bike's cogs, in parts: what happens, what to do about it, and the rest. */
export interface TeethSaid {
  readonly subject: string
  readonly strong: string
  readonly advice: string
  readonly detail: string
}

/** Those on which a chain skips: where it is likely, else where it may. */
function badOf(cogs: readonly CogRisk[], riskOf: (cog: CogRisk) => number) {
  const worst = cogs.reduce((most, cog) => Math.max(most, riskOf(cog)), 0)
  const from = worst >= SKIP_LIKELY ? SKIP_LIKELY : SKIP_DOUBTFUL
  return { worst, bad: cogs.filter((cog) => riskOf(cog) >= from) }
}

/** Rings and pulleys that are worn out, and what follows. */
export function sayOthersWorn(worn: readonly WornTeeth[]): string {
  const said = worn.flatMap(({ sprocket, word, byEyeAlone }) => {
    const { role } = sprocket
    if (role === 'cog') return []
    const name = role === 'ring' ? words.ring(sprocket.teeth) : words.the(ROLE_NAMES[role])
    const state = `${byEyeAlone ? words.looked : words.isProbably} ${word === 'spent' ? words.spent : words.readyToSwap}`
    return [role === 'ring' ? words.aFreshChainWould(name, state) : words.fitANewOne(name, state)]
  })
  return said.join(' ')
}

/** What a used chain means on these cogs: the one that is on, or one from the shelf. */
export function sayChainAsked(cogs: readonly CogRisk[], name: string | undefined): TeethSaid {
  const { worst, bad } = badOf(cogs, ({ asked = 0 }) => asked)
  const fresh = badOf(cogs, (cog) => cog.fresh)
  const risk = words.riskThatItSkips(sayChance(worst), cogs.length === 1 ? '' : words.onTheWorst)
  const subject = name === undefined ? words.theChainThatIsOn : `${name} `
  if (worst < SKIP_DOUBTFUL) {
    const runs = name === undefined ? words.runs : words.willRun
    return {
      subject,
      strong: cogs.length === 1 ? words.onTheCog(runs) : words.onAllCogs(runs),
      advice: '',
      detail:
        fresh.worst < SKIP_DOUBTFUL
          ? words.soWillAFresh(risk)
          : words.aFreshOneSkip(
              risk,
              fresh.worst >= SKIP_LIKELY ? words.willProbably : words.may,
              sayCogs(fresh.bad.map(({ teeth }) => teeth)),
            ),
    }
  }
  const isLikely = worst >= SKIP_LIKELY
  return {
    subject,
    strong: words.skipOn(isLikely ? words.willProbably : words.may, sayCogs(bad.map(({ teeth }) => teeth))),
    advice: isLikely ? words.orLeaveOnTheChain(replaceWhat(bad)) : words.keepTheOneThatIsOn,
    detail: risk,
  }
}

/** What the cogs mean for the chain that is on and for a fresh one. */
export function sayCogRisks(cogs: readonly CogRisk[]): TeethSaid {
  const now = badOf(cogs, (cog) => cog.now ?? 0)
  const fresh = badOf(cogs, (cog) => cog.fresh)
  if (now.worst >= SKIP_DOUBTFUL)
    return {
      subject: words.theChainThatIsOn,
      strong: words.skipOn(
        now.worst >= SKIP_LIKELY ? words.willProbably : words.may,
        sayCogs(now.bad.map(({ teeth }) => teeth)),
      ),
      advice: words.doNotRideItHard(replaceWhat(now.bad)),
      detail: words.underAHardPush(sayChance(now.worst)),
    }
  if (fresh.worst < SKIP_DOUBTFUL)
    return {
      subject: words.aFreshChain,
      strong: cogs.length === 1 ? words.willRunOnTheCog : words.willRunOnAll,
      advice: '',
      detail: words.riskThatItSkips(sayChance(fresh.worst), cogs.length === 1 ? '' : words.onTheWorst),
    }
  const isLikely = fresh.worst >= SKIP_LIKELY
  const isMany = fresh.bad.length > 1
  const doubtful = cogs.filter((cog) => cog.fresh >= SKIP_DOUBTFUL && !fresh.bad.includes(cog))
  const good = cogs.length - fresh.bad.length - doubtful.length
  return {
    subject: words.aFreshChain,
    strong: words.skipOn(
      isLikely ? words.willProbably : words.may,
      sayCogs(fresh.bad.map(({ teeth }) => teeth)),
    ),
    advice: isLikely ? words.orKeepTheOld(replaceWhat(fresh.bad)) : words.keepTheOldChain,
    detail: [
      words.underAHardPushOn(sayChance(fresh.worst)),
      isLikely && areSoldSingly(fresh.bad)
        ? words.soldSinglyTakeOfTheSame(
            isMany ? words.theyAre : words.itIs,
            isMany ? words.those : words.one,
            isMany ? words.their : words.its,
          )
        : '',
      isLikely ? words.newCogsWantAFresh : '',
      doubtful.length > 0
        ? words.itMaySkipOnToo(
            sayCogs(doubtful.map(({ teeth }) => teeth)),
            sayChance(Math.max(...doubtful.map((cog) => cog.fresh))),
          )
        : '',
      good > 0 ? words.theOtherGoodForAnother(sayCount(good, 'cog'), good === 1 ? words.is : words.are) : '',
    ]
      .filter(Boolean)
      .join(' '),
  }
}

const areSoldSingly = (bad: readonly CogRisk[]): boolean => bad.every(({ soldSingly }) => soldSingly)

const replaceWhat = (bad: readonly CogRisk[]): string =>
  areSoldSingly(bad)
    ? words.replace(bad.length > 1 ? words.thoseCogs : words.thatCog)
    : words.replaceTheCassette
