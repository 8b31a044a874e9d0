import type { Entry } from '../src/core/log/entries.ts'
import { replay } from '../src/core/log/replay.ts'
import { bikeReport, chainsOfRoad } from '../src/core/strategy/facts/bike-report.ts'
import { mileStrip } from '../src/core/strategy/mile-strip.ts'
import { remindersOf } from '../src/core/strategy/reminders.ts'
import { verdictOf } from '../src/core/strategy/verdict.ts'
import { riderGroups } from '../src/core/strategy/rider-ask.ts'

/** The first number in an answer that is none, by the way to it; infinite ones are allowed where they mean "never". */
function notANumber(value: unknown, way = ''): string | undefined {
  if (typeof value === 'number') return Number.isNaN(value) ? way : undefined
  if (typeof value !== 'object' || value === null) return undefined
  const parts = value instanceof Map ? [...value.entries()] : Object.entries(value)
  for (const [key, part] of parts) {
    const found = notANumber(part, `${way}.${String(key)}`)
    if (found !== undefined) return found
  }
  return undefined
}

/**
 * Works out of a log all that the screens ask of the core, but for the wear model's draws.
 * @returns what went wrong, in a few words; undefined where nothing did
 */
export function faultOfAnswers(entries: readonly Entry[], now: string): string | undefined {
  try {
    const garage = replay(entries)
    const reports = [...garage.bikes.values()].map((bike) => bikeReport(garage, bike, now))
    const groups = riderGroups(garage, now)
    const strips = reports.map((report) => mileStrip(garage, report, chainsOfRoad(garage, report)))
    const judged = reports.map((report) => ({ report, verdict: verdictOf(report, undefined) }))
    const reminders = remindersOf(judged)
    const fault = groups.find((group) => group.fault !== undefined)?.fault
    if (fault !== undefined) return `the question to the model: ${fault}`
    return notANumber([reports, groups.map(({ ask }) => ask), strips, judged, reminders])
  } catch (error) {
    return error instanceof Error ? `${error.name}: ${error.message}` : String(error)
  }
}
