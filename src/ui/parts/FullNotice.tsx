import type { ReactNode } from 'react'

interface Props {
  readonly title: string
  readonly children: ReactNode
  /** What can be done about it, the likeliest first. */
  readonly actions: ReactNode
  readonly status?: string
}

/** A page that says one thing: that something is in the way, and how to go on. */
export function FullNotice({ title, children, actions, status }: Props) {
  return (
    <section className="mx-auto max-w-[44rem] p-9 max-md:p-4">
      <h1 className="text-3xl font-medium">{title}</h1>
      <div className="mt-3 flex flex-col gap-3 text-steel">{children}</div>
      <div className="mt-5 flex flex-wrap items-center gap-3">{actions}</div>
      <p role="status" className="mt-3 empty:hidden">
        {status}
      </p>
    </section>
  )
}
