import { resolve } from 'node:path'
import ts from 'typescript'
import type { Plugin } from 'vite'

const LETTERS: Readonly<Record<string, string>> = Object.fromEntries(
  [...'abcdefghijklmnopqrstuvwxyzABCDEFGHIJKLMNOPQRSTUVWXYZ'].map((letter, i) => [
    letter,
    [...'àƀçđéƒĝĥïĵķļɱñöþɋŕšţûṽŵẋýžÀßÇÐÉƑĜĤÎĴĶĻṀÑÖÞɊŔŠŢÛṼŴẊÝŽ'][i] ?? letter,
  ]),
)

/** How much longer a text becomes: other languages need up to 40 % more room than English. */
const LONGER = 0.4

/**
 * A text in a language that does not exist: every letter with a mark, and 40 % longer, so that whatever is left in
 * plain letters on a screen has not come from the words' room, and whatever does not fit shows.
 */
export function pseudo(text: string): string {
  const count = text.match(/[A-Za-z]/g)?.length ?? 0
  if (count === 0) return text
  const more = Math.max(1, Math.round(count * LONGER))
  const pad = Array.from({ length: more }, (_, i) => (i % 7 === 6 ? ' ' : 'ẽ'))
    .join('')
    .trimEnd()
  const marked = [...text].map((letter) => LETTERS[letter] ?? letter).join('')
  const [, body = '', end = ''] = /^([\s\S]*?)([\s.,:;!?…]*)$/.exec(marked) ?? []
  return `${body}${count > 12 ? ' ' : ''}${pad}${end}`
}

const SILENT_CALLS =
  /(^|\.)(lightFormat|format|replace|replaceAll|startsWith|endsWith|includes|split|match|test|normalize|get|has|localeCompare)$/

const isLiteralType = (type: ts.Type | undefined): boolean =>
  type !== undefined &&
  ((type.flags & ts.TypeFlags.StringLiteral) !== 0 ||
    (type.isUnion() &&
      type.types.some((one) => (one.flags & ts.TypeFlags.StringLiteral) !== 0) &&
      !type.types.some((one) => (one.flags & ts.TypeFlags.String) !== 0)))

/** Whether a text in the source is something that is read aloud, rather than a name that the code goes by. */
function isSaid(node: ts.Expression, text: string, checker: ts.TypeChecker): boolean {
  if (!/[A-Za-z]{2}|^[A-Za-z] /.test(text) || /^[/#]|^[a-z]{2}-[A-Z]{2}$/.test(text)) return false
  let { parent } = node
  while (ts.isConditionalExpression(parent) || ts.isParenthesizedExpression(parent)) parent = parent.parent
  if (ts.isBinaryExpression(parent) && /^[!=]==?$|^in$/.test(parent.operatorToken.getText())) return false
  if (ts.isCaseClause(parent) || ts.isElementAccessExpression(parent) || ts.isLiteralTypeNode(parent))
    return false
  if (ts.isImportDeclaration(parent) || ts.isExportDeclaration(parent)) return false
  if (ts.isPropertyAssignment(parent)) {
    if (parent.name === (node as ts.Node)) return false
    // Where a form field, a route or a key of the keyboard has its name.
    if (/^(path|key|field|to|id|kind)$/.test(parent.name.getText()) && /^[a-z/#]/.test(text)) return false
  }
  if (ts.isNewExpression(parent)) return false
  if (ts.isCallExpression(parent) && SILENT_CALLS.test(parent.expression.getText())) return false
  return !isLiteralType(checker.getContextualType(node))
}

/** Turns what the modules of the words' room say into {@link pseudo} text; what they go by stays. */
export function pseudoSource(file: ts.SourceFile, checker: ts.TypeChecker): string {
  const edits: { readonly from: number; readonly to: number; readonly text: string }[] = []
  const replace = (node: ts.Node, text: string, before: number, after: number): void => {
    edits.push({ from: node.getStart(file) + before, to: node.end - after, text })
  }
  const escaped = (text: string): string => JSON.stringify(pseudo(text)).slice(1, -1).replaceAll('`', '\\`')
  const visit = (node: ts.Node): void => {
    if (ts.isTypeNode(node)) return
    if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) {
      if (isSaid(node, node.text, checker)) replace(node, JSON.stringify(pseudo(node.text)), 0, 0)
      return
    }
    if (ts.isJsxText(node)) {
      if (/[A-Za-z]/.test(node.text)) replace(node, pseudo(node.text), 0, 0)
      return
    }
    if (ts.isTemplateExpression(node) && isSaid(node, node.getText(file), checker)) {
      if (/[A-Za-z]/.test(node.head.text)) replace(node.head, escaped(node.head.text), 1, 2)
      for (const { literal } of node.templateSpans)
        if (/[A-Za-z]/.test(literal.text))
          replace(literal, escaped(literal.text), 1, ts.isTemplateTail(literal) ? 1 : 2)
    }
    ts.forEachChild(node, visit)
  }
  visit(file)
  let text = file.text
  for (const { from, to, text: said } of edits.sort((a, b) => b.from - a.from))
    text = text.slice(0, from) + said + text.slice(to)
  return text
}

/** A build in {@link pseudo} words, for a test that looks for what has no translation and what has no room. */
export function pseudoWords(): Plugin {
  const config = ts.getParsedCommandLineOfConfigFile(
    'tsconfig.json',
    {},
    { ...ts.sys, onUnRecoverableConfigFileDiagnostic: () => undefined },
  )
  const program = ts.createProgram(
    config?.fileNames.filter((name) => /\/src\//.test(name)) ?? [],
    config?.options ?? {},
  )
  const checker = program.getTypeChecker()
  const room = resolve('src/words')
  return {
    name: 'pseudo-words',
    enforce: 'pre',
    transform(_code, id) {
      const path = id.split('?')[0] ?? id
      const file = path.startsWith(`${room}/`) ? program.getSourceFile(path) : undefined
      return file === undefined ? undefined : { code: pseudoSource(file, checker), map: null }
    },
  }
}
