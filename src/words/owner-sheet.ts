import type { IsoTime } from '../core/log/entry.ts'
import type { Garage } from '../core/log/garage.ts'
import type { VisitEntry, VisitJob } from '../core/log/kinds/visit.ts'
import { jobCost } from '../core/strategy/job/job-choice.ts'
import type { BikeReport } from '../core/strategy/facts/bike-report.ts'
import { lubeAhead } from '../core/strategy/when.ts'
import type { Verdict } from '../core/strategy/verdict.ts'
import { addDays } from '../core/units/days.ts'
import type { Interval } from '../core/stats/interval.ts'
import type { WearAnswer } from '../core/wear/outlook.ts'
import type { PaperSheet } from '../core/paper/paper-sheet.ts'
import type { Units } from '../core/units/units.ts'
import { sayFinding } from './checks/check-words.ts'
import { sayWearAhead, sayWearNow, WEARING_NAMES } from './checks/wearing-words.ts'
import { sayAction, sayCaution, sayReason } from './advice.ts'
import { JOB_NAMES, sayBy } from './job-words.ts'
import { sayExactMoney } from './money.ts'
import {
  sayAboutKm,
  sayChance,
  sayDay,
  sayFigure,
  sayFullDay,
  sayKm,
  sayLimit,
  sayPercent,
} from './numbers.ts'
import { sayLastReading, sayLimitDates, sayNextLook } from './verdict.tsx'

/** A new chain of which nothing is known is measured after so many km. A judgement. */
const FIRST_LOOK_KM = 500

/** What was found on a drivetrain, sentence by sentence, for somebody who was not there. */
export function sayFindings(
  report: BikeReport,
  answer: WearAnswer | undefined,
  verdict: Verdict,
  garage: Garage,
  units: Units,
): readonly string[] {
  const { chain, limit, now } = report
  const beside = sayBeside(report, units)
  if (!chain) return ['No chain is entered for this bike.', ...beside]
  const used = chain.used.length
  const measured =
    answer && chain.lastReadingAt !== undefined
      ? [
          `The chain has lengthened by ${sayPercent(answer.now.mean)}, probably ${sayFigure(answer.now.p05)} to ${sayFigure(answer.now.p95)}. On this bike it is changed at ${sayLimit(limit.percent)}\u00a0%.`,
          `That rests on ${used} ${used === 1 ? 'reading' : 'readings'}, ${sayLastReading(chain, now)}, after ${sayKm(chain.story.km, units)} on this chain.`,
        ]
      : ['The chain has not been measured yet.']
  const teeth = verdict.reasons.filter(({ kind }) =>
    ['skips', 'worn-teeth', 'cogs-shaped', 'bad-links', 'tools-disagree'].includes(kind),
  )
  return [
    ...measured,
    `What to do: ${sayAction(verdict, units)}${verdict.confidence === undefined ? '' : ` Confidence: ${sayChance(verdict.confidence)}.`}`,
    ...teeth.map((reason) => sayReason(reason, units, garage.tools)),
    ...beside,
  ]
}

/** What the checks found beside the drivetrain: what is watched, and what wears and was measured. What is mended stands in the jobs. */
function sayBeside({ findings, wearing, now }: BikeReport, units: Units): readonly string[] {
  const watched = findings.filter(({ check: { result }, isDue }) => result === 'watch' && !isDue)
  return [
    ...watched.map((finding) => `To watch: ${sayFinding(finding, units, now)}`),
    ...wearing
      .filter(({ isGuess, law }) => !isGuess && law.gets !== 'older')
      .map(
        (one) => `${WEARING_NAMES[one.part]}: ${sayWearNow(one, units)}; ${sayWearAhead(one, units, now)}.`,
      ),
  ]
}

/**
 * What to expect of a new chain.
 * @param km how far it will go; undefined where that is not known
 */
