import type { BikeEntry } from '../../../core/log/kinds/bike.ts'
import { useOpenLog } from '../../../session/log-context.ts'
import { useCheckedForm } from '../../../ui/form/use-checked-form.ts'
import { Button } from '../../../ui/parts/Button.tsx'
import { factsSchema, keptFacts, shownFacts } from './fact-fields.ts'
import { FactFields } from './FactFields.tsx'
import { words } from '../../../words/stations/shelf/stock/bike-fit-form.ts'

/** What the parts of a bike must agree with. */
export function BikeFitForm({ entry, onDone }: { readonly entry: BikeEntry; readonly onDone: () => void }) {
  const { record } = useOpenLog()
  const { form, submit, saving } = useCheckedForm(
    factsSchema,
    shownFacts(entry.fit) as never,
    async (typed) => {
      const { id, action: _action, fit: _fit, ...held } = entry
      const fit = keptFacts(typed, 'bike')
      if (await record([{ ...held, supersedes: id, ...(fit && { fit }) }], words.whatFitsIsSaved(entry.name)))
        onDone()
    },
  )
  return (
    <form noValidate className="flex flex-col gap-4" onSubmit={submit}>
      <FactFields item="bike" register={form.register} errors={form.formState.errors} />
      <Button look="firm" type="submit" className="self-start" disabled={saving}>
        {words.save}
      </Button>
    </form>
  )
}
