import { useState } from 'react'
import type { Paper } from '../../core/paper/paper-sheet.ts'
import { words } from '../../words/ui/parts/save-paper.ts'
import { usePaper } from '../paper.ts'
import { saveBytes } from '../save-file.ts'
import { useOnce } from '../use-once.ts'
import { Button, type ButtonProps } from './Button.tsx'
import { SelectField } from './fields.tsx'

const PAPERS: Readonly<Record<Paper, string>> = { a4: words.a4, letter: words.letter }

interface Props {
  /** What the button says. */
  readonly label: string
  /** The file's name, without its ending. */
  readonly file: string
  /** Sets the sheet on the paper. What its typefaces do not have stands as a question mark, and is counted. */
  readonly write: (paper: Paper) => Promise<{ readonly bytes: Uint8Array; readonly lost: number }>
  readonly look?: ButtonProps['look']
  readonly disabled?: boolean
}

/** Saves a sheet as PDF, on the paper of the place or another. */
export function SavePaper({ label, file, write, look, disabled = false }: Props) {
  const [paper, choose] = usePaper()
  const [said, setSaid] = useState('')
  const [save, busy] = useOnce(async () => {
    setSaid(words.settingThePage)
    try {
      const { bytes, lost } = await write(paper)
      saveBytes(`${file}.pdf`, bytes, 'application/pdf')
      setSaid(lost > 0 ? words.savedButLettersHave(lost) : words.saved)
    } catch {
      setSaid(words.couldNotBeSet)
    }
  })
  return (
    <div className="no-print flex flex-wrap items-end gap-3">
      <Button {...(look && { look })} disabled={busy || disabled} onClick={() => save()}>
        {label}
      </Button>
      <SelectField<Paper>
        label={words.paper}
        className="w-28"
        value={paper}
        options={PAPERS}
        onPick={choose}
      />
      <p role="status" className="text-sm text-steel empty:hidden">
        {said}
      </p>
    </div>
  )
}
