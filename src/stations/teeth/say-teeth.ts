import type { CogRisk } from '../../core/strategy/facts/teeth-facts.ts'
import type { WornTeeth } from '../../core/strategy/facts/facts.ts'
import { SKIP_DOUBTFUL, SKIP_LIKELY } from '../../core/strategy/facts/teeth-facts.ts'
import type { Sprocket } from '../../core/strategy/facts/sprockets.ts'
import { worstWord } from '../../core/strategy/wear-word.ts'
import { sayCogs } from '../../words/advice.ts'
import { sayChance, sayCount, sayList } from '../../words/numbers.ts'

/** A sprocket by its name: "cog 13", "guide pulley, 11". */
export const nameOf = ({ role, teeth }: Pick<Sprocket, 'role' | 'teeth'>): string =>
  role === 'cog' || role === 'ring' ? `${role} ${teeth}` : `${role}, ${teeth}`

/** What is said of the teeth by eye alone, while nothing better is known. */
export function sayLooks(name: string, sprockets: readonly Sprocket[]): string {
  const looked = sprockets.filter((sprocket) => sprocket.look)
  const worst = worstWord(looked.flatMap(({ look }) => (look ? [look.word] : [])))
  if (!worst) return `${name}’s teeth have not been checked yet.`
  const those = looked.filter(({ look }) => look?.word === worst)
  const cogs = those.filter(({ role }) => role === 'cog').map(({ teeth }) => String(teeth))
  const others = those
    .filter(({ role }) => role !== 'cog')
    .map((one) => (one.role === 'ring' ? nameOf(one) : one.role))
  const names = sayList([
    ...(cogs.length > 0 ? [`${cogs.length > 1 ? 'cogs' : 'cog'} ${sayList(cogs)}`] : []),
    ...others,
  ])
  switch (worst) {
    case 'fresh':
    case 'good':
      return `${name}’s teeth look ${worst}.`
    case 'watch':
      return `Watch ${name}’s ${names}.`
    case 'swap':
      return `${name}: swap the ${names}.`
    case 'spent':
      return `${name}’s ${names} ${those.length === 1 ? 'is' : 'are'} spent.`
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
    const name = role === 'ring' ? `Ring ${sprocket.teeth}` : `The ${role}`
    const state = `${byEyeAlone ? 'looked' : 'is probably'} ${word === 'spent' ? 'spent' : 'ready to swap'}`
    return [
      role === 'ring'
        ? `${name} ${state}: a fresh chain would wear with it, so replace it first.`
        : `${name} ${state}: fit a new one with the chain.`,
    ]
  })
  return said.join(' ')
}

/** What a used chain means on these cogs: the one that is on, or one from the shelf. */
export function sayChainAsked(cogs: readonly CogRisk[], name: string | undefined): TeethSaid {
  const { worst, bad } = badOf(cogs, ({ asked = 0 }) => asked)
  const fresh = badOf(cogs, (cog) => cog.fresh)
  const risk = `Risk that it skips under a hard push: ${sayChance(worst)}${cogs.length === 1 ? '' : ' on the worst'}.`
  const subject = name === undefined ? 'The chain that is on ' : `${name} `
  if (worst < SKIP_DOUBTFUL) {
    const runs = name === undefined ? 'runs' : 'will run'
    return {
      subject,
      strong: cogs.length === 1 ? `${runs} on the cog.` : `${runs} on all cogs.`,
      advice: '',
      detail:
        fresh.worst < SKIP_DOUBTFUL
          ? `${risk} So will a fresh one.`
          : `${risk} A fresh one ${fresh.worst >= SKIP_LIKELY ? 'will probably' : 'may'} skip on ${sayCogs(fresh.bad.map(({ teeth }) => teeth))}.`,
    }
  }
  const isLikely = worst >= SKIP_LIKELY
  return {
    subject,
    strong: `${isLikely ? 'will probably' : 'may'} skip on ${sayCogs(bad.map(({ teeth }) => teeth))}.`,
    advice: isLikely
      ? ` ${replaceWhat(bad)}, or leave on the chain that is on.`
      : ' Keep the one that is on.',
    detail: risk,
  }
}

/** What the cogs mean for the chain that is on and for a fresh one. */
export function sayCogRisks(cogs: readonly CogRisk[]): TeethSaid {
  const now = badOf(cogs, (cog) => cog.now ?? 0)
  const fresh = badOf(cogs, (cog) => cog.fresh)
  if (now.worst >= SKIP_DOUBTFUL)
    return {
      subject: 'The chain that is on ',
      strong: `${now.worst >= SKIP_LIKELY ? 'will probably' : 'may'} skip on ${sayCogs(now.bad.map(({ teeth }) => teeth))}.`,
      advice: ` Do not ride it hard. ${replaceWhat(now.bad)}.`,
      detail: `Under a hard push: ${sayChance(now.worst)} on the worst. A fresh chain would skip sooner still.`,
    }
  if (fresh.worst < SKIP_DOUBTFUL)
    return {
      subject: 'A fresh chain ',
      strong: cogs.length === 1 ? 'will run on the cog.' : 'will run on all cogs.',
      advice: '',
      detail: `Risk that it skips under a hard push: ${sayChance(fresh.worst)}${cogs.length === 1 ? '' : ' on the worst'}.`,
    }
  const isLikely = fresh.worst >= SKIP_LIKELY
  const isMany = fresh.bad.length > 1
  const doubtful = cogs.filter((cog) => cog.fresh >= SKIP_DOUBTFUL && !fresh.bad.includes(cog))
  const good = cogs.length - fresh.bad.length - doubtful.length
  return {
    subject: 'A fresh chain ',
    strong: `${isLikely ? 'will probably' : 'may'} skip on ${sayCogs(fresh.bad.map(({ teeth }) => teeth))}.`,
    advice: isLikely
      ? ` ${replaceWhat(fresh.bad)}, or keep the old chain.`
      : ' Keep the old chain when you fit one.',
    detail: [
      `Under a hard push: ${sayChance(fresh.worst)} on the worst.`,
      isLikely && areSoldSingly(fresh.bad)
        ? `${isMany ? 'They are' : 'It is'} sold singly; take ${isMany ? 'those' : 'one'} of the same family, with ${isMany ? 'their' : 'its'} spacer.`
        : '',
      isLikely ? 'New cogs want a fresh chain: a worn one would shape them to itself.' : '',
      doubtful.length > 0
        ? `It may skip on ${sayCogs(doubtful.map(({ teeth }) => teeth))} too: ${sayChance(Math.max(...doubtful.map((cog) => cog.fresh)))} at most.`
        : '',
      good > 0
        ? `The other ${sayCount(good, 'cog')} ${good === 1 ? 'is' : 'are'} good for another chain.`
        : '',
    ]
      .filter(Boolean)
      .join(' '),
  }
}

const areSoldSingly = (bad: readonly CogRisk[]): boolean => bad.every(({ soldSingly }) => soldSingly)

const replaceWhat = (bad: readonly CogRisk[]): string =>
  areSoldSingly(bad) ? `Replace ${bad.length > 1 ? 'those cogs' : 'that cog'}` : 'Replace the cassette'
