import type { World } from '../core/log/world.ts'

/** A file of the folder that was passed over. */
interface Passed {
  readonly name: string
  readonly why: World | 'unreadable' | 'partial'
  /** What is wrong with it, as a sentence. */
  readonly said: string
}

/** A file of another device that was not taken in, or not whole: by its name, with what is wrong and what comes of it. */
export function sayPassed({ name, why, said }: Passed): string {
  switch (why) {
    case 'demo':
      return `${name}: the demo’s made-up records. Passed over.`
    case 'own':
      return `${name}: somebody’s own records. The demo passes them over.`
    case 'unreadable':
      // What to do with a backup that somebody chose does not fit here: the device that wrote it writes it anew.
      return `${name}: ${said.replace(/(?<=\.)\s.*$/s, '')} Open Jolt Mile on the device it comes from: the file is written again there.`
    case 'partial':
      return `${name}: ${said} What could be read of it came in.`
  }
}
