import { useState } from 'react'
import type { Paper } from '../../formats/printed-sheet.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { SelectField } from '../../ui/parts/fields.tsx'
import { Section } from '../../ui/parts/Section.tsx'
import { Stepper } from '../../ui/parts/Stepper.tsx'
import { saveBytes } from '../../ui/save-file.ts'

const PAPERS: Readonly<Record<Paper, string>> = { a4: 'A4', letter: 'Letter' }

/** The printed strip with its vernier, and a tooth card, as a sheet at true scale. */
export function PrintStrip() {
  const [paper, setPaper] = useState<Paper>('a4')
  const [teeth, setTeeth] = useState(15)
  const [said, setSaid] = useState('')
  const save = async () => {
    setSaid('Drawing the sheet…')
    try {
      const { printedSheet } = await import('../../formats/printed-sheet.ts')
      saveBytes(`jolt-mile-strip-${paper}.pdf`, await printedSheet(paper, teeth), 'application/pdf')
      setSaid(
        'Saved. Print it at 100 %, measure the check bar, and name it among your tools with what the bar measures.',
      )
    } catch (error) {
      setSaid(error instanceof RangeError ? error.message : 'The sheet could not be drawn. Try again.')
    }
  }
  return (
    <Section
      title="Print a strip and a tooth card"
      note="A paper strip over 20 pitches, read with its vernier to 0.1 mm, is as good as many gauges."
    >
      <div className="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
        <SelectField label="Paper" options={PAPERS} value={paper} onPick={setPaper} />
        <Stepper
          label="Card for a sprocket of, teeth"
          value={teeth}
          step={1}
          min={9}
          max={60}
          digits={0}
          onStep={setTeeth}
        />
      </div>
      <Button className="mt-3" onClick={() => void save()}>
        Save the sheet as PDF
      </Button>
      <p role="status" className="mt-2 text-sm text-steel empty:hidden">
        {said}
      </p>
    </Section>
  )
}
