/** How something on the page can be drawn once more, to be saved. */
export interface Drawing {
  /** As SVG. */
  readonly svg?: () => Promise<string>
  /** On a canvas of its own, with so many pixels to each CSS pixel. */
  readonly canvas?: (ratio: number) => HTMLCanvasElement
}

const drawings = new WeakMap<Element, Drawing>()

/** Says how an element can be drawn once more. Whoever draws by script says so; an SVG in the page needs no word. */
export const drawnBy = (element: Element, drawing: Drawing): void => void drawings.set(element, drawing)

/** How an element, or what is drawn in it, can be drawn once more; undefined where it is not drawn by script. */
export function drawingOf(element: Element): Drawing | undefined {
  const own = drawings.get(element)
  if (own) return own
  for (const inner of element.querySelectorAll('*')) {
    const held = drawings.get(inner)
    if (held) return held
  }
  return undefined
}
