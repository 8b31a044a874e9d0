import { useState } from 'react'
import { useLocation } from 'react-router'
import { Button } from '../ui/parts/Button.tsx'
import { Sheet } from '../ui/parts/Sheet.tsx'
import { STATION_LIST } from '../words/places.ts'
import { saveBytes } from '../ui/save-file.ts'
import { thingsOn, type PageThing } from '../ui/saving/page-things.ts'
import { asPng, asSvg } from '../ui/saving/picture.ts'
import { csvOfTable } from '../ui/saving/table-csv.ts'
import { fileName } from '../ui/file-name.ts'
import { useOnce } from '../ui/use-once.ts'
import { words } from '../words/app/save-sheet.ts'

type Form = 'SVG' | 'PNG' | 'CSV'

/** @returns what could not be done, if anything */
async function save({ element, name }: PageThing, form: Form, station: string): Promise<string | undefined> {
  const file = fileName(station, name)
  if (form === 'CSV') {
    saveBytes(words.csv(file), await csvOfTable(element), 'text/csv')
    return undefined
  }
  const contents = form === 'SVG' ? await asSvg(element) : await asPng(element)
  if (contents === undefined) return words.thisOneCannotBe(form)
  saveBytes(`${file}.${form.toLowerCase()}`, contents, form === 'SVG' ? 'image/svg+xml' : 'image/png')
  return undefined
}

function Thing({ thing, station }: { readonly thing: PageThing; readonly station: string }) {
  const [said, setSaid] = useState<string>()
  const [press, busy] = useOnce(async (form: Form) => {
    setSaid((await save(thing, form, station).catch(() => words.theBrowserCouldNot)) ?? words.saved(form))
  })
  const forms: readonly Form[] = thing.kind === 'table' ? ['CSV'] : ['SVG', 'PNG']
  return (
    <li className="border-t border-hairline py-3">
      <p className="line-clamp-3 text-[0.95rem]">{thing.name}</p>
      <p className="mt-1.5 flex flex-wrap items-center gap-3">
        {forms.map((form) => (
          <Button
            key={form}
            disabled={busy}
            aria-label={`${form}: ${thing.name}`}
            onClick={() => press(form)}
          >
            {form}
          </Button>
        ))}
        <span role="status" className="text-sm text-steel">
          {said}
        </span>
      </p>
    </li>
  )
}

/** The drawings and tables of the page that is open, each to be saved as a file. */
export default function SaveSheet({ onClose }: { readonly onClose: () => void }) {
  const { pathname } = useLocation()
  const [things] = useState(() => {
    const main = document.getElementById('main')
    return main ? thingsOn(main) : []
  })
  const station = STATION_LIST.find(({ path }) => path === pathname)?.name ?? words.joltMile
  return (
    <Sheet
      open
      onClose={onClose}
      title={words.saveDrawingsAndTables}
      note={things.length === 0 ? words.thereIsNoDrawing : words.ofThePageThatIsOpen}
    >
      <ul aria-label={words.drawingsAndTables}>
        {things.map((thing, i) => (
          <Thing key={i} thing={thing} station={station} />
        ))}
      </ul>
    </Sheet>
  )
}
