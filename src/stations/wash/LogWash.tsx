import { useWatch } from 'react-hook-form'
import { object, string } from 'yup'
import type { WashMethod } from '../../core/log/kinds/wash.ts'
import type { StepKind } from '../../core/session/step-kinds.ts'
import { LUBES, type Lube } from '../../core/lube/lubes.ts'
import type { BikeReport, ChainReport } from '../../core/strategy/facts/bike-report.ts'
import { chainOnBike } from './chain-on-bike.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { WorkSection } from '../../ui/parts/WorkSection.tsx'
import { pastDay } from '../../ui/form/fields.ts'
import { useCheckedForm } from '../../ui/form/use-checked-form.ts'
import { dayOf, momentOf } from '../../words/day.ts'
import { CautionNote } from '../../ui/parts/Empty.tsx'
import { Choice, TextField } from '../../ui/parts/fields.tsx'
import { LUBE_NAMES, WASH_NAMES } from '../../words/names.ts'
import { STEP_WORDS } from '../../words/step-words.ts'
import { words } from '../../words/stations/wash/log-wash.ts'
import { sayDecimal } from '../../words/grouped-number.ts'

const METHODS: readonly WashMethod[] = ['wipe', 'on-bike', 'off-bike', 'none']

/** How it is put on, in the field's own order. */
function howTo(lube: Lube | undefined, links: number, turns: string): string | undefined {
  switch (lube) {
    case 'dry-lube':
    case 'wet-lube':
    case 'drip-wax':
      return words.oneDropToEach(links, turns)
    case 'immersion-wax':
      return words.cleanAndFullyDry
    case 'none':
      return words.aBareChainWears
    case undefined:
      return undefined
  }
}

/** The steps of a wash whose cautions hold for what is being logged. */
const stepsOf = (method: WashMethod, lube: Lube | undefined, hasMotor: boolean): readonly StepKind[] => [
  ...(hasMotor ? (['power-off'] as const) : []),
  ...(method === 'on-bike' ? (['degrease-chain'] as const) : []),
  ...(method === 'off-bike' ? (['soak-chain'] as const) : []),
  ...(lube === 'immersion-wax' ? (['pot-on', 'dry-chain'] as const) : []),
  ...(lube !== undefined && lube !== 'none' && lube !== 'immersion-wax'
    ? (['shield-rotors', 'wipe-off'] as const)
    : []),
]

type Put = Lube | 'unchanged'
const PUTS: readonly Put[] = [...LUBES, 'unchanged']
const lubeOf = (put: Put): Lube | undefined => (put === 'unchanged' ? undefined : put)

const washSchema = (now: string) =>
  object({
    method: string<WashMethod>().oneOf(METHODS).required(),
    put: string<Put>()
      .oneOf(PUTS)
      .required()
      .test(
        'done',
        words.neitherCleanedNorLubricated,
        (put, { parent }) => put !== 'unchanged' || (parent as { method: WashMethod }).method !== 'none',
      ),
    day: pastDay(now),
  })

interface Props {
  readonly report: BikeReport
  readonly chain: ChainReport
}

/** Logs a wash: how it was cleaned, what was put on, when. */
export function LogWash({ report, chain }: Props) {
  const { garage, record, now } = useOpenLog()
  const { part } = chain.part.entry
  const { drops, crankTurns } = chainOnBike(garage, report, part).amounts
  const { form, submit, saving } = useCheckedForm(
    washSchema(now),
    { method: 'wipe', put: chain.story.lube.lube ?? 'wet-lube', day: dayOf(now) },
    (done) => {
      const on = lubeOf(done.put)
      return record(
        [
          {
            kind: 'wash',
            at: momentOf(done.day, now),
            chain: part,
            method: done.method,
            ...(on && { lube: on }),
          },
        ],
        words.logged(WASH_NAMES[done.method], on ? `, ${LUBE_NAMES[on]}` : ''),
      )
    },
  )
  const [method, put] = useWatch({ control: form.control, name: ['method', 'put'] })
  const lube = lubeOf(put)
  const { errors } = form.formState
  const how = howTo(lube, drops, sayDecimal(crankTurns, 1))
  return (
    <WorkSection id="log" title={words.whatWasDone}>
      <form onSubmit={submit} noValidate className="flex flex-col gap-4">
        <Choice
          legend={words.cleaned}
          value={method}
          onPick={(next) => {
            form.setValue('method', next)
            form.clearErrors('put')
          }}
          options={METHODS.map((value) => ({ value, label: WASH_NAMES[value] }))}
        />
        <Choice<Put>
          legend={words.putOn}
          value={put}
          onPick={(next) => {
            form.setValue('put', next)
            form.clearErrors('put')
          }}
          fault={errors.put?.message}
          options={[
            ...LUBES.map((value) => ({ value, label: LUBE_NAMES[value] })),
            { value: 'unchanged', label: words.notLubed },
          ]}
        />
        {how && <p className="text-[0.95rem] text-steel">{how}</p>}
        {stepsOf(method, lube, report.bike.entry.motor !== 'none').map((kind) => {
          const { name, care } = STEP_WORDS[kind]
          return (
            <CautionNote key={kind}>
              {kind === 'power-off' && `${name}. `}
              {care}
            </CautionNote>
          )
        })}
        <TextField
          label={words.day}
          type="date"
          max={dayOf(now)}
          fault={errors.day?.message}
          className="max-w-48"
          {...form.register('day')}
        />
        <Button look="firm" type="submit" className="self-start" disabled={saving}>
          {words.logIt}
        </Button>
      </form>
    </WorkSection>
  )
}
