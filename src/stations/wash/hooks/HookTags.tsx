import { create } from 'qrcode'
import { useState } from 'react'
import { useHref } from 'react-router'
import { Button } from '../../../ui/parts/Button.tsx'
import { Sheet } from '../../../ui/parts/Sheet.tsx'
import { logAddress } from '../../../words/places.ts'
import { words } from '../../../words/stations/wash/hooks/hook-tags.ts'

interface Tagged {
  readonly id: string
  readonly name: string
}

/** A tag for a hook: the chain's name, and a code that opens it on the phone. */
function Tag({ chain, bike }: { readonly chain: Tagged; readonly bike: string }) {
  const href = useHref(logAddress({ about: chain.id }))
  const { modules } = create(new URL(href, window.location.href).href, { errorCorrectionLevel: 'M' })
  const { size } = modules
  const dark = Array.from({ length: size * size }, (_, i) =>
    modules.get(Math.floor(i / size), i % size) ? `M${i % size} ${Math.floor(i / size)}h1v1h-1z` : '',
  ).join('')
  return (
    <li className="flex break-inside-avoid items-center gap-4 border border-ink p-3">
      {/* Black on white in both themes: a phone reads it. */}
      <svg
        viewBox={`-2 -2 ${size + 4} ${size + 4}`}
        role="img"
        aria-label={words.codeThatOpens(chain.name)}
        className="size-28 shrink-0"
      >
        <rect x={-2} y={-2} width={size + 4} height={size + 4} fill="#fff" />
        <path d={dark} fill="#000" shapeRendering="crispEdges" />
      </svg>
      <span>
        <span className="block text-[1.4rem] font-semibold">{chain.name}</span>
        <span className="block text-steel">{bike}</span>
      </span>
    </li>
  )
}

/** Tags to print, one for each hook. */
export function HookTags({ chains, bike }: { readonly chains: readonly Tagged[]; readonly bike: string }) {
  const [isOpen, setOpen] = useState(false)
  return (
    <>
      <Button onClick={() => setOpen(true)}>{words.printTagsForTheHooks}</Button>
      <Sheet title={words.tagsForTheHooks} open={isOpen} onClose={() => setOpen(false)}>
        <p className="no-print text-[0.95rem] text-steel">{words.cutThemOutAndHang}</p>
        <ul aria-label={words.tags} className="mt-3 grid grid-cols-2 gap-3 max-sm:grid-cols-1">
          {chains.map((chain) => (
            <Tag key={chain.id} chain={chain} bike={bike} />
          ))}
        </ul>
        <Button look="firm" className="no-print mt-4" onClick={() => window.print()}>
          {words.print}
        </Button>
      </Sheet>
    </>
  )
}
