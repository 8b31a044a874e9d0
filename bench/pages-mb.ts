import { readFileSync, readdirSync } from 'node:fs'

/** What each of Chromium's processes that run pages holds, MB: what several of them share is counted once between them. */
function eachMb(): number[] {
  return readdirSync('/proc').flatMap((pid) => {
    if (!/^\d+$/.test(pid)) return []
    try {
      const command = readFileSync(`/proc/${pid}/cmdline`, 'utf8')
      if (!command.includes('--type=renderer')) return []
      const held = readFileSync(`/proc/${pid}/smaps_rollup`, 'utf8')
      return [Number(/^Pss:\s+(\d+)/m.exec(held)?.[1] ?? 0) / 1024]
    } catch {
      // It ended meanwhile.
      return []
    }
  })
}

/** What Chromium's processes that run pages hold together, MB, those that it keeps ready for the next page among them. */
export const pagesMb = (): number => eachMb().reduce((sum, one) => sum + one, 0)

/** What the heaviest of them holds, MB: where one page is open, that page and its workers. */
export const heaviestPageMb = (): number => Math.max(0, ...eachMb())
