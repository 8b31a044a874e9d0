import { useState } from 'react'
import { object } from 'yup'
import { convertTorque, JOINTS, type Joint, type TorqueUnit } from '../../core/checks/torque.ts'
import { BOUNDS } from '../../core/log/bounds.ts'
import { TORQUE_BOUNDS, type FastenerEntry } from '../../core/log/kinds/fastener.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { neededText, numberField, shortText } from '../../ui/form/fields.ts'
import { useCheckedForm } from '../../ui/form/use-checked-form.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { Choice, TextField } from '../../ui/parts/fields.tsx'
import { useInTurn } from '../../ui/use-in-turn.ts'
import { JOINT_NAMES, TORQUE_UNIT_NAMES } from '../../words/checks/torque-words.ts'
import { words } from '../../words/stations/checks/fastener-form.ts'

interface Props {
  readonly bolt: Omit<FastenerEntry, 'id' | 'format' | 'action'>
  readonly unit: TorqueUnit
  readonly onSaved: () => void
}

/** A bolt: its name and size, what both makers say, what goes between. */
export function FastenerForm({ bolt, unit, onSaved }: Props) {
  const { record } = useOpenLog()
  const [joint, setJoint] = useState<Joint>(bolt.joint)
  const [isCarbon, setCarbon] = useState(bolt.isCarbon === true)
  const inUnit = (nm: number): number => Math.round(10 * convertTorque(nm, 'N m', unit)) / 10
  const name = TORQUE_UNIT_NAMES[unit]
  const value = () =>
    numberField({
      unit: name,
      ask: words.aTorqueOfABolt,
      least: inUnit(TORQUE_BOUNDS.nm[0]),
      most: inUnit(TORQUE_BOUNDS.nm[1]),
    })
  const isNew = bolt.name === ''
  const { form, submit, saving } = useCheckedForm(
    object({
      name: neededText(words.nameTheBolt, BOUNDS.nameLetters),
      size: shortText(TORQUE_BOUNDS.sizeLetters),
      one: value(),
      two: value(),
    }),
    {
      name: bolt.name,
      size: bolt.size ?? '',
      one: bolt.valuesNm[0] === undefined ? '' : inUnit(bolt.valuesNm[0]),
      two: bolt.valuesNm[1] === undefined ? '' : inUnit(bolt.valuesNm[1]),
    },
    async ({ name: said, size, one, two }) => {
      const { size: _size, isCarbon: _carbon, ...held } = bolt
      const written = await record(
        [
          {
            ...held,
            name: said,
            ...(size !== '' && { size }),
            // Rounding for the screen must not move a bound.
            valuesNm: [one, two].flatMap((typed) =>
              typed === undefined
                ? []
                : Math.min(
                    TORQUE_BOUNDS.nm[1],
                    Math.max(TORQUE_BOUNDS.nm[0], convertTorque(typed, unit, 'N m')),
                  ),
            ),
            joint,
            ...(isCarbon && { isCarbon: true as const }),
          },
        ],
        words.inTheBook(said),
      )
      if (written) onSaved()
    },
  )
  const drop = useInTurn(async () => {
    if (await record([{ ...bolt, isGone: true }], words.offTheBook(bolt.name))) onSaved()
  })
  const { errors } = form.formState
  return (
    <form noValidate className="flex flex-col gap-4" onSubmit={submit}>
      <div className="grid grid-cols-[minmax(0,2fr)_minmax(0,1fr)] gap-3">
        <TextField label={words.bolt} fault={errors.name?.message} {...form.register('name')} />
        <TextField label={words.size} hint="M5" fault={errors.size?.message} {...form.register('size')} />
      </div>
      <div className="grid grid-cols-2 gap-3">
        <TextField
          label={words.onePartSays(name)}
          inputMode="decimal"
          fault={errors.one?.message}
          {...form.register('one')}
        />
        <TextField
          label={words.theOtherSays(name)}
          inputMode="decimal"
          hint={words.theLowerOneHolds}
          fault={errors.two?.message}
          {...form.register('two')}
        />
      </div>
      <Choice<Joint>
        legend={words.betweenTheParts}
        value={joint}
        onPick={setJoint}
        options={JOINTS.map((one) => ({ value: one, label: JOINT_NAMES[one] }))}
      />
      <Choice<'yes' | 'no'>
        legend={words.aCarbonPart}
        value={isCarbon ? 'yes' : 'no'}
        onPick={(picked) => setCarbon(picked === 'yes')}
        options={[
          { value: 'no', label: 'no' },
          { value: 'yes', label: words.yes },
        ]}
      />
      <div className="flex flex-wrap gap-4">
        <Button look="firm" type="submit" disabled={saving}>
          {words.saveTheBolt}
        </Button>
        {!isNew && (
          <Button look="harm" onClick={drop}>
            {words.takeItOffTheBook}
          </Button>
        )}
      </div>
    </form>
  )
}
