import { readdirSync, readFileSync } from 'node:fs'

/** Kills every process of the browser that keeps its profile in a folder, at once: as a power cut would. */
export function pullThePlug(folder: string): void {
  for (const pid of readdirSync('/proc').filter((name) => /^\d+$/.test(name)))
    try {
      const command = readFileSync(`/proc/${pid}/cmdline`, 'utf8')
      if (command.includes('chrom') && command.includes(folder)) process.kill(Number(pid), 'SIGKILL')
    } catch {
      // It ended meanwhile.
    }
}
