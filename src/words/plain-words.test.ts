import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { describe, expect, test } from '@jest/globals'

/** Phrases that sound translated or old: nobody would say them at the stand. Add to them, never take away. */
const BANNED: readonly RegExp[] = [
  /\bnobody (has )?(said|looked|measured)\b/i,
  /\bwants? (to be|to go|wip|wax|swap|lub|a surface|care)/i,
  /\bcalls? (today|too)\b/i,
  /\b(was|were|is|been|be) told\b/i,
  /\btold (by|from|since|with)\b/i,
  /\bas lately\b/i,
  /\breckon/i,
  /\bguesswork\b/i,
  /\banew\b/i,
  /\bput right\b/i,
  /\bhung up\b/i,
  /\blook round\b/i,
  /\bleft bare\b/i,
  /\bis to go\b/i,
  /\bgo(es)? together\b/i,
  /\bthe wider for\b/i,
  /\bat the door\b/i,
  /\bof one[’']s own\b/i,
  /\bcome by\b/i,
  /\bin what nobody\b/i,
  /\ball the same\b/i,
  /\bto be expected\b/i,
]

const filesIn = (folder: string): string[] =>
  readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name)
    if (entry.isDirectory()) return filesIn(path)
    return /\.tsx?$/.test(entry.name) && !/\.test\./.test(entry.name) ? [path] : []
  })

const withoutComments = (source: string): string =>
  source.replace(/\/\*[\s\S]*?\*\//g, '').replace(/(^|\s)\/\/.*$/gm, '$1')

/** What of a source file can end up on a screen: its texts between quotes, and between tags. */
function textsOf(source: string): string[] {
  const code = withoutComments(source)
  const quoted = [...code.matchAll(/(['"`])((?:\\.|(?!\1)[^\n])*)\1/g)].map((match) => match[2] ?? '')
  const tagged = [...code.matchAll(/>([^<>{}=;]+)[<{]|\}([^<>{}=;]+)[<{]/g)].map(
    (match) => match[1] ?? match[2] ?? '',
  )
  return [...quoted, ...tagged].filter((text) => /[a-z] [a-z]/i.test(text))
}

const faultsIn = (source: string): string[] =>
  textsOf(source).filter((text) => BANNED.some((phrase) => phrase.test(text.replace(/\s+/g, ' '))))

describe('what people read', () => {
  test('has none of the phrases that nobody would say at the stand', () => {
    const found = filesIn('src').flatMap((path) =>
      faultsIn(readFileSync(path, 'utf8')).map((text) => `${path}: ${text.trim()}`),
    )
    expect(found).toEqual([])
  })

  test('is found in quotes and between tags, and not in comments', () => {
    expect(faultsIn("const a = 'Its chain wants to be swapped.'")).toHaveLength(1)
    expect(faultsIn('<p>\n  Worked out\n  anew with {what}\n</p>')).toHaveLength(1)
    expect(faultsIn('// Worked out anew\n/* was told by */ const a = 1')).toEqual([])
  })
})
