import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { describe, expect, test } from '@jest/globals'
import ts from 'typescript'

const filesIn = (folder: string): string[] =>
  readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name)
    if (entry.isDirectory()) return filesIn(path)
    return /\.tsx$/.test(entry.name) && !/\.test\./.test(entry.name) ? [path] : []
  })

/** Attributes that are read aloud or shown. */
const SAID =
  /^(label|title|aria-label|aria-valuetext|placeholder|alt|hint|note|legend|summary|question|heading|fault)$/

/** What a screen says in its own source, where it cannot be found by somebody who translates. */
function wordsIn(source: string): string[] {
  const file = ts.createSourceFile('screen.tsx', source, ts.ScriptTarget.Latest, true, ts.ScriptKind.TSX)
  const found: string[] = []
  const see = (text: string): void => {
    if (/[A-Za-z]{2}/.test(text)) found.push(text.trim())
  }
  const visit = (node: ts.Node): void => {
    if (ts.isJsxText(node)) see(node.text.replace(/&\w+;/g, ' '))
    if (ts.isJsxAttribute(node) && SAID.test(node.name.getText(file))) {
      const value = node.initializer
      if (value && ts.isStringLiteral(value)) see(value.text)
    }
    // A choice between two texts, or a text with a figure in it, between tags.
    if (ts.isJsxExpression(node) && !ts.isJsxAttribute(node.parent)) seeTexts(node)
    ts.forEachChild(node, visit)
  }
  const seeTexts = (node: ts.Node): void => {
    ts.forEachChild(node, (child) => {
      if (ts.isStringLiteral(child) && (ts.isConditionalExpression(node) || ts.isBinaryExpression(node))) {
        const isCompared =
          ts.isBinaryExpression(node) && /^([!=]==|in)$/.test(node.operatorToken.getText(file))
        if (!isCompared) see(child.text)
      }
      if (ts.isTemplateExpression(child))
        see([child.head.text, ...child.templateSpans.map(({ literal }) => literal.text)].join(' '))
      if (
        ts.isConditionalExpression(child) ||
        ts.isBinaryExpression(child) ||
        ts.isParenthesizedExpression(child)
      )
        seeTexts(child)
    })
  }
  visit(file)
  return found
}

describe('the home of the words', () => {
  test('no screen says anything in its own source', () => {
    const found = ['src/app', 'src/stations', 'src/ui']
      .flatMap(filesIn)
      .flatMap((path) => wordsIn(readFileSync(path, 'utf8')).map((text) => `${path}: ${text}`))
    expect(found).toEqual([])
  })

  test.each([
    ['<p>Save it</p>', ['Save it']],
    ['<Field label="Length, mm" className="flex grow" />', ['Length, mm']],
    ["<p>{late ? 'too late' : words.inTime}</p>", ['too late']],
    ['<p>{`${n} rides`}</p>', ['rides']],
    ["<p>{word === 'swap' ? words.now : words.later}</p>", []],
    ['<p>{words.save}: {name}&nbsp;%</p>', []],
  ])('in %s it finds %j', (source, expected) => {
    expect(wordsIn(`const it = ${source}`)).toEqual(expected)
  })
})
