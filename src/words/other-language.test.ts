import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import ts from 'typescript'
import { pseudo, pseudoSource } from '../../test/pseudo-words.ts'

/** A module of words in the made-up language. */
function turned(source: string): string {
  const host = ts.createCompilerHost({})
  const read = host.getSourceFile.bind(host)
  host.getSourceFile = (name, ...rest) =>
    name === 'words.ts'
      ? ts.createSourceFile(name, source, ts.ScriptTarget.Latest, true)
      : read(name, ...rest)
  const program = ts.createProgram(['words.ts'], { noLib: true }, host)
  const file = program.getSourceFile('words.ts')
  if (!file) throw new Error('the module is gone')
  return pseudoSource(file, program.getTypeChecker())
}

describe('the made-up language', () => {
  test('law: no plain letter is left, and a text is at least 40 % longer', () => {
    fc.assert(
      fc.property(fc.stringMatching(/^[A-Za-z ,.:%0-9]{0,60}$/), (text) => {
        const letters = text.match(/[A-Za-z]/g)?.length ?? 0
        const said = pseudo(text)
        expect(said).not.toMatch(/[A-Za-z]/)
        if (letters > 0)
          expect(said.length).toBeGreaterThanOrEqual(text.trimEnd().length + Math.round(0.35 * letters))
        else expect(said).toBe(text)
      }),
    )
  })

  test('figures and the end of a sentence stay where they are', () => {
    expect(pseudo('Swap it.')).toMatch(/\.$/)
    expect(pseudo('0.75 %')).toBe('0.75 %')
  })

  test('what is read aloud is turned; what the code goes by stays', () => {
    const source = `
      type Way = 'wipe' | 'bath'
      const way: Way = 'wipe'
      export const say = (n: number, way: Way) => way === 'bath' ? \`\${n} chain baths\` : 'a wipe'
      export const station = { path: '/miles', key: 'm', name: 'Miles' }
      export const day = new Intl.DateTimeFormat('en-GB')
      switch (way) { case 'wipe': break }
    `
    const said = turned(source)
    for (const kept of ["'wipe'", "'bath'", "'/miles'", "key: 'm'", "'en-GB'"]) expect(said).toContain(kept)
    for (const gone of ['chain baths', "'a wipe'", "'Miles'"]) expect(said).not.toContain(gone)
    expect(said).toContain('${n}')
  })

  test('what it writes is still a module', () => {
    const said = turned(
      "export const words = { it: 'it’s \\'here\\'', two: (a: string) => `a \\`b\\` ${a} c` }",
    )
    const { parseDiagnostics } = ts.createSourceFile('x.ts', said, ts.ScriptTarget.Latest) as unknown as {
      readonly parseDiagnostics: readonly unknown[]
    }
    expect(parseDiagnostics).toEqual([])
  })
})
