import { ITEM_IDS, itemOf, type ItemId } from '../../checks/items.ts'
import type { BikeId, IsoTime } from '../../log/entry.ts'
import type { Garage } from '../../log/garage.ts'
import { checkKey } from '../../log/kinds/check.ts'
import { thicknessKey } from '../../log/kinds/thickness.ts'

const PREFIX = 'check-'

/** The id of the job that a finding becomes at a visit. */
export const jobOfItem = (item: ItemId): string => `${PREFIX}${item}`

/** The item that a job came from; undefined for any other job. */
export const itemOfJob = (job: string): ItemId | undefined =>
  job.startsWith(PREFIX) ? ITEM_IDS.find((item) => jobOfItem(item) === job) : undefined

/** Whether what an item measures was fitted new since a moment. */
export const isRenewedSince = (garage: Garage, bike: BikeId, item: ItemId, since: IsoTime): boolean =>
  (itemOf(item).measures ?? []).some((part) =>
    garage.listed.thickness.get(thicknessKey(bike, part))?.some(({ isNew, at }) => isNew && at > since),
  )

/** Whether an item passed its last check, since a moment. */
export function isPassedSince(garage: Garage, bike: BikeId, item: ItemId, since: IsoTime): boolean {
  const last = garage.listed.check.get(checkKey(bike, item))?.at(-1)
  return last !== undefined && last.at > since && last.result === 'pass'
}
