/** A cassette seen from behind, its cogs side by side, each as tall as it is large. Drawn beside its tooth counts. */
export function CassetteProfile({ teeth }: { readonly teeth: readonly number[] }) {
  const largest = Math.max(...teeth)
  return (
    <svg aria-hidden="true" viewBox={`0 0 ${teeth.length * 7 + 2} 56`} className="h-12 w-auto shrink-0">
      {teeth.map((cog, i) => {
        const height = (52 * cog) / largest
        return (
          <rect
            key={i}
            x={2 + i * 7}
            y={28 - height / 2}
            width={3.5}
            height={height}
            rx={1}
            className="fill-ink"
          />
        )
      })}
    </svg>
  )
}
