import { drawingOf } from './drawn.ts'
import { words } from '../../words/ui/saving/picture.ts'

/** What of the look of an SVG's parts stands in the page's style sheet rather than in them. */
const LOOK = [
  'fill',
  'fill-opacity',
  'fill-rule',
  'stroke',
  'stroke-width',
  'stroke-dasharray',
  'stroke-linecap',
  'stroke-linejoin',
  'stroke-opacity',
  'opacity',
  'font-family',
  'font-size',
  'font-weight',
  'letter-spacing',
  'text-anchor',
  'dominant-baseline',
  'visibility',
  'display',
] as const

/** An SVG of the page as a file of its own: its look, which the page's style sheet gives it here, written into it. */
export function svgTextOf(svg: SVGElement): string {
  const copy = svg.cloneNode(true) as SVGElement
  const [parts, copies] = [
    [svg, ...svg.querySelectorAll('*')],
    [copy, ...copy.querySelectorAll('*')],
  ]
  parts.forEach((part, i) => {
    const style = getComputedStyle(part)
    for (const name of LOOK) {
      const value = style.getPropertyValue(name)
      if (value !== '') copies[i]?.setAttribute(name, value)
    }
    copies[i]?.removeAttribute('class')
    copies[i]?.removeAttribute('style')
  })
  const { width, height } = svg.getBoundingClientRect()
  if (!copy.getAttribute('viewBox')) copy.setAttribute('viewBox', `0 0 ${width} ${height}`)
  copy.setAttribute('width', String(width))
  copy.setAttribute('height', String(height))
  return new XMLSerializer().serializeToString(copy)
}

const svgIn = (element: Element): SVGElement | undefined =>
  element instanceof SVGElement ? element : (element.querySelector('svg') ?? undefined)

/** A drawing of the page as SVG; undefined for one that is painted only. */
export async function asSvg(element: Element): Promise<string | undefined> {
  const drawing = drawingOf(element)
  if (drawing?.svg) return drawing.svg()
  const svg = drawing ? undefined : svgIn(element)
  return svg && svgTextOf(svg)
}

/** Pixels to a CSS pixel of a saved picture: sharp in print. */
const RATIO = 3

const base64 = async (url: string): Promise<string> => {
  const bytes = new Uint8Array(await (await fetch(url)).arrayBuffer())
  let text = ''
  for (const byte of bytes) text += String.fromCharCode(byte)
  return btoa(text)
}

const isFace = (rule: CSSRule): rule is CSSFontFaceRule => rule instanceof CSSFontFaceRule

/** The faces that an SVG's words are set in: a picture of its own sees none of the page's. */
async function facesOf(text: string): Promise<string> {
  const rules = [...document.styleSheets].flatMap((sheet) => [...sheet.cssRules].filter(isFace))
  const wanted = rules.filter(({ style }) => {
    const family = style.getPropertyValue('font-family').replace(/["']/g, '')
    const range = style.getPropertyValue('unicode-range')
    return text.includes(family) && (range === '' || /U\+0+-/i.test(range))
  })
  const faces = await Promise.all(
    wanted.map(async ({ style, parentStyleSheet }) => {
      const source = /url\(["']?([^"')]+)/.exec(style.getPropertyValue('src'))?.[1]
      if (source === undefined) return ''
      const url = new URL(source, parentStyleSheet?.href ?? location.href).href
      return `@font-face{font-family:${style.getPropertyValue('font-family')};font-weight:${style.getPropertyValue('font-weight') || words.normal};src:url(data:font/woff2;base64,${await base64(url)})}`
    }),
  )
  return faces.join('')
}

/** An SVG with its faces in it. */
async function withFaces(text: string): Promise<string> {
  const faces = await facesOf(text).catch(() => '')
  return text.replace(/^(<svg[^>]*>)/, `$1<style>${faces}</style>`)
}

const painted = (text: string): Promise<HTMLImageElement> =>
  new Promise((resolve, reject) => {
    const image = new Image()
    const url = URL.createObjectURL(new Blob([text], { type: 'image/svg+xml' }))
    image.onload = () => {
      URL.revokeObjectURL(url)
      resolve(image)
    }
    image.onerror = () => {
      URL.revokeObjectURL(url)
      reject(new Error('The drawing could not be painted.'))
    }
    image.src = url
  })

function onPaper(element: Element, width: number, height: number): CanvasRenderingContext2D | undefined {
  const canvas = document.createElement('canvas')
  canvas.width = Math.round(width)
  canvas.height = Math.round(height)
  const ctx = canvas.getContext('2d') ?? undefined
  if (ctx) {
    ctx.fillStyle = getComputedStyle(element).getPropertyValue('--paper').trim() || 'white'
    ctx.fillRect(0, 0, canvas.width, canvas.height)
  }
  return ctx
}

/**
 * A drawing of the page as PNG, on the paper of the theme.
 * @returns undefined where the browser cannot
 */
export async function asPng(element: Element): Promise<Blob | undefined> {
  const drawing = drawingOf(element)
  const source = drawing?.canvas?.(RATIO)
  const text = source ? undefined : await asSvg(element)
  const image = text === undefined ? undefined : await painted(await withFaces(text))
  const size = source ?? { width: (image?.width ?? 0) * RATIO, height: (image?.height ?? 0) * RATIO }
  const ctx = onPaper(element, size.width, size.height)
  const from = source ?? image
  if (!ctx || !from || size.width === 0) return undefined
  ctx.drawImage(from, 0, 0, ctx.canvas.width, ctx.canvas.height)
  return new Promise((resolve) => ctx.canvas.toBlob((blob) => resolve(blob ?? undefined), 'image/png'))
}
