import type { AsideEntry } from '../core/log/aside.ts'
import type { KeptPicture } from '../core/log/kept-picture.ts'
import type { Entry } from '../core/log/entries.ts'
import { canonicalText } from '../core/log/canonical-text.ts'
import type { BackupContents } from './backup-contents.ts'
import { words } from '../words/formats/verify-backup.ts'

/**
 * Compares what a backup gives back with what was to be saved, entry for entry. Asked of every backup before it is
 * called saved.
 * @returns in a few words what is missing or different; undefined where all is there
 */
export function differenceOf(
  contents: BackupContents,
  entries: readonly Entry[],
  aside: readonly AsideEntry[],
  pictures: readonly KeptPicture[] = [],
): string | undefined {
  if (contents.remark !== undefined) return contents.remark
  const back = new Map(contents.entries.map((entry) => [entry.id, entry]))
  const lost = entries.filter((entry) => {
    const read = back.get(entry.id)
    return read === undefined || canonicalText(read) !== canonicalText(entry)
  })
  if (lost.length > 0) return words.ofEntriesDoNot(lost.length, entries.length)
  const shown = new Map(contents.pictures.map(({ id, jpeg }) => [id, jpeg.length]))
  const unseen = pictures.filter(({ id, jpeg }) => shown.get(id) !== jpeg.length).length
  if (unseen > 0) return words.ofPicturesDoNot(unseen, pictures.length)
  const beside = new Set(contents.aside.map(({ text }) => text))
  // What was kept aside may have become readable meanwhile: it then comes back as an entry.
  const missing = aside.filter(({ text }) => !beside.has(JSON.stringify(JSON.parse(text)))).length
  return missing > contents.entries.length - entries.length
    ? words.ofTheEntriesKept(missing, aside.length)
    : undefined
}
