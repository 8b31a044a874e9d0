import type { ReactNode } from 'react'
import type { ChainWord } from '../../core/strategy/wear-word.ts'
import { WearMedal } from '../glyphs/ToothGlyph.tsx'

interface Props {
  readonly word?: ChainWord | undefined
  readonly children: ReactNode
  /** How sure, on what grounds, when to look again. */
  readonly detail?: ReactNode
  /** The one bright button, and what may stand under it. */
  readonly action?: ReactNode
}

/** The sentence a station opens with: the answer first, then the grounds. */
export function Answer({ word, children, detail, action }: Props) {
  return (
    <section className="flex items-start gap-5 max-md:flex-col max-md:gap-3" aria-labelledby="answer">
      <div className="flex min-w-0 flex-1 items-start gap-5 max-sm:gap-3">
        {word && <WearMedal word={word} />}
        <div className="min-w-0">
          <h1
            id="answer"
            className="max-w-[50rem] text-[1.95rem] leading-[1.18] font-medium tracking-[-0.01em] text-balance max-sm:text-[1.4rem]"
          >
            {children}
          </h1>
          {detail && <p className="mt-2 max-w-[52rem] text-[0.98rem] leading-snug text-steel">{detail}</p>}
        </div>
      </div>
      {action && (
        <div className="no-print flex shrink-0 flex-col items-end gap-3 max-md:w-full max-md:items-stretch">
          {action}
        </div>
      )}
    </section>
  )
}
