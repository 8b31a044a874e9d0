import { readdirSync, readFileSync } from 'node:fs'

const pause = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms))

/** Kills every process of the browser that keeps its profile in a folder, at once, and waits until none is left. */
export async function pullThePlug(folder: string): Promise<void> {
  for (let i = 0; i < 100 && killAll(folder) > 0; i++) await pause(20)
}

function killAll(folder: string): number {
  let found = 0
  for (const pid of readdirSync('/proc').filter((name) => /^\d+$/.test(name)))
    try {
      const command = readFileSync(`/proc/${pid}/cmdline`, 'utf8')
      if (!command.includes('chrom') || !command.includes(folder)) continue
      found++
      process.kill(Number(pid), 'SIGKILL')
    } catch {
      // It ended meanwhile.
    }
  return found
}
