import { readFileSync, readdirSync } from 'node:fs'

/** What Chromium's processes that run pages hold, MB: what several of them share is counted once between them. */
export function pagesMb(): number {
  let kb = 0
  for (const pid of readdirSync('/proc')) {
    if (!/^\d+$/.test(pid)) continue
    try {
      const command = readFileSync(`/proc/${pid}/cmdline`, 'utf8')
      if (!command.includes('--type=renderer')) continue
      const held = readFileSync(`/proc/${pid}/smaps_rollup`, 'utf8')
      kb += Number(/^Pss:\s+(\d+)/m.exec(held)?.[1] ?? 0)
    } catch {
      // It ended meanwhile.
    }
  }
  return kb / 1024
}
