import type { AsideEntry, AsideReason } from '../../core/log/aside.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { useSafeKeeping } from '../../session/safe-keeping.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { Section } from '../../ui/parts/Section.tsx'
import { useNotice } from '../../ui/parts/notices.tsx'
import { sayCount } from '../../words/numbers.ts'
import { words } from '../../words/stations/files/aside.ts'

const SHOWN = 20

const WHY: Readonly<Record<AsideReason, (count: string, many: boolean) => string>> = {
  newer: (count, many) => words.aNewerVersionOfTheApp(count, many ? words.need : words.needs),
  unsound: (count, many) => words.somethingThatCannotBe(count, many ? words.hold : words.holds),
  damaged: (count, many) => words.damaged(count, many ? words.are : words.is),
  differs: (count, many) => words.fromTheOneInThisLog(count, many ? words.differ : words.differs),
  removed: (count, many) => words.setAsideByHand(count, many ? words.were : words.was),
}

function Group({ why, held }: { readonly why: AsideReason; readonly held: readonly AsideEntry[] }) {
  const { ledger } = useOpenLog()
  const tell = useNotice()
  const putBack = (text: string) =>
    void ledger.takeBack([text]).then(
      (merge) => tell(merge.added.length + merge.known > 0 ? words.putBackIntoTheLog : words.itStillCannotBe),
      () => tell(words.itCouldNotBe),
    )
  const forget = (one: AsideEntry) =>
    void ledger.forget(one.text).then(
      () => tell(words.deleted, { label: words.undo, run: () => void ledger.merge([], [one]) }),
      () => tell(words.itCouldNotBeDeleted),
    )
  return (
    <div className="mt-3 first:mt-0">
      <h3 className="text-[0.95rem] font-semibold">
        {WHY[why](sayCount(held.length, 'entry'), held.length > 1)}
      </h3>
      <ul className="divide-y divide-hairline border-y border-hairline">
        {held.slice(0, SHOWN).map((one) => {
          const { text, said } = one
          return (
            <li key={text} className="flex items-start justify-between gap-4 py-2 text-[0.95rem]">
              <div className="min-w-0">
                <p>{said}</p>
                <p className="line-clamp-2 font-mono text-xs [overflow-wrap:anywhere] text-steel">{text}</p>
              </div>
              <div className="flex shrink-0 gap-3">
                {why !== 'damaged' && (
                  <Button look="link" onClick={() => putBack(text)}>
                    {words.putBack}
                  </Button>
                )}
                <Button look="link" onClick={() => forget(one)}>
                  {words.delete}
                </Button>
              </div>
            </li>
          )
        })}
      </ul>
      {held.length > SHOWN && <p className="mt-1 text-sm text-steel">{words.andMore(held.length - SHOWN)}</p>}
    </div>
  )
}

/** What is kept beside the log because it cannot be counted. */
export function Aside() {
  const { aside } = useSafeKeeping()
  if (aside.length === 0) return null
  const reasons = (Object.keys(WHY) as AsideReason[]).filter((why) => aside.some((held) => held.why === why))
  return (
    <Section title={words.keptAside} note={words.theseCameFromABackup}>
      {reasons.map((why) => (
        <Group key={why} why={why} held={aside.filter((held) => held.why === why)} />
      ))}
    </Section>
  )
}
