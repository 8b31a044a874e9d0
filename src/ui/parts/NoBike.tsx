import { OPENS } from '../../words/places.ts'
import { Link } from 'react-router'
import { buttonLook } from './Button.tsx'
import { Empty } from './Empty.tsx'
import { words } from '../../words/ui/parts/no-bike.ts'

/** A station without a bike: what to do first. */
export function NoBike({ what }: { readonly what: string }) {
  return (
    <Empty title={words.noBikeYet}>
      <p className="text-base">{what}</p>
      <p className="flex flex-wrap gap-3">
        <Link to={OPENS.measureNow} className={buttonLook('next')}>
          {words.measureAChainNow}
        </Link>
        <Link to={OPENS.newBike} className={buttonLook('plain')}>
          {words.addABike}
        </Link>
        <Link to={OPENS.notesIn} className={buttonLook('plain')}>
          {words.bringInNotes}
        </Link>
        <a href="/demo/" className={buttonLook('plain')}>
          {words.openTheDemo}
        </a>
      </p>
    </Empty>
  )
}