export function sayNewChain(
  { now, plan }: BikeReport,
  km: Interval | undefined,
  units: Units,
): readonly string[] {
  if (!km) return [`The new chain: measure it after about ${sayAboutKm(FIRST_LOOK_KM, units)}.`]
  const dayAfter = (distance: number): string =>
    plan.weeklyKm > 0 ? `, around ${sayDay(addDays(now, (7 * distance) / plan.weeklyKm), now)}` : ''
  const { p10, p50, p90 } = km
  return [
    `The new chain: measure it after about ${sayAboutKm(p10, units)}${dayAfter(p10)}.`,
    `It will probably last ${sayAboutKm(p10, units)} to ${sayAboutKm(p90, units)}; about half such chains are at their limit after ${sayAboutKm(p50, units)}${dayAfter(p50)}.`,
  ]
}

/** What to expect from now on of a chain that stays on. */
export function sayExpected(
  report: BikeReport,
  answer: WearAnswer | undefined,
  verdict: Verdict,
  units: Units,
): readonly string[] {
  const { now } = report
  const look = sayNextLook(verdict, units, now)
  const lube = lubeAhead(report, answer)
  return [
    ...(look === '' ? [] : [look]),
    ...(answer && verdict.swap
      ? [
          `The chain reaches its limit in about ${sayAboutKm(answer.toLimitKm.p50, units)}. ${sayLimitDates(answer, now)}`,
        ]
      : []),
    ...(lube && lube.inKm > 0
      ? [
          `Lubricate the chain in about ${sayAboutKm(lube.inKm, units)}${lube.day === undefined ? '' : `, around ${sayDay(lube.day, now)}`}.`,
        ]
      : []),
  ]
}

/**
 * What to take care of.
 * @param isUnsafe something for which the bike must not be ridden was not mended
 */
export const sayCautions = (
  verdict: Verdict,
  isChainNew: boolean,
  isUnsafe = verdict.found?.isStop === true,
): readonly string[] => [
  ...(isUnsafe ? [sayCaution('stop-riding')] : []),
  ...(isChainNew ? [] : verdict.cautions.filter((one) => one !== 'stop-riding').map(sayCaution)),
  'If the chain slips or jumps, do not pedal hard and do not stand: bring the bike back.',
  'Brakes that do not hold, steering that binds, a crack: stop riding. The makers’ instructions come before this sheet.',
]

const priced = (job: VisitJob, { hour, currency }: VisitEntry): string =>
  sayExactMoney(jobCost(job, hour), currency)

/** A visit's sheet for the owner, but for its pictures. */
export function sheetOf(
  visit: VisitEntry,
  bike: { readonly name: string; readonly note: string },
  units: Units,
  now: IsoTime,
): PaperSheet {
  const done = visit.jobs.filter(({ outcome }) => outcome === 'done')
  const left = visit.jobs.filter(({ outcome }) => outcome === 'left')
  const total = done.reduce((sum, job) => sum + jobCost(job, visit.hour), 0)
  // What asks for the app's own jobs is told by the findings themselves.
  const found = visit.jobs.flatMap(({ id, name, found: text }) =>
    text === undefined || text === '' || id in JOB_NAMES ? [] : [`${name}: ${text}`],
  )
  return {
    title: `${bike.name}: what was done, and what comes next`,
    about: [sayFullDay(visit.at), bike.note].filter((one) => one !== '').join(' \u00b7 '),
    sections: [
      { heading: 'What was found', lines: [...(visit.found ?? []), ...found] },
      {
        heading: 'Done',
        lines:
          done.length === 0
            ? ['Nothing this time.']
            : [
                ...done.map((job) => `${job.name}: ${priced(job, visit)}`),
                `Together ${sayExactMoney(total, visit.currency)}, of ${sayExactMoney(visit.sum, visit.currency)}.`,
              ],
      },
      {
        heading: 'Not done, and why',
        lines: left.map(
          (job) =>
            `${job.name} (${priced(job, visit)}): ${job.why ?? 'for another time.'} See to it ${sayBy(job, units, now)}.`,
        ),
      },
      { heading: 'What to expect', lines: visit.expect ?? [] },
      { heading: 'Take care', lines: visit.cautions ?? [] },
    ],
    pictures: [],
    foot: 'Distances and days are estimates from this bike’s rides and readings. 8 in 10 fall within what is said to be probable.',
  }
}
