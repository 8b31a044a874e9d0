import type { ReactNode } from 'react'
import { words } from '../../words/ui/parts/empty.ts'

/** What a station shows before it has anything to show: what to do first. */
export function Empty({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <section className="max-w-[44rem] py-10 max-sm:py-4">
      <h1 className="text-[1.95rem] leading-tight font-medium max-sm:text-[1.5rem]">{title}</h1>
      <div className="mt-4 flex flex-col items-start gap-4 text-steel">{children}</div>
    </section>
  )
}

/** A caution, where the work happens. */
export function CautionNote({ children }: { readonly children: ReactNode }) {
  return (
    <p className="border-l-4 border-rust pl-3 text-[0.95rem] leading-snug">
      <strong className="text-rust">{words.caution} </strong>
      {children}
    </p>
  )
}
