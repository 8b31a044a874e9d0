import { useForecasts } from '../session/use-forecasts.ts'
import { Button } from '../ui/parts/Button.tsx'
import { words } from '../words/app/working-line.ts'

/** That the forecasts are being worked out, how far that has come, and the way to stop it: under the bar, on every station. */
export function WorkingLine() {
  const { groups, stop, resume } = useForecasts()
  const working = groups.filter(({ progress }) => progress !== undefined)
  const waiting = groups.filter(({ fresh, stopped, fault }) => !fresh && !stopped && fault === undefined)
  const left = groups.filter(({ stopped, fault }) => stopped || fault !== undefined)
  const share = (groups.length - waiting.length + (working[0]?.progress ?? 0)) / Math.max(1, groups.length)
  return (
    // In the margin above the answer, where there is one, so that nothing moves when it comes and goes.
    <div role="status" className="no-print mx-auto max-w-[80rem] px-9 max-md:px-4 md:h-0">
      {waiting.length > 0 ? (
        <p className="flex min-h-7 items-center gap-3 text-sm text-steel max-md:pt-2">
          <span className="relative block h-px w-40 shrink-0 bg-hairline max-md:w-16" aria-hidden="true">
            <span
              className="absolute inset-y-0 left-0 -my-px block h-[3px] bg-petrol"
              style={{ width: `${Math.round(100 * share)}%` }}
            />
          </span>
          <span>{words.workingOutTheChains}</span>
          <Button look="link" onClick={stop}>
            {words.notNow}
          </Button>
        </p>
      ) : left.length > 0 ? (
        <p className="flex min-h-7 items-center gap-3 text-sm text-steel max-md:pt-2">
          {left.some(({ fault }) => fault !== undefined)
            ? words.theChainsCouldNot
            : words.stoppedTheAnswersShown}
          <Button look="link" onClick={resume}>
            {words.workItOut}
          </Button>
        </p>
      ) : null}
    </div>
  )
}
