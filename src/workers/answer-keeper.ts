import type { Asked, AskOptions } from './pool.ts'
import type { Answer, JobName, Question } from './jobs.ts'
import { fewAtATime } from './few-at-a-time.ts'
import { telling } from './telling.ts'

/** Changes are told at most this often, ms. */
const TELL_MS = 200
/** With more than this to tell of, screens are drawn seldom: the time goes to working it out. */
const MANY = 24
const TELL_OF_MANY_MS = 1000

/** So many kept answers are looked up at a time: a workshop's are hundreds, and the page is to be drawn meanwhile. */
const MOST_LOOK_UPS = 16

/** Something that is asked, and what it is about: the same whatever the log says of it. */
export interface Subject<Q> {
  readonly about: string
  readonly question: Q
  /** Why nothing can be asked about it. */
  readonly fault?: string
}

/** What is known of something at the moment. */
export interface Known<A> {
  readonly about: string
  /** The question that it stands with, as text. */
  readonly key: string
  /** The newest there is; of an earlier state of the log where it is not fresh. */
  readonly answer?: A
  readonly fresh: boolean
  /** Share of the work that is done, while it is being done. */
  readonly progress?: number
  readonly stopped?: true
  readonly fault?: string
}

/** An answer from an earlier visit; of another question where it is not the same. */
export interface Kept<A> {
  readonly answer: A
  readonly isSame: boolean
}

/** Where the answers to a job come from, and where they are kept from one visit to the next. */
export interface KeeperMeans<N extends JobName> {
  readonly ask: (question: Question<N>, options: AskOptions<N>) => Asked<Answer<N>>
  /**
   * The kept answer to a question.
   * @param about also one to an earlier question about it will do; absent where a newer one is at hand
   */
  readonly load: (question: string, about: string | undefined) => Promise<Kept<Answer<N>> | undefined>
  readonly save: (question: string, about: string, answer: Answer<N>) => Promise<void>
}

export interface AnswerKeeper<N extends JobName> {
  /** Says what is asked now, and about what. */
  readonly want: (subjects: readonly Subject<Question<N>>[]) => void
  readonly known: () => readonly Known<Answer<N>>[]
  readonly subscribe: (onChange: () => void) => () => void
  /** Has these worked out before the others, where they still wait. */
  readonly first: (about: readonly string[]) => void
  /** Stops what is being worked out, and leaves it. */
  readonly stop: () => void
  /** Takes up again what was stopped or went wrong. */
  readonly resume: () => void
}

interface Held<N extends JobName> extends Known<Answer<N>> {
  readonly question: Question<N>
  /** What was kept from an earlier visit has been looked up. */
  readonly loaded: boolean
}

const texts = new WeakMap<object, string>()
/** A question with bytes in it brings a name of its own, which tells it from others. */
interface NamedQuestion {
  readonly named: string
}
const isNamed = (question: object): question is NamedQuestion =>
  'named' in question && typeof question.named === 'string'

/** A question as text, which tells it from others. Written once for each: it may be long. */
export function questionText(question: object): string {
  const known = texts.get(question)
  if (known !== undefined) return known
  const text = isNamed(question) ? question.named : JSON.stringify(question)
  texts.set(question, text)
  return text
}

/** Something as now asked about, with what is known of an earlier state of the log. */
function heldFor<N extends JobName>(
  { about, question, fault }: Subject<Question<N>>,
  old: Held<N> | undefined,
): Held<N> {
  const key = questionText(question)
  if (old?.key === key) return old
  return {
    about,
    key,
    question,
    fresh: false,
    loaded: false,
    ...(fault !== undefined && { fault }),
    ...(old?.answer !== undefined && { answer: old.answer }),
  }
}

function ended<N extends JobName>(held: Held<N>): Held<N> {
  const { progress: _progress, ...rest } = held
  return rest
}

/** Something after its kept answer was looked up: an older one does where there is none at all. */
function lookedUp<N extends JobName>(one: Held<N>, kept: Kept<Answer<N>> | undefined): Held<N> {
  const known = kept && (kept.isSame || one.answer === undefined) ? { answer: kept.answer } : {}
  const { stopped, ...rest } = one
  const fresh = one.fresh || kept?.isSame === true
  return { ...rest, ...known, loaded: true, fresh, ...(stopped && !fresh && { stopped }) }
}

