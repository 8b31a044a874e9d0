import { useState } from 'react'
import { useNavigate } from 'react-router'
import { ITEM_IDS, type ItemId } from '../../../core/checks/items.ts'
import type { BikeId } from '../../../core/log/entry.ts'
import type { WashMethod } from '../../../core/log/kinds/wash.ts'
import { LUBES, type Lube } from '../../../core/lube/lubes.ts'
import { bulkEntries, type BulkAct } from '../../../core/strategy/bulk.ts'
import { useOpenLog } from '../../../session/log-context.ts'
import { Button } from '../../../ui/parts/Button.tsx'
import { SelectField, TextField } from '../../../ui/parts/fields.tsx'
import { washTogether } from '../../../words/places.ts'
import { bikeChosen, useSend } from '../../../ui/screen-state.ts'
import { useOnce } from '../../../ui/use-once.ts'
import { RESULT_NAMES } from '../../../words/checks/check-words.ts'
import { sayItem } from '../../../words/checks/item-names.ts'
import { sayBulk, sayWithout } from '../../../words/day-words.ts'
import { LUBE_NAMES, WASH_NAMES } from '../../../words/names.ts'
import { sayCount, sayList } from '../../../words/numbers.ts'
import { words } from '../../../words/stations/today/day/bulk-bar.ts'
import { newId } from '../../../session/new-id.ts'

const ACTS = {
  wash: words.cleanOrLubricate,
  'fit-chain': words.fitNewChains,
  check: words.recordACheck,
  owner: words.setTheOwner,
  rack: words.setTheRackOrPlace,
} as const
type ActName = keyof typeof ACTS

const NO_LUBE = 'no-lube'
const RESULTS = { pass: RESULT_NAMES.pass, watch: RESULT_NAMES.watch, fail: RESULT_NAMES.fail } as const

interface FieldsProps {
  readonly onAct: (act: BulkAct) => void
  readonly act: BulkAct
}

function WashFields({ act, onAct }: FieldsProps) {
  if (act.act !== 'wash') return null
  const { lube, method } = act
  return (
    <>
      <SelectField<WashMethod>
        label={words.how}
        options={WASH_NAMES}
        value={method}
        onPick={(picked) => onAct({ ...act, method: picked })}
      />
      <SelectField<Lube | typeof NO_LUBE>
        label={words.lube}
        options={{
          [NO_LUBE]: words.notLubed,
          ...(Object.fromEntries(LUBES.map((one) => [one, LUBE_NAMES[one]])) as Record<Lube, string>),
        }}
        value={lube ?? NO_LUBE}
        onPick={(picked) =>
          onAct(picked === NO_LUBE ? { act: 'wash', method } : { act: 'wash', method, lube: picked })
        }
      />
    </>
  )
}

function Fields({ act, onAct }: FieldsProps) {
  switch (act.act) {
    case 'wash':
      return <WashFields act={act} onAct={onAct} />
    case 'fit-chain':
      return (
        <SelectField
          label={words.theOldChainsGo}
          options={{ retired: words.toTheBinRetired, shelf: words.ontoTheShelf }}
          value={act.oldTo}
          onPick={(oldTo) => onAct({ ...act, oldTo })}
        />
      )
    case 'check':
      return (
        <>
          <SelectField<ItemId>
            label={words.whatWasLookedAt}
            options={
              Object.fromEntries(ITEM_IDS.map((item) => [item, sayItem(item)])) as Record<ItemId, string>
            }
            value={act.item}
            onPick={(item) => onAct({ ...act, item })}
          />
          <SelectField
            label={words.howItWas}
            options={RESULTS}
            value={act.result}
            onPick={(result) => onAct({ ...act, result })}
          />
        </>
      )
    case 'place':
      return (
        <TextField
          label={act.field === 'owner' ? words.owner : words.rackOrPlace}
          hint={words.emptyTakesItAway}
          maxLength={40}
          value={act.value}
          onChange={({ target }) => onAct({ ...act, value: target.value })}
        />
      )
  }
}

const nameOf = (act: BulkAct): ActName => (act.act === 'place' ? act.field : act.act)

function begin(name: ActName): BulkAct {
  switch (name) {
    case 'wash':
      return { act: 'wash', method: 'wipe', lube: 'wet-lube' }
    case 'fit-chain':
      return { act: 'fit-chain', oldTo: 'retired' }
    case 'check':
      return { act: 'check', item: 'pressure', result: 'pass' }
    case 'owner':
    case 'rack':
      return { act: 'place', field: name, value: '' }
  }
}

interface Props {
  /** The bikes that are chosen, in the order of the list. */
  readonly bikes: readonly BikeId[]
  readonly onDone: () => void
}

/** Something done to several bikes in one go: written as one step, undone as one. */
export function BulkBar({ bikes, onDone }: Props) {
  const { garage, now, record } = useOpenLog()
  const [act, setAct] = useState<BulkAct>(() => begin('wash'))
  const [said, setSaid] = useState('')
  const send = useSend()
  const navigate = useNavigate()
  const [run, busy] = useOnce(async () => {
    const trimmed = act.act === 'place' ? { ...act, value: act.value.trim() } : act
    const { drafts, done, without } = bulkEntries(garage, bikes, trimmed, now, newId)
    const names = without.map((bike) => garage.bikes.get(bike)?.entry.name ?? '')
    setSaid(names.length > 0 ? sayWithout(sayList(names)) : '')
    if (drafts.length > 0 && (await record(drafts, sayBulk(trimmed, done.length)))) onDone()
  })
  const [first, ...along] = bikes
  return (
    <section
      aria-label={words.chosenBikes}
      className="sticky bottom-0 z-10 border-t-2 border-petrol bg-paper py-3 max-md:bottom-14"
    >
      <div className="flex flex-wrap items-end gap-3 max-sm:grid max-sm:grid-cols-2 max-sm:gap-2">
        <div className="min-w-36">
          <p className="font-semibold">{words.chosen(sayCount(bikes.length, 'bike'))}</p>
          <Button look="link" onClick={onDone}>
            {words.chooseNone}
          </Button>
        </div>
        <SelectField<ActName>
          label={words.whatToDo}
          className="sm:w-52"
          options={ACTS}
          value={nameOf(act)}
          onPick={(name) => setAct(begin(name))}
        />
        <Fields act={act} onAct={setAct} />
        <Button look="firm" disabled={busy} onClick={() => run()}>
          {words.logItFor(sayCount(bikes.length, 'bike'))}
        </Button>
        {first !== undefined && along.length > 0 && along.length < 6 && (
          <Button
            onClick={() => {
              send(bikeChosen(first))
              void navigate(washTogether(along))
            }}
          >
            {words.planOneWashForAll}
          </Button>
        )}
      </div>
      <p role="status" className="mt-1 text-sm text-rust empty:hidden">
        {said}
      </p>
    </section>
  )
}
