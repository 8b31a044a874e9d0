import { useSyncExternalStore } from 'react'

const query = '(max-width: 639px)'

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
