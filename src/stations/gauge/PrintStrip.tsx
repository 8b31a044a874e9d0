import { useState } from 'react'
import { Section } from '../../ui/parts/Section.tsx'
import { SavePaper } from '../../ui/parts/SavePaper.tsx'
import { Stepper } from '../../ui/parts/Stepper.tsx'
import { words } from '../../words/stations/gauge/print-strip.ts'

/** The printed strip with its vernier, and a tooth card, as a sheet at true scale. */
export function PrintStrip() {
  const [teeth, setTeeth] = useState(15)
  return (
    <Section title={words.printAStripAndATooth} note={words.aPaperStripOver}>
      <Stepper
        label={words.cardForASprocket}
        value={teeth}
        step={1}
        min={9}
        max={60}
        digits={0}
        onStep={setTeeth}
      />
      <div className="mt-3">
        <SavePaper
          label={words.saveTheSheetAs}
          file="jolt-mile-strip"
          write={async (paper) => {
            const { printedSheet } = await import('../../formats/printed-sheet.ts')
            return { bytes: await printedSheet(paper, teeth), lost: 0 }
          }}
        />
      </div>
      <p className="mt-2 text-sm text-steel">{words.printItAt100}</p>
    </Section>
  )
}
