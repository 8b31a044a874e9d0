import type { Condition } from '../../core/exposure/conditions.ts'
import type { EventEntry } from '../../core/log/kinds/event.ts'
import type { WearAnswer } from '../../core/wear/outlook.ts'
import type { Ink } from './ink.ts'

/** Something planned, along a chain's distance, km. */
export interface Planned {
  readonly name: string
  readonly condition: Condition
  readonly from: number
  readonly to: number
}

/** Events on a bike, along the distance of the chain it has on. */
export const plannedAlong = (
  events: readonly EventEntry[],
  answer: WearAnswer,
  todayKm: number,
): readonly Planned[] =>
  answer.events.flatMap(({ event, beginsKm }) => {
    const planned = events.find((one) => one.event === event)
    const from = todayKm + beginsKm.p50
    return planned ? [{ name: planned.name, condition: planned.condition, from, to: from + planned.km }] : []
  })

/** The same as a chart shows it: a tinted stretch with its name. */
export const plannedAreas = (ink: Ink, planned: readonly Planned[], scale: (km: number) => number) =>
  planned.length > 0
    ? {
        markArea: {
          silent: true,
          itemStyle: { color: ink.petrol, opacity: 0.1 },
          label: { position: 'insideBottom' as const, color: ink.petrol, fontSize: 12, opacity: 1 },
          data: planned.map(({ name, from, to }): [{ name: string; xAxis: number }, { xAxis: number }] => [
            { name, xAxis: scale(from) },
            { xAxis: scale(to) },
          ]),
        },
      }
    : {}
