import { useMemo, useState } from 'react'
import { useWatch } from 'react-hook-form'
import { object, string } from 'yup'
import { BOUNDS } from '../../core/log/bounds.ts'
import type { Instrument, Reading } from '../../core/measure/reading.ts'
import type { ToolState } from '../../core/log/garage.ts'
import { lengthAtElongation } from '../../core/measure/elongation.ts'
import { printScale } from '../../core/measure/strip-marks.ts'
import { toolBiases } from '../../core/strategy/facts/chain-evidence.ts'
import type { LearnedBias } from '../../core/measure/tool-bias.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { neededNumber, neededText } from '../../ui/form/fields.ts'
import { useCheckedForm } from '../../ui/form/use-checked-form.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { SelectField, TextField } from '../../ui/parts/fields.tsx'
import { Section } from '../../ui/parts/Section.tsx'
import { Sheet } from '../../ui/parts/Sheet.tsx'
import { StepperField } from '../../ui/form/StepperField.tsx'
import { SHORT_INSTRUMENT } from '../../words/names.ts'
import { sayCount, sayFigure } from '../../words/numbers.ts'
import { useOnce } from '../../ui/use-once.ts'
import { words } from '../../words/stations/gauge/tools.ts'
import { newId } from '../../session/new-id.ts'

const KINDS = {
  rule: SHORT_INSTRUMENT.rule,
  strip: SHORT_INSTRUMENT.strip,
  'caliper-pair': SHORT_INSTRUMENT['caliper-pair'],
  'two-contact-limit': SHORT_INSTRUMENT['two-contact-limit'],
  'three-contact-limit': SHORT_INSTRUMENT['three-contact-limit'],
  'two-contact-scale': SHORT_INSTRUMENT['two-contact-scale'],
  'three-contact-scale': SHORT_INSTRUMENT['three-contact-scale'],
} as const satisfies Partial<Record<Instrument, string>>
type Kind = keyof typeof KINDS

/** What is known of a tool, and where it comes from. */
function sayBias({ b, sb, zeroings, meetings }: LearnedBias): string {
  const reads =
    Math.abs(b) < 0.005
      ? words.readsTrue
      : words.reads(sayFigure(Math.abs(b)), b > 0 ? words.high : words.low)
  const learned = [
    ...(zeroings > 0 ? [sayCount(zeroings, 'zeroing')] : []),
    ...(meetings > 0 ? [words.withOtherTools(sayCount(meetings, 'meeting'))] : []),
  ]
  return `${reads} ±${sayFigure(1.645 * sb)}, ${learned.length > 0 ? words.learnedFrom(learned.join(' and ')) : words.aGuessFromIts}`
}

/** A reading of a new chain as the instrument showed it: the elongation it claimed. */
function zeroReading(instrument: Kind, shown: number): Reading | undefined {
  switch (instrument) {
    case 'rule':
      return { instrument, pitches: 24, lengthMm: lengthAtElongation(24, shown) }
    case 'strip':
      return { instrument, pitches: 20, lengthMm: lengthAtElongation(20, shown) }
    case 'caliper-pair': {
      const length = lengthAtElongation(8, shown)
      return { instrument, pitches: 8, insideMm: length - 7.6, outsideMm: length + 7.6 }
    }
    case 'two-contact-scale':
    case 'three-contact-scale':
      return { instrument, percent: shown }
    case 'two-contact-limit':
    case 'three-contact-limit':
      return undefined
  }
}

const zeroSchema = object({
  shown: neededNumber({ unit: '%', ask: words.readWhatItShows, least: -0.5, most: 0.5 }),
})

function ZeroSheet({ tool, onClose }: { readonly tool: ToolState; readonly onClose: () => void }) {
  const { record, now } = useOpenLog()
  const { entry } = tool
  const { form, submit, saving } = useCheckedForm(zeroSchema, { shown: 0 }, async ({ shown }) => {
    const reading = zeroReading(entry.instrument as Kind, shown)
    if (!reading) return
    const said = words.zeroedItShowedOnANew(entry.name, sayFigure(shown))
    if (await record([{ kind: 'zeroing', at: now, tool: entry.tool, reading }], said)) onClose()
  })
  return (
    <Sheet open onClose={onClose} title={words.zero(entry.name)} note={words.readAChainThatIsNew}>
      <form onSubmit={submit} noValidate className="flex flex-col gap-4">
        <StepperField
          control={form.control}
          name="shown"
          label={words.itShowed}
          step={0.01}
          min={-0.5}
          max={0.5}
          digits={2}
        />
        <Button look="firm" type="submit" className="self-start" disabled={saving}>
          {words.saveTheZeroing}
        </Button>
      </form>
    </Sheet>
  )
}