const isWaiting = <N extends JobName>({ fresh, loaded, stopped, fault }: Held<N>): boolean =>
  loaded && !fresh && !stopped && fault === undefined

/**
 * Keeps answers in step with the log: what was worked out for the same question, now or on an earlier visit, is there
 * at once; what is older is shown as such while it is worked out again.
 */
export function answerKeeper<N extends JobName>({ ask, load, save }: KeeperMeans<N>): AnswerKeeper<N> {
  let held: readonly Held<N>[] = []
  const running = new Map<string, { readonly key: string; readonly asked: Asked<Answer<N>> }>()

  const { subscribe, tell, tellWaiting } = telling(() => (held.length > MANY ? TELL_OF_MANY_MS : TELL_MS))
  const put = (about: string, key: string, change: (one: Held<N>) => Held<N>): void => {
    held = held.map((one) => (one.about === about && one.key === key ? change(one) : one))
    tell()
  }

  const begin = ({ about, key, question, answer: before }: Held<N>): void => {
    const isMine = (): boolean => running.get(about)?.asked === asked
    const asked = ask(question, {
      // What has an older answer to show in the meantime is waited for by nobody.
      isWaitedFor: before === undefined,
      onStep: ({ done, of }) => put(about, key, (one) => (isMine() ? { ...one, progress: done / of } : one)),
    })
    running.set(about, { key, asked })
    put(about, key, (one) => ({ ...one, progress: 0 }))
    // An answer to a question that another has replaced says nothing of the log as it is.
    const end = (change: (one: Held<N>) => Held<N>): void => {
      if (!isMine()) return
      running.delete(about)
      put(about, key, (one) => change(ended(one)))
    }
    asked.done.then(
      (answer) => {
        if (answer === undefined) return end((one) => ({ ...one, stopped: true }))
        // What is called worked out is there at the next visit: it is kept first. A full disk costs that visit a moment, and
        // nothing else.
        const over = (): void => end((one) => ({ ...one, answer, fresh: true }))
        save(key, about, answer).then(over, over)
      },
      (error: unknown) =>
        end((one) => ({ ...one, fault: error instanceof Error ? error.message : String(error) })),
    )
  }

  const stopAll = (isWanted: (about: string, key: string) => boolean): void => {
    for (const [about, { key, asked }] of running) {
      if (isWanted(about, key)) continue
      // Whatever still comes of it is not waited for: it may be asked for again before that.
      running.delete(about)
      asked.stop()
    }
  }

  const beginWaiting = (): void => {
    stopAll((about, key) => held.some((one) => one.about === about && one.key === key))
    for (const one of held) if (isWaiting(one) && !running.has(one.about)) begin(one)
  }

  const lookUp = async ({ about, key, answer }: Held<N>): Promise<void> => {
    const kept = await load(key, answer === undefined ? about : undefined).catch(() => undefined)
    put(about, key, (one) => lookedUp(one, kept))
    beginWaiting()
  }
  // All that was kept is there then: whoever opened the page waits for no more than that.
  const lookUps = fewAtATime(MOST_LOOK_UPS, lookUp, tellWaiting)

  return {
    want: (subjects) => {
      const before = new Map(held.map((one) => [one.about, one]))
      held = subjects.map((subject) => heldFor(subject, before.get(subject.about)))
      tell()
      // What is not asked any longer is not looked up; what waits for it waits on, and what is under way is.
      const waiting = new Map(lookUps.waiting().map((one) => [one.about, one.key]))
      lookUps.wait(
        held.filter(
          (one) => !one.loaded && (waiting.get(one.about) === one.key || before.get(one.about) !== one),
        ),
      )
      beginWaiting()
    },
    known: () => held,
    subscribe,
    first: (about) => {
      // The last to be moved to the front is done first.
      for (const one of [...about].reverse()) running.get(one)?.asked.hurry()
    },
    stop: () => {
      // Also what is still looked up: unless the very answer was kept it would be begun a moment later.
      held = held.map((one) =>
        one.fresh || one.fault !== undefined ? one : { ...ended(one), stopped: true },
      )
      stopAll(() => false)
      tell()
    },
    resume: () => {
      held = held.map(({ stopped: _stopped, fault: _fault, ...one }) => one)
      tell()
      beginWaiting()
    },
  }
}
