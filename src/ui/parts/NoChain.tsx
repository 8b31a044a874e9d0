import { OPENS } from '../../words/places.ts'
import { Link } from 'react-router'
import { Answer } from './Answer.tsx'
import { buttonLook } from './Button.tsx'
import { words } from '../../words/ui/parts/no-chain.ts'

/** A station that needs a chain, for a bike that has none in the log. */
export function NoChain({ bike }: { readonly bike: string }) {
  return (
    <Answer
      word="unsure"
      action={
        <Link to={OPENS.fitChain} className={buttonLook('next')}>
          {words.fitAChain}
        </Link>
      }
    >
      {words.noChainIsEntered(bike)}
    </Answer>
  )
}
