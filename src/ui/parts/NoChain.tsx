import { OPENS } from '../../words/places.ts'
import { Link } from 'react-router'
import { Answer } from './Answer.tsx'
import { buttonLook } from './Button.tsx'

/** A station that needs a chain, for a bike that has none in the log. */
export function NoChain({ bike }: { readonly bike: string }) {
  return (
    <Answer
      word="unsure"
      action={
        <Link to={OPENS.fitChain} className={buttonLook('next')}>
          Fit a chain
        </Link>
      }
    >
      No chain is entered for {bike} yet.
    </Answer>
  )
}
