import type { ReactNode } from 'react'

interface Props {
  /** What an address can point at: `/gauge#take`. */
  readonly id: string
  readonly title: string
  readonly children: ReactNode
}

/** The stretch of a station where something is entered. The bright button and "new" lead here. */
export function WorkSection({ id, title, children }: Props) {
  return (
    <section
      id={id}
      tabIndex={-1}
      aria-labelledby={`${id}-title`}
      className="flex scroll-mt-4 flex-col gap-4 outline-none"
    >
      <h2 id={`${id}-title`} className="text-[1.05rem] font-semibold">
        {title}
      </h2>
      {children}
    </section>
  )
}
