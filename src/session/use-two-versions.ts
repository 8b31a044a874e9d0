import { useEffect, useMemo, useState } from 'react'
import type { Entry } from '../core/log/entries.ts'
import { twoVersions, type TwoVersions } from '../core/log/two-versions.ts'
import { entryChecks } from '../formats/entry-checks.ts'
import { useSafeKeeping } from './safe-keeping.ts'

const NONE: readonly Entry[] = []

/**
 * What contradicts between the log and the copies that are kept beside it.
 * @param entries the log, each entry under one id
 */
export function useTwoVersions(entries: readonly Entry[]): readonly TwoVersions[] {
  const { aside } = useSafeKeeping()
  const [others, setOthers] = useState(NONE)
  useEffect(() => {
    const texts = aside.flatMap(({ why, text }) => (why === 'differs' ? [text] : []))
    let isWanted = true
    // Nothing is fetched or drawn where there is nothing to ask about.
    const reading =
      texts.length === 0
        ? Promise.resolve(NONE)
        : entryChecks().then(({ checkEntry }) =>
            texts.flatMap((text) => {
              const checked = checkEntry(JSON.parse(text))
              return checked.outcome === 'sound' ? [checked.entry] : []
            }),
          )
    // Where the checks cannot be fetched the question waits: what is aside is listed on Files meanwhile.
    reading.then(
      (read) => isWanted && setOthers(read),
      () => undefined,
    )
    return () => {
      isWanted = false
    }
  }, [aside])
  return useMemo(() => twoVersions(entries, others), [entries, others])
}
