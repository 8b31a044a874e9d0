import type { ReactNode } from 'react'

/** What a menu of the bar is told, and its button. */
export interface BarMenuProps {
  readonly open: boolean
  readonly onOpen: (open: boolean) => void
  /** Of the button that opens it. */
  readonly className: string
  readonly 'aria-label'?: string
  /** What stands on the button. */
  readonly children: ReactNode
}
