import { useState } from 'react'
import type { Paper } from '../../formats/printed-sheet.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { SelectField } from '../../ui/parts/fields.tsx'
import { Section } from '../../ui/parts/Section.tsx'
import { Stepper } from '../../ui/parts/Stepper.tsx'
import { saveBytes } from '../../ui/save-file.ts'
import { words } from '../../words/stations/gauge/print-strip.ts'

const PAPERS: Readonly<Record<Paper, string>> = { a4: 'A4', letter: words.letter }

/** The printed strip with its vernier, and a tooth card, as a sheet at true scale. */
export function PrintStrip() {
  const [paper, setPaper] = useState<Paper>('a4')
  const [teeth, setTeeth] = useState(15)
  const [said, setSaid] = useState('')
  const save = async () => {
    setSaid(words.drawingTheSheet)
    try {
      const { printedSheet } = await import('../../formats/printed-sheet.ts')
      saveBytes(`jolt-mile-strip-${paper}.pdf`, await printedSheet(paper, teeth), 'application/pdf')
      setSaid(words.savedPrintItAt100)
    } catch (error) {
      setSaid(error instanceof RangeError ? error.message : words.theSheetCouldNot)
    }
  }
  return (
    <Section title={words.printAStripAndATooth} note={words.aPaperStripOver}>
      <div className="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
        <SelectField label={words.paper} options={PAPERS} value={paper} onPick={setPaper} />
        <Stepper
          label={words.cardForASprocket}
          value={teeth}
          step={1}
          min={9}
          max={60}
          digits={0}
          onStep={setTeeth}
        />
      </div>
      <Button className="mt-3" onClick={() => void save()}>
        {words.saveTheSheetAs}
      </Button>
      <p role="status" className="mt-2 text-sm text-steel empty:hidden">
        {said}
      </p>
    </Section>
  )
}
