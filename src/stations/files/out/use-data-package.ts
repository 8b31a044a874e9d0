import { useEffect, useRef, useState } from 'react'
import { withoutPeopleIn } from '../../../core/log/left-out.ts'
import { replay } from '../../../core/log/replay.ts'
import { useOpenLog } from '../../../session/log-context.ts'
import { useForecasts } from '../../../session/use-forecasts.ts'
import { useAllJudged } from '../../../session/verdicts.ts'
import { saveBytes } from '../../../ui/save-file.ts'
import { kindName } from '../../../words/kind-names.ts'
import { minorPerMajor } from '../../../words/money.ts'

/** How making a data package stands. */
export type PackageState =
  | { readonly at: 'waiting' }
  | { readonly at: 'making'; readonly share: number }
  | { readonly at: 'saved'; readonly bytes: number }
  | { readonly at: 'failed' }

const drawn = (): Promise<void> => new Promise((resolve) => setTimeout(resolve))

/**
 * Makes the data package as soon as the forecasts in it are of the log as it is, and hands it over. Leaving the page, or
 * taking whoever uses this off it, stops it.
 */
export function useDataPackage(withoutPeople: boolean): PackageState {
  const { garage, entries, now, pictures, world } = useOpenLog()
  const judged = useAllJudged()
  const { groups } = useForecasts()
  const [state, setState] = useState<PackageState>({ at: 'waiting' })
  const begun = useRef(false)
  const isReady = groups.every((group) => group.fresh || group.fault !== undefined || group.stopped)
  useEffect(() => {
    if (!isReady || begun.current) return undefined
    begun.current = true
    let isWanted = true
    const make = async (): Promise<void> => {
      const { dataPackageSteps } = await import('../../../formats/data-package/data-package.ts')
      const steps = dataPackageSteps({
        garage: withoutPeople ? replay(withoutPeopleIn(entries, kindName)) : garage,
        now,
        world,
        minorPerMajor,
        withoutPeople,
        forecasts: judged.map(({ report, answer, verdict }) => ({ report, answer, verdict })),
        pictures: await pictures.all(),
      })
      for (let step = steps.next(); isWanted; step = steps.next()) {
        if (step.done) {
          const name = `jolt-mile-data-${world === 'demo' ? 'demo-' : ''}${now.slice(0, 10)}.zip`
          saveBytes(name, step.value, 'application/zip')
          return setState({ at: 'saved', bytes: step.value.length })
        }
        setState({ at: 'making', share: step.value.done / step.value.of })
        await drawn()
      }
    }
    make().catch(() => isWanted && setState({ at: 'failed' }))
    return () => {
      isWanted = false
      begun.current = false
    }
    // The log of the press is written, whatever is added meanwhile.
  }, [isReady])
  return state
}
