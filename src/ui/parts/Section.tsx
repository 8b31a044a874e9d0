import clsx from 'clsx'
import { useId, type ReactNode } from 'react'

interface Props {
  readonly title: string
  readonly note?: ReactNode
  readonly children: ReactNode
  readonly className?: string
}

/** A headed stretch of a station: bare paper and a heading, no box. */
export function Section({ title, note, children, className }: Props) {
  const id = useId()
  return (
    <section aria-labelledby={id} className={clsx('min-w-0', className)}>
      <h2 id={id} className="text-[1.05rem] font-semibold">
        {title}
      </h2>
      {note && <p className="mt-0.5 text-sm text-steel">{note}</p>}
      <div className="mt-3">{children}</div>
    </section>
  )
}
