import { useEffect } from 'react'
import { useNotice } from '../ui/parts/notices.tsx'
import { words } from '../words/app/mishaps.ts'

/** The same again within this, ms, is not told twice. */
const QUIET_MS = 10_000
/** What the policy refuses of these does nothing, and says so to nobody but here. */
const MATTERS = /^(?:worker|script|connect)-src/
/** Told elsewhere, or no fault: a piece that cannot be fetched, and a drawing that is measured again. */
const TOLD_ELSEWHERE = /dynamically imported module|ResizeObserver loop/

/** What went wrong, in its own words; undefined where that is no mishap. */
export function mishapOf(event: Event): string | undefined {
  if (event.type === 'securitypolicyviolation') {
    const { effectiveDirective } = event as SecurityPolicyViolationEvent
    return MATTERS.test(effectiveDirective) ? words.refusedByThePolicy : undefined
  }
  const thrown: unknown =
    event.type === 'unhandledrejection'
      ? (event as PromiseRejectionEvent).reason
      : ((event as ErrorEvent).error ?? (event as ErrorEvent).message)
  if (thrown === undefined || thrown === '') return undefined
  const said =
    thrown instanceof Error
      ? thrown.message || thrown.name
      : typeof thrown === 'string'
        ? thrown
        : (JSON.stringify(thrown) ?? typeof thrown)
  const isStopped = thrown instanceof Error && thrown.name === 'AbortError'
  return isStopped || TOLD_ELSEWHERE.test(said) ? undefined : said
}

/**
 * Hears of whatever nobody else waits for: refused workers and scripts, promises and errors that nobody catches. It tells,
 * and lets go: the page goes on.
 */
export function useMishaps(): void {
  const tell = useNotice()
  useEffect(() => {
    let [last, toldAt] = ['', -Infinity]
    const hear = (event: Event): void => {
      const said = mishapOf(event)
      if (said === undefined || (said === last && performance.now() - toldAt < QUIET_MS)) return
      last = said
      toldAt = performance.now()
      tell(words.somethingFailed(said.slice(0, 160)))
    }
    const kinds = ['error', 'unhandledrejection', 'securitypolicyviolation']
    for (const kind of kinds) window.addEventListener(kind, hear)
    return () => kinds.forEach((kind) => window.removeEventListener(kind, hear))
  }, [tell])
}