const toolSchema = object({
  name: neededText(words.giveItAName, BOUNDS.nameLetters),
  kind: string<Kind>().required(),
  bar: neededNumber({ unit: 'mm', ask: words.measureTheCheckBar, least: 0, most: 1000 }).when('kind', {
    is: 'strip',
    then: (bar) => bar.test('true', words.thatIsMoreThan, (mm) => printScale(mm) !== undefined),
  }),
})

function NewToolSheet({ onClose }: { readonly onClose: () => void }) {
  const { record, now } = useOpenLog()
  const [tool] = useState(newId)
  const { form, submit, saving } = useCheckedForm(
    toolSchema,
    { name: '', kind: 'two-contact-limit', bar: 200 },
    async ({ name, kind, bar }) => {
      const said = await record(
        [
          {
            kind: 'tool',
            at: now,
            tool,
            instrument: kind,
            name,
            retired: false,
            ...(kind === 'strip' && { checkBarMm: bar }),
          },
        ],
        words.isAddedToYour(name),
      )
      if (said) onClose()
    },
  )
  const { errors } = form.formState
  const kind = useWatch({ control: form.control, name: 'kind' })
  return (
    <Sheet open onClose={onClose} title={words.aToolOfYour} note={words.readingsRememberWhichTool}>
      <form noValidate className="flex flex-col gap-4" onSubmit={submit}>
        <TextField label={words.name} fault={errors.name?.message} {...form.register('name')} />
        <SelectField label={words.whatItIs} options={KINDS} {...form.register('kind')} />
        {kind === 'strip' && (
          <TextField
            label={words.itsCheckBarMeasures}
            inputMode="decimal"
            hint={words.printedTrueTheBar}
            fault={errors.bar?.message}
            {...form.register('bar')}
          />
        )}
        <Button look="firm" type="submit" className="self-start" disabled={saving}>
          {words.addTheTool}
        </Button>
      </form>
    </Sheet>
  )
}

/** The rider's own measuring tools: what is known of each, zeroing, and whether it is still in use. */
export function Tools() {
  const { garage, record } = useOpenLog()
  const biases = useMemo(() => toolBiases(garage), [garage])
  const [open, setOpen] = useState<'none' | 'new' | { readonly zero: string }>('none')
  const tools = [...garage.tools.values()]
  const zeroing = typeof open === 'object' ? garage.tools.get(open.zero) : undefined
  const [retire] = useOnce(async ({ entry }: ToolState) => {
    const { id: _id, action: _action, ...rest } = entry
    await record(
      [{ ...rest, retired: !entry.retired, supersedes: entry.id }],
      words.is(entry.name, entry.retired ? words.inUseAgain : words.retired),
    )
  })
  return (
    <Section title={words.yourTools} note={tools.length === 0 ? words.noneYetGiveATool : undefined}>
      {tools.length > 0 && (
        <ul className="mb-3 divide-y divide-hairline border-y border-hairline">
          {tools.map((tool) => {
            const bias = biases.get(tool.entry.tool)
            const canZero = !tool.entry.instrument.endsWith('-limit')
            return (
              <li
                key={tool.entry.tool}
                className="flex flex-wrap items-center gap-x-4 gap-y-1 py-2 text-[0.95rem]"
              >
                <span className="min-w-48 flex-1">
                  <strong className="font-semibold">{tool.entry.name}</strong>,{' '}
                  {SHORT_INSTRUMENT[tool.entry.instrument]}
                  {tool.entry.checkBarMm !== undefined && words.barMm(tool.entry.checkBarMm)}
                  {tool.entry.retired && words.retired2}
                  <span className="block text-sm text-steel">{bias && sayBias(bias)}</span>
                </span>
                {canZero && !tool.entry.retired && (
                  <Button
                    look="link"
                    aria-label={words.zero(tool.entry.name)}
                    onClick={() => setOpen({ zero: tool.entry.tool })}
                  >
                    {words.zeroIt}
                  </Button>
                )}
                <Button
                  look="link"
                  aria-label={`${tool.entry.retired ? words.useAgain : words.retire} ${tool.entry.name}`}
                  onClick={() => retire(tool)}
                >
                  {tool.entry.retired ? words.useAgain2 : words.retire2}
                </Button>
              </li>
            )
          })}
        </ul>
      )}
      <Button onClick={() => setOpen('new')}>{words.nameATool}</Button>
      {open === 'new' && <NewToolSheet onClose={() => setOpen('none')} />}
      {zeroing && <ZeroSheet tool={zeroing} onClose={() => setOpen('none')} />}
    </Section>
  )
}
