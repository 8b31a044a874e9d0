import { useState } from 'react'
import { POLICY_BOUNDS } from '../../../core/log/kinds/policy.ts'
import type { PolicyFields } from '../../../core/strategy/plans/plans.ts'
import { Button } from '../../../ui/parts/Button.tsx'
import { Choice } from '../../../ui/parts/fields.tsx'
import { Stepper } from '../../../ui/parts/Stepper.tsx'
import { words } from '../../../words/stations/decide/plans/own-plan.ts'

interface Props {
  readonly start: PolicyFields
  /** The chain is waxed now. */
  readonly isWaxed: boolean
  readonly hasSingles: boolean
  readonly onTry: (policy: PolicyFields) => void
}

const YES_NO = [
  { value: 'no', label: 'no' },
  { value: 'yes', label: words.yes },
] as const

/** A plan of the rider's own, to compare before it is followed. */
export function OwnPlan({ start, isWaxed, hasSingles, onTry }: Props) {
  const [plan, setPlan] = useState(start)
  const set = (change: Partial<PolicyFields>) => setPlan((before) => ({ ...before, ...change }))
  const flag = (name: 'isHard' | 'isSingly' | 'isLargerRing', legend: string) => (
    <Choice<'no' | 'yes'>
      legend={legend}
      value={plan[name] ? 'yes' : 'no'}
      options={YES_NO}
      onPick={(value) => set({ [name]: value === 'yes' })}
    />
  )
  return (
    <div className="grid grid-cols-2 gap-x-6 gap-y-4 pt-2 max-sm:grid-cols-1">
      <Stepper
        label={words.newChainAt}
        value={plan.percent}
        step={0.05}
        min={POLICY_BOUNDS.percent[0]}
        max={POLICY_BOUNDS.percent[1]}
        digits={2}
        onStep={(percent) => set({ percent: Number(percent.toFixed(2)) })}
      />
      <Stepper
        label={words.chainsInTurn}
        value={plan.chains}
        step={1}
        min={POLICY_BOUNDS.chains[0]}
        max={POLICY_BOUNDS.chains[1]}
        digits={0}
        onStep={(chains) => set({ chains, ...(chains > 1 && { everyKm: plan.everyKm ?? 300 }) })}
      />
      {plan.chains > 1 && (
        <Stepper
          label={words.changeThemEveryKm}
          value={plan.everyKm ?? 300}
          step={50}
          min={POLICY_BOUNDS.everyKm[0]}
          max={POLICY_BOUNDS.everyKm[1]}
          digits={0}
          onStep={(everyKm) => set({ everyKm })}
        />
      )}
      <Choice<'wax' | 'drip'>
        legend={words.lube}
        value={plan.lube ?? (isWaxed ? 'wax' : 'drip')}
        options={[
          { value: 'drip', label: words.dripLube },
          { value: 'wax', label: words.hotWax },
        ]}
        onPick={(lube) => set({ lube })}
      />
      {flag('isHard', words.hardCoatedChains)}
      {hasSingles && flag('isSingly', words.singleCogsWhereSold)}
      {flag('isLargerRing', words.aLargerRing)}
      <Button
        look="firm"
        className="self-end justify-self-start"
        onClick={() => {
          const { everyKm, isRunOut: _runOut, ...rest } = plan
          onTry({ ...rest, ...(plan.chains > 1 && { everyKm: everyKm ?? 300 }) })
        }}
      >
        {words.compareIt}
      </Button>
    </div>
  )
}
