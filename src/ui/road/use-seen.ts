import { useEffect, useState, type RefObject } from 'react'

/** So far outside the window, px, something counts as seen: it is drawn by the time it comes into sight. */
const MARGIN_PX = 300

/** Whether an element has been in sight, or nearly: of two hundred roads only those are drawn. */
export function useSeen(element: RefObject<Element | null>): boolean {
  const [isSeen, setSeen] = useState(false)
  useEffect(() => {
    const watched = element.current
    if (!watched || isSeen) return undefined
    const watcher = new IntersectionObserver(
      (entries) => entries.some(({ isIntersecting }) => isIntersecting) && setSeen(true),
      { rootMargin: `${MARGIN_PX}px` },
    )
    watcher.observe(watched)
    return () => watcher.disconnect()
  }, [element, isSeen])
  return isSeen
}
