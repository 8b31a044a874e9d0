import { lazy, Suspense, useEffect, useState } from 'react'
import type { BarMenuProps } from './bar-menu-props.ts'

const load = () => import('./BarMenus.tsx')
const MENUS = {
  bikes: lazy(async () => ({ default: (await load()).BikeMenu })),
  more: lazy(async () => ({ default: (await load()).MoreMenu })),
} as const

/** The menus are fetched so long after the page is there, ms: by the time one is opened they are at hand. */
const FETCH_AFTER_MS = 1500

/** A menu of the bar. Its button is there with the page, the menu when it is first opened. */
export function BarMenu({ which, ...props }: BarMenuProps & { readonly which: keyof typeof MENUS }) {
  const { open, onOpen, className, children, 'aria-label': label } = props
  const [wasOpened, setOpened] = useState(open)
  if (open && !wasOpened) setOpened(true)
  useEffect(() => {
    // What cannot be fetched now is fetched when it is opened, and said then.
    const timer = setTimeout(() => void load().catch(() => undefined), FETCH_AFTER_MS)
    return () => clearTimeout(timer)
  }, [])
  const button = (
    <button
      type="button"
      className={className}
      aria-haspopup="menu"
      aria-expanded={open}
      aria-label={label}
      onClick={() => onOpen(true)}
      onKeyDown={(event) => {
        if (event.key !== 'ArrowDown') return
        event.preventDefault()
        onOpen(true)
      }}
    >
      {children}
    </button>
  )
  if (!wasOpened) return button
  const Menu = MENUS[which]
  return (
    <Suspense fallback={button}>
      <Menu {...props} />
    </Suspense>
  )
}
