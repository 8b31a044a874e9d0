import clsx from 'clsx'
import type { ComponentProps } from 'react'

type Look = 'next' | 'firm' | 'plain' | 'link' | 'harm'

const LOOKS: Readonly<Record<Look, string>> = {
  // One to a screen: the next action.
  next: 'bg-jolt text-on-jolt font-semibold px-6 min-h-12 rounded-[3px] hover:brightness-95',
  // Ends a form.
  firm: 'bg-petrol text-paper font-semibold px-5 min-h-12 rounded-[3px] hover:brightness-110',
  plain: 'border border-ink/70 px-4 min-h-11 rounded-[3px] hover:bg-ink/5',
  link: 'underline underline-offset-4 decoration-1 min-h-6 hover:decoration-2',
  harm: 'border border-rust text-rust px-4 min-h-11 rounded-[3px] hover:bg-rust/10',
}

/** The classes of a button, for links that look like one. */
export const buttonLook = (look: Look): string =>
  clsx(
    'inline-flex items-center justify-center gap-2 text-base leading-tight disabled:opacity-50',
    LOOKS[look],
  )

/** What a button can be given. */
export type ButtonProps = ComponentProps<'button'> & { look?: Look }

/** A button. `next` is the one bright one of a screen. */
export function Button({ look = 'plain', className, type = 'button', ...rest }: ButtonProps) {
  return <button type={type} className={clsx(buttonLook(look), className)} {...rest} />
}
