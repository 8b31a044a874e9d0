import type { Workings } from '../../core/wear/rider-outlook.ts'
import { sayCount } from '../../words/numbers.ts'

const row = (name: string, figure: string, means: string) => ({ name, figure, means })

/** How the forecasts were worked out, for whoever asks: the model in words, and how well the sampling went. */
export function WorkingsNote({ workings }: { readonly workings: Workings }) {
  const { rHat, effectiveSize, samplers, draws, accepted, unknowns, readings, chains } = workings
  const rows = [
    row(
      'Unknowns',
      String(unknowns),
      `of ${sayCount(chains, 'chain')} that were measured, from ${sayCount(readings, 'reading')}`,
    ),
    row('Draws', `${samplers} × ${draws}`, 'independent samplers × draws of each'),
    row(
      'R-hat, the worst',
      rHat.toFixed(3),
      rHat < 1.02
        ? 'the samplers agree'
        : 'the samplers do not quite agree yet: take the figures as rougher than they look',
    ),
    row(
      'Effective size, the least',
      String(Math.round(effectiveSize)),
      'as good as this many independent draws',
    ),
    row('Proposals taken', `${Math.round(100 * accepted)}\u00a0%`, 'four in five is as it should be'),
  ]
  return (
    <details className="text-[0.95rem]">
      <summary className="cursor-pointer text-sm text-steel underline underline-offset-4">
        How was this worked out?
      </summary>
      <div className="mt-3 grid max-w-[60rem] grid-cols-[minmax(0,1.2fr)_minmax(0,1fr)] gap-x-12 gap-y-4 max-lg:grid-cols-1">
        <p className="leading-relaxed">
          A chain lengthens with the distance it does, times what the conditions and the lube do to it, at a
          rate of its own. How fast chains wear with this rider, each chain’s own rate, what every kind of
          condition and lube does, and how far each tool reads high or low are all unknown at first: each
          begins as a guess from bikes in general, and all readings of all chains move all of them at once. A
          gauge that says only “not yet” or “past” counts as just that. Many ways in which it could be are
          drawn, each as often as the readings make it likely; the forecast is what they say between them.
        </p>
        <div className="flex flex-col gap-2 text-sm leading-relaxed lg:row-start-2">
          <p>
            <span className="font-medium">Slips.</span> Any reading may be a misread digit or mark: 3 in 100
            are taken to be. One that fits nothing else counts for little, and the list of readings says so.
          </p>
          <p>
            <span className="font-medium">Tools.</span> Most tools of a kind read nearly alike, and now and
            then one is far off. Two different tools on one chain show which.
          </p>
          <p>
            <span className="font-medium">Late wear.</span> Some chains wear faster from about 0.45&nbsp;% on.
            It is learned from chains that were measured beyond that.
          </p>
          <p>
            <span className="font-medium">What the log may lack.</span> A look far from what was expected is
            asked about: a slip, another chain, a swap or rides not logged. Until you answer, the forecast
            allows for each, as often as it is likely.
          </p>
        </div>
        <table className="w-full self-start text-left">
          <tbody>
            {rows.map(({ name, figure, means }) => (
              <tr key={name} className="border-b border-hairline/70 align-baseline">
                <th scope="row" className="py-1 pr-4 font-medium">
                  {name}
                </th>
                <td className="py-1 pr-4 font-mono text-sm whitespace-nowrap">{figure}</td>
                <td className="py-1 text-sm text-steel">{means}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </details>
  )
}
