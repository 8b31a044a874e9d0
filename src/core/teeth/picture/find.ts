import { likelyCentres, type Place } from './centre.ts'
import { climbed, combAt, combsRound, likelyCombs, type Comb } from './comb.ts'
import { gradientsOf, steeper, type Gradients } from './gradients.ts'
import { blurred, halved, mixed, type Colours } from './pixels.ts'

/** Light alone, and colour alone: metal on wood differs by the second where the first only shows the grain. */
export const LIGHT = [1 / 3, 1 / 3, 1 / 3] as const
export const WARMTH = [1, 0, -1] as const

/** Steps of light or of colour, whichever is the steeper at a place. */
export const anySteps = (colours: Colours, blurPx: number): Gradients =>
  steeper(
    gradientsOf(blurred(mixed(colours, LIGHT), blurPx)),
    gradientsOf(blurred(mixed(colours, WARMTH), blurPx)),
  )

/** A comb this strong is one; weaker ones are chance. Between the two it is looked at more closely. */
const SURE = 0.4
const LEAST = 0.28
/** Numbers of teeth of the sprockets there are. */
const COUNTS = Array.from({ length: 48 }, (_, i) => i + 9)
/** A second comb so strong beside the first is another sprocket. */
const AS_STRONG = 0.6

/** Another number of teeth so many times as strong is the right one. */
const RIVAL = 1.4

/** The right number of teeth is so many times as strong as the next. */
const CLEAR = 2.2
const SAME_SIZE = 0.12

/** What a look for combs finds. */
export type Combs =
  | { readonly combs: readonly Comb[] }
  | { readonly none: true }
  /** Another number of teeth than was asked for. */
  | { readonly counted: number }
  | { readonly several: true }

interface View {
  readonly coarse: Gradients
  readonly tiny: Gradients
  readonly places: readonly Place[]
}

const strongest = (combs: readonly Comb[]): readonly Comb[] =>
  [...combs].sort((a, b) => b.strength - a.strength)

/** The strongest combs of so many teeth round the likely centres of one view, and wherever else, where those tell too little. */
function combsOf({ coarse, tiny, places }: View, teeth: number, everywhere: boolean): readonly Comb[] {
  const all = everywhere
    ? likelyCombs(tiny, teeth, 3).map(({ centre }) => ({ x: 2 * centre.x + 0.5, y: 2 * centre.y + 0.5 }))
    : places
  return strongest(all.flatMap((place) => combAt(coarse, place, teeth) ?? []))
    .slice(0, 2)
    .map((comb) => climbed(coarse, comb))
}

/** The strongest comb of any number of teeth round some places, and whether its number stands out: a part of a comb has many. */
function anyComb(
  views: readonly View[],
  places: readonly Place[],
): { readonly comb: Comb; readonly clear: boolean } | undefined {
  const [best] = views
    .flatMap((view) =>
      [...places, ...view.places].flatMap((place) =>
        strongest(combsRound(view.coarse, place, COUNTS))
          .slice(0, 1)
          .map((comb) => ({ view, comb: climbed(view.coarse, comb) })),
      ),
    )
    .sort((a, b) => b.comb.strength - a.comb.strength)
  if (!best) return undefined
  const { comb } = best
  // Twice as many teeth are in every comb too, and what is much smaller or larger is another's.
  const others = combsRound(best.view.coarse, comb.centre, COUNTS).filter(
    ({ teeth, pxPerMm }) =>
      teeth % comb.teeth !== 0 &&
      Math.abs(Math.log((teeth * pxPerMm) / (comb.teeth * comb.pxPerMm))) < SAME_SIZE,
  )
  const second = strongest(others)[0]?.strength ?? 0
  return { comb, clear: comb.strength >= Math.max(SURE, CLEAR * second) }
}

/**
 * The likeliest combs of so many teeth in a picture of about 400 pixels.
 * @returns in that picture's pixels, the strongest first; or that there are none, or others
 */
export function combsIn(coarse: Colours, teeth: number): Combs {
  const tiny = halved(coarse)
  const views = [LIGHT, WARMTH].map((mix): View => {
    const gradients = gradientsOf(blurred(mixed(coarse, mix), 1))
    return {
      coarse: gradients,
      tiny: gradientsOf(blurred(mixed(tiny, mix), 0.8)),
      places: likelyCentres(gradients, 3),
    }
  })
  let combs = strongest(views.flatMap((view) => combsOf(view, teeth, false)))
  if (!((combs[0]?.strength ?? 0) >= SURE))
    combs = strongest([...combs, ...views.flatMap((view) => combsOf(view, teeth, true))])
  const best = combs[0]
  const rival = anyComb(views, best ? [best.centre] : [])
  if (rival && rival.comb.teeth !== teeth) {
    if (rival.clear) return { counted: rival.comb.teeth }
    if (rival.comb.strength > RIVAL * (best?.strength ?? 0)) return { none: true }
  }
  if (!best || best.strength < LEAST) return { none: true }
  const isOther = ({ centre, strength, pxPerMm }: Comb): boolean =>
    strength > AS_STRONG * best.strength &&
    strength >= SURE &&
    Math.hypot(centre.x - best.centre.x, centre.y - best.centre.y) > teeth * pxPerMm
  if (combs.some(isOther)) return { several: true }
  return { combs: combs.slice(0, 3) }
}
