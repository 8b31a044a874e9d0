import { useCallback, useEffect, useState } from 'react'
import { readWho, WHO_KEY, whoOf } from '../store/kept.ts'
import { useOpenLog } from './log-context.ts'

/**
 * The name that is given to this device: it stands on what is written here, so that several mechanics know who did what.
 * @returns the name, undefined where there is none, and how to give another or none
 */
export function useWho(): readonly [string | undefined, (name: string) => Promise<void>] {
  const { ledger, kept } = useOpenLog()
  const [who, setWho] = useState<string>()
  useEffect(() => {
    let isWanted = true
    void readWho(ledger.database).then((held) => isWanted && setWho(held))
    return () => {
      isWanted = false
    }
  }, [ledger])
  const give = useCallback(
    async (name: string) => {
      const plain = whoOf(name)
      await kept.keep(WHO_KEY, plain)
      setWho(plain)
    },
    [kept],
  )
  return [who, give]
}
