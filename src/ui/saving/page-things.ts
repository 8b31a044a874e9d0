import { drawingOf } from './drawn.ts'
import { words } from '../../words/ui/saving/page-things.ts'

/** A drawing or a table of the page. */
export interface PageThing {
  readonly kind: 'drawing' | 'table'
  /** What it shows, as it is told to those who do not see it. */
  readonly name: string
  readonly element: Element
}

const named = (element: Element, root: Document): string => {
  const label = element.getAttribute('aria-label')
  if (label) return label
  const ids = element.getAttribute('aria-labelledby')?.split(/\s+/) ?? []
  const said = ids.map((id) => root.getElementById(id)?.textContent ?? '').join(' ')
  if (said.trim() !== '') return said.trim()
  const caption = element.querySelector('caption, title')?.textContent
  if (caption) return caption.trim()
  const heading = element.closest('section')?.querySelector('h1, h2, h3')
  return heading?.textContent?.trim() ?? ''
}

/** Smaller than this is a mark beside words, not a drawing, px. */
const LEAST_PX = 90

function isDrawing(element: Element): boolean {
  if (element.parentElement?.closest('[role="img"]')) return false
  const isDrawn = element instanceof SVGElement || element.querySelector('svg') || drawingOf(element)
  return Boolean(isDrawn) && element.getBoundingClientRect().width >= LEAST_PX
}

const clear = (text: string): string => text.replace(/\s+/g, ' ').trim()

/** The drawings and tables of a part of the page, in their order; each with a name. */
export function thingsOn(part: Element): readonly PageThing[] {
  const root = part.ownerDocument
  return [...part.querySelectorAll('[role="img"], table')].flatMap((element): PageThing[] => {
    const kind = element.tagName === 'TABLE' ? 'table' : 'drawing'
    if (kind === 'drawing' && !isDrawing(element)) return []
    const name = clear(named(element, root))
    return [{ kind, name: name === '' ? (kind === 'table' ? words.table : words.drawing) : name, element }]
  })
}
