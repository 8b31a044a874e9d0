import { Link } from 'react-router'
import type { PictureEntry } from '../../../core/log/kinds/picture.ts'
import type { VisitEntry } from '../../../core/log/kinds/visit.ts'
import { fittedParts } from '../../../core/log/garage.ts'
import type { Paper } from '../../../core/paper/paper-sheet.ts'
import { useOpenLog } from '../../../session/log-context.ts'
import { usePicture } from '../../../session/use-picture.ts'
import { Button, buttonLook } from '../../../ui/parts/Button.tsx'
import { STATIONS } from '../../../words/places.ts'
import { useUnits } from '../../../ui/screen-state.ts'
import { sayDay } from '../../../words/numbers.ts'
import { sheetOf } from '../../../words/owner-sheet.ts'
import { namePart } from '../../../words/part-name.ts'
import { fileName } from '../../../ui/file-name.ts'
import { SavePaper } from '../../../ui/parts/SavePaper.tsx'
import { words } from '../../../words/stations/decide/sheet/owner-sheet-page.ts'

/** So many pictures at most stand on a sheet. */
const MOST_PICTURES = 3

function SheetPicture({ entry, caption }: { readonly entry: PictureEntry; readonly caption: string }) {
  const address = usePicture(entry.picture)
  if (address === undefined || address === 'missing') return null
  return (
    <figure className="m-0 w-56">
      <img src={address} alt={caption} className="aspect-square w-full object-cover" />
      <figcaption className="mt-1 text-sm text-steel">{caption}</figcaption>
    </figure>
  )
}

/** The newest kept pictures of a bike's sprockets, up to the day of the visit. */
function usePictures({ bike, at }: VisitEntry): readonly { entry: PictureEntry; caption: string }[] {
  const { garage, now } = useOpenLog()
  return fittedParts(garage, bike)
    .flatMap(({ entry }) => garage.listed.picture.get(entry.part) ?? [])
    .filter((entry) => entry.picture !== undefined && entry.at <= at)
    .sort((a, b) => (a.at < b.at ? 1 : -1))
    .slice(0, MOST_PICTURES)
    .map((entry) => ({
      entry,
      caption: `${entry.cog === undefined ? namePart(garage, entry.part, bike) : words.toothCog(entry.cog)}, ${sayDay(entry.at, now)}`,
    }))
}

/** The owner's sheet of a visit: a page that a stranger understands, to be read, printed or saved. */
export function OwnerSheetPage({ visit }: { readonly visit: VisitEntry }) {
  const { garage, now, pictures } = useOpenLog()
  const units = useUnits()
  const shown = usePictures(visit)
  const bike = garage.bikes.get(visit.bike)?.entry ?? { name: words.theBike, note: '' }
  const sheet = sheetOf(visit, bike, units, now)
  const write = async (paper: Paper) => {
    const { paperPdf } = await import('../../../formats/paper-pdf.ts')
    const kept = await Promise.all(
      shown.map(async ({ entry, caption }) => {
        const blob = entry.picture === undefined ? undefined : await pictures.read(entry.picture)
        return blob ? [{ caption, jpeg: new Uint8Array(await blob.arrayBuffer()) }] : []
      }),
    )
    return paperPdf({ ...sheet, pictures: kept.flat() }, paper)
  }
  return (
    <article className="flex max-w-[46rem] flex-col gap-6">
      <div>
        <h1 className="text-[1.7rem] leading-tight font-medium">{sheet.title}</h1>
        <p className="mt-1 text-steel">{sheet.about}</p>
      </div>
      {sheet.sections
        .filter(({ lines }) => lines.length > 0)
        .map(({ heading, lines }) => (
          <section key={heading} aria-label={heading}>
            <h2 className="text-[1.05rem] font-semibold">{heading}</h2>
            <ul className="mt-1 list-disc pl-5">
              {lines.map((line, i) => (
                <li key={i} className="py-0.5 leading-snug">
                  {line}
                </li>
              ))}
            </ul>
          </section>
        ))}
      {shown.length > 0 && (
        <div className="flex flex-wrap gap-4">
          {shown.map(({ entry, caption }) => (
            <SheetPicture key={entry.id} entry={entry} caption={caption} />
          ))}
        </div>
      )}
      <p className="text-sm text-steel">{sheet.foot}</p>
      <div className="no-print flex flex-wrap items-end gap-4">
        <SavePaper
          look="firm"
          label={words.saveAsPdf}
          file={fileName(bike.name, visit.at.slice(0, 10))}
          write={write}
        />
        <Button onClick={() => window.print()}>{words.print}</Button>
        <Link to={STATIONS.decide.path} className={buttonLook('link')}>
          {words.backToTheDecision}
        </Link>
      </div>
    </article>
  )
}
