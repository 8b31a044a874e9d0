import { useSyncExternalStore } from 'react'
import { words } from '../words/ui/use-narrow.ts'

const query = words.maxWidth639px

/** Whether the screen is as narrow as a phone's, for drawings whose words must grow there. */
export function useNarrow(): boolean {
  return useSyncExternalStore(
    (tell) => {
      const media = matchMedia(query)
      media.addEventListener('change', tell)
      return () => media.removeEventListener('change', tell)
    },
    () => matchMedia(query).matches,
  )
}
