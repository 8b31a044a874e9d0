import { useState } from 'react'
import { forgetText, recallText, rememberText } from '../../ui/local-memory.ts'

const KEY = 'jolt-mile-no-ride-tests'

/** Whether riding to test a cog is ever offered, and the means to switch it off for good. */
export function useRideTests(): readonly [isOffered: boolean, offer: (offered: boolean) => void] {
  const [isOffered, setOffered] = useState(() => recallText(KEY) === undefined)
  return [
    isOffered,
    (offered) => {
      setOffered(offered)
      if (offered) forgetText(KEY)
      else rememberText(KEY, 'never')
    },
  ]
}
