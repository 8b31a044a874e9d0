import clsx from 'clsx'
import { useId, type ReactNode } from 'react'

interface Props {
  /** What an address can point at: `/gauge#odd`. */
  readonly id?: string
  readonly title: string
  readonly note?: ReactNode
  readonly children: ReactNode
  readonly className?: string
}

/** A headed stretch of a station: bare paper and a heading, no box. */
export function Section({ id: address, title, note, children, className }: Props) {
  const id = useId()
  return (
    <section
      {...(address !== undefined && { id: address, tabIndex: -1 })}
      aria-labelledby={id}
      className={clsx('min-w-0 scroll-mt-4 outline-none', className)}
    >
      <h2 id={id} className="text-[1.05rem] font-semibold">
        {title}
      </h2>
      {note && <p className="mt-0.5 text-sm text-steel">{note}</p>}
      <div className="mt-3">{children}</div>
    </section>
  )
}
