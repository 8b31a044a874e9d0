import type { ReactNode } from 'react'

/** A menu of the bar and the button that opens it. */
export interface BarMenuProps {
  readonly open: boolean
  readonly onOpen: (open: boolean) => void
  /** Of the button that opens it. */
  readonly className: string
  readonly 'aria-label'?: string
  /** What stands on the button. */
  readonly children: ReactNode
}
