import { OPENS } from '../../words/places.ts'
import { Link } from 'react-router'
import { buttonLook } from './Button.tsx'
import { Empty } from './Empty.tsx'

/** A station without a bike: what to do first. */
export function NoBike({ what }: { readonly what: string }) {
  return (
    <Empty title="No bike yet.">
      <p className="text-base">{what}</p>
      <p className="flex flex-wrap gap-3">
        <Link to={OPENS.measureNow} className={buttonLook('next')}>
          Measure a chain now
        </Link>
        <Link to={OPENS.newBike} className={buttonLook('plain')}>
          Add a bike
        </Link>
        <Link to={OPENS.notesIn} className={buttonLook('plain')}>
          Bring in notes
        </Link>
        <a href="/demo/" className={buttonLook('plain')}>
          Open the demo
        </a>
      </p>
    </Empty>
  )
}
