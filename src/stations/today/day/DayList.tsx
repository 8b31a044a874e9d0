import { useVirtualizer } from '@tanstack/react-virtual'
import { useMemo, useRef, useState } from 'react'
import type { BikeId } from '../../../core/log/entry.ts'
import { DAY_GROUPS, DAY_ORDERS, type DayGroup, type DayOrder } from '../../../core/strategy/needs.ts'
import { useOpenLog } from '../../../session/log-context.ts'
import { useAskFirst } from '../../../session/use-forecasts.ts'
import type { JudgedBike } from '../../../session/verdicts.ts'
import { Button } from '../../../ui/parts/Button.tsx'
import { SelectField, TextField } from '../../../ui/parts/fields.tsx'
import { useUnits } from '../../../ui/screen-state.ts'
import { GROUP_NAMES, NEED_NAMES, ORDER_NAMES, sayGroup } from '../../../words/day-words.ts'
import { BulkBar } from './BulkBar.tsx'
import { DayRow } from './DayRow.tsx'
import { daySheet } from './day-sheet.ts'
import { useDayList, type DayListState, type DayWish, type ListedBike } from './use-day-list.ts'
import { fileName } from '../../../ui/file-name.ts'
import { SavePaper } from '../../../ui/parts/SavePaper.tsx'
import { words } from '../../../words/stations/today/day/day-list.ts'

const ROW_PX = 58
const HEAD_PX = 52

/** A line of the list: the heading of a group, or a bike. */
type Line =
  | { readonly is: 'head'; readonly title: string; readonly bikes: readonly BikeId[] }
  | { readonly is: 'bike'; readonly bike: ListedBike }

const linesOf = ({ groups, wish }: DayListState): readonly Line[] =>
  groups.flatMap(({ key, bikes }): Line[] => [
    { is: 'head', title: sayGroup(wish.group, key), bikes: bikes.map(({ entry }) => entry.bike) },
    ...bikes.map((bike): Line => ({ is: 'bike', bike })),
  ])

const WANTED = {
  any: words.allBikes,
  something: words.thoseThatNeedSomething,
  ...NEED_NAMES,
} satisfies Record<DayWish['need'], string>

function Toolbar({ list }: { readonly list: DayListState }) {
  const { wish, set } = list
  return (
    <div className="no-print mt-4 grid grid-cols-[minmax(12rem,1.4fr)_repeat(3,minmax(9rem,1fr))] gap-3 max-lg:grid-cols-2 max-sm:gap-2">
      <TextField
        label={words.findABikeOwner}
        type="search"
        value={wish.typed}
        onChange={({ target }) => set({ typed: target.value })}
      />
      <SelectField<DayWish['need']>
        label={words.show}
        options={WANTED}
        value={wish.need}
        onPick={(need) => set({ need })}
      />
      <SelectField<DayGroup>
        label={words.groupedBy}
        options={
          Object.fromEntries(DAY_GROUPS.map((one) => [one, GROUP_NAMES[one]])) as Record<DayGroup, string>
        }
        value={wish.group}
        onPick={(group) => set({ group })}
      />
      <SelectField<DayOrder>
        label={words.inOrderOf}
        options={
          Object.fromEntries(DAY_ORDERS.map((one) => [one, ORDER_NAMES[one]])) as Record<DayOrder, string>
        }
        value={wish.order}
        onPick={(order) => set({ order })}
      />
    </div>
  )
}

/** The list as PDF, with a box to tick for each bike. */
function PrintList({ list }: { readonly list: DayListState }) {
  const { garage, now } = useOpenLog()
  const units = useUnits()
  return (
    <SavePaper
      label={words.theListOnPaper}
      file={fileName('jolt-mile-day', now.slice(0, 10))}
      disabled={list.shown.length === 0}
      write={async (paper) => {
        const { paperPdf } = await import('../../../formats/paper-pdf.ts')
        return paperPdf(daySheet(list.groups, list.wish.group, garage, units, now), paper)
      }}
    />
  )
}

function GroupHead({
  line,
  list,
}: {
  readonly line: Extract<Line, { is: 'head' }>
  readonly list: DayListState
}) {
  const all = line.bikes.every((bike) => list.chosen.has(bike))
  return (
    <div className="flex h-full items-end justify-between gap-4 pb-1.5">
      <h2 className="text-[1.05rem] font-semibold">
        {line.title} <span className="font-normal text-steel">{line.bikes.length}</span>
      </h2>
      <Button look="link" className="text-sm" onClick={() => list.choose(line.bikes, !all)}>
        {all ? words.chooseNoneOfThese : words.chooseAllOfThese}
      </Button>
    </div>
  )
}

/** The list for many bikes: found, narrowed, grouped and sorted; several acted on in one go; printed as a day's list. */
export default function DayList({ lines: bikes }: { readonly lines: readonly JudgedBike[] }) {
  const list = useDayList(bikes)
  const lines = useMemo(() => linesOf(list), [list])
  const box = useRef<HTMLDivElement>(null)
  const [isEmptied, setEmptied] = useState(false)
  // The compiler cannot see through the virtualiser's functions; this component is not compiled.
  // eslint-disable-next-line react-hooks/incompatible-library
  const rows = useVirtualizer({
    count: lines.length,
    getScrollElement: () => box.current,
    estimateSize: (i) => (lines[i]?.is === 'head' ? HEAD_PX : ROW_PX),
    overscan: 6,
  })
  const seen = rows.getVirtualItems()
  const first = useMemo(
    () =>
      lines
        .slice(seen[0]?.index ?? 0, (seen.at(-1)?.index ?? 0) + 1)
        .flatMap((line) => (line.is === 'bike' && !line.bike.verdict ? [line.bike.entry.bike] : [])),
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [lines, seen[0]?.index, seen.at(-1)?.index],
  )
  useAskFirst(first)
  return (
    <>
      <Toolbar list={list} />
      <div className="no-print mt-3 flex flex-wrap items-center gap-4">
        <PrintList list={list} />
      </div>
      {lines.length === 0 ? (
        <p className="mt-4 border-t border-hairline py-4 text-steel">{words.noBikeIsLike}</p>
      ) : (
        <div
          ref={box}
          role="region"
          aria-label={words.bikes}
          tabIndex={0}
          className="mt-3 h-[min(46rem,72dvh)] overflow-y-auto border-y border-hairline"
        >
          <ul className="relative" style={{ height: rows.getTotalSize() }}>
            {seen.map(({ index, start, key }) => {
              const line = lines[index]
              return (
                line && (
                  <li
                    key={key}
                    ref={rows.measureElement}
                    data-index={index}
                    className="absolute inset-x-0"
                    style={{ top: start, minHeight: line.is === 'head' ? HEAD_PX : ROW_PX }}
                  >
                    {line.is === 'head' ? (
                      <GroupHead line={line} list={list} />
                    ) : (
                      <DayRow
                        bike={line.bike}
                        isChosen={list.chosen.has(line.bike.entry.bike)}
                        onChoose={(isChosen) => list.choose([line.bike.entry.bike], isChosen)}
                      />
                    )}
                  </li>
                )
              )
            })}
          </ul>
        </div>
      )}
      {list.chosen.size > 0 && (
        <BulkBar
          key={String(isEmptied)}
          bikes={list.shown.flatMap(({ entry }) => (list.chosen.has(entry.bike) ? [entry.bike] : []))}
          onDone={() => {
            list.choose([...list.chosen], false)
            setEmptied(!isEmptied)
          }}
        />
      )}
    </>
  )
}
