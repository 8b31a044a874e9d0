import { useState } from 'react'
import type { Occasion } from '../../core/checks/sheets.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { fileName } from '../../ui/file-name.ts'
import { SelectField } from '../../ui/parts/fields.tsx'
import { SavePaper } from '../../ui/parts/SavePaper.tsx'
import { checkSheet } from '../../words/checks/check-sheet.ts'
import { OCCASION_NAMES } from '../../words/checks/check-words.ts'
import { words } from '../../words/stations/checks/sheet-on-paper.ts'
import type { ChecksInHand } from './use-checks.ts'

interface Props {
  readonly hand: ChecksInHand
  /** Those that there are for the bike, what is due first. */
  readonly occasions: readonly Occasion[]
}

/** A sheet of checks on paper, to be ticked with a pencil and put in afterwards. */
export function SheetOnPaper({ hand, occasions }: Props) {
  const { now } = useOpenLog()
  const [picked, setPicked] = useState<Occasion>()
  const occasion = picked ?? occasions[0] ?? 'before-ride'
  const { entry } = hand.report.bike
  return (
    <div className="mt-4 flex flex-wrap items-end gap-3">
      <SelectField<Occasion>
        label={words.sheet}
        className="w-48"
        value={occasion}
        options={
          Object.fromEntries(occasions.map((one) => [one, OCCASION_NAMES[one]])) as Record<Occasion, string>
        }
        onPick={setPicked}
      />
      <SavePaper
        label={words.onPaper}
        file={fileName(entry.name, OCCASION_NAMES[occasion])}
        write={async (paper) => {
          const { paperPdf } = await import('../../formats/paper-pdf.ts')
          return paperPdf(checkSheet(entry, occasion, hand.itemsOf(occasion), now), paper)
        }}
      />
    </div>
  )
}
