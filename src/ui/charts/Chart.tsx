import clsx from 'clsx'
import { useEffect, useId, useRef, useState, type ReactNode } from 'react'
import { useScreen } from '../screen-state.ts'
import type { ChartOption } from './echarts.ts'
import { drawnBy } from '../saving/drawn.ts'
import { inkOf, type Ink } from './ink.ts'
import { words } from '../../words/ui/charts/chart.ts'

interface Props {
  /** What is drawn, given the palette and the width in px. */
  readonly option: (ink: Ink, width: number) => ChartOption
  /** The sentence the chart shows, for those who do not see it. */
  readonly sentence: string
  readonly className?: string
  /** The numbers behind it: heads and rows. */
  readonly table: { readonly heads: readonly string[]; readonly rows: readonly (readonly ReactNode[])[] }
}

/** A chart with its sentence and, to be opened below it, its table. The library is loaded when first needed. */
export function Chart({ option, sentence, className, table }: Props) {
  const box = useRef<HTMLDivElement>(null)
  const theme = useScreen((state) => state.screen.theme)
  const [width, setWidth] = useState(0)
  const caption = useId()

  useEffect(() => {
    const element = box.current
    if (!element) return undefined
    const watcher = new ResizeObserver(([entry]) => setWidth(Math.round(entry?.contentRect.width ?? 0)))
    watcher.observe(element)
    return () => watcher.disconnect()
  }, [])

  useEffect(() => {
    const element = box.current
    if (!element || width === 0) return undefined
    let dispose = (): void => undefined
    let wanted = true
    void Promise.all([import('./echarts.ts'), document.fonts.ready]).then(([{ init }]) => {
      if (!wanted) return
      const chart = init(element)
      chart.setOption({ animation: false, ...option(inkOf(element), width) })
      drawnBy(element, {
        svg: async () => {
          const ink = inkOf(element)
          // The writer of SVG sets the face between double quotes as it is.
          const quoted = { ...ink, sans: ink.sans.replaceAll('"', "'") }
          const { chartSvg } = await import('./chart-svg.ts')
          return chartSvg(
            { animation: false, ...option(quoted, width) },
            { width, height: element.clientHeight },
          )
        },
        canvas: (ratio) => chart.renderToCanvas({ pixelRatio: ratio }),
      })
      element.dataset['drawn'] = 'true'
      dispose = () => chart.dispose()
    })
    return () => {
      wanted = false
      dispose()
    }
  }, [option, width, theme])

  return (
    <figure className="m-0 min-w-0">
      <div ref={box} role="img" aria-labelledby={caption} className={clsx('w-full', className)} />
      <figcaption id={caption} className="sr-only">
        {sentence}
      </figcaption>
      <details className="no-print mt-1 text-sm text-steel">
        <summary className="inline-block min-h-6 cursor-pointer underline underline-offset-4">
          {words.theNumbers}
        </summary>
        <div className="max-h-64 overflow-auto" role="region" aria-label={words.theNumbers2} tabIndex={0}>
          <table className="mt-2 w-full max-w-xl border-collapse text-left">
            <thead>
              <tr>
                {table.heads.map((head) => (
                  <th key={head} scope="col" className="border-b border-hairline py-1 pr-4 font-medium">
                    {head}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {table.rows.map((row, i) => (
                <tr key={i}>
                  {row.map((cell, j) => (
                    <td key={j} className="border-b border-hairline/60 py-1 pr-4">
                      {cell}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      </details>
    </figure>
  )
}
