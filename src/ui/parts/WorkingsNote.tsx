import type { Workings } from '../../core/wear/rider-outlook.ts'
import { sayCount } from '../../words/numbers.ts'
import { words } from '../../words/ui/parts/workings-note.ts'
import { sayDecimal } from '../../words/grouped-number.ts'

const row = (name: string, figure: string, means: string) => ({ name, figure, means })

/** How the forecasts were worked out, for whoever asks: the model in words, and how well the sampling went. */
export function WorkingsNote({ workings }: { readonly workings: Workings }) {
  const { rHat, effectiveSize, samplers, draws, accepted, unknowns, readings, chains } = workings
  const rows = [
    row(
      words.unknowns,
      String(unknowns),
      words.ofThatWereMeasured(sayCount(chains, 'chain'), sayCount(readings, 'reading')),
    ),
    row(words.draws, `${samplers} × ${draws}`, words.independentSamplersDrawsOfEach),
    row(
      words.rHatTheWorst,
      sayDecimal(rHat, 3),
      rHat < 1.02 ? words.theSamplersAgree : words.theSamplersDoNot,
    ),
    row(words.effectiveSizeTheLeast, String(Math.round(effectiveSize)), words.asGoodAsThisMany),
    row(words.proposalsTaken, `${Math.round(100 * accepted)}\u00a0%`, words.fourInFiveIsAs),
  ]
  return (
    <details className="text-[0.95rem]">
      <summary className="cursor-pointer text-sm text-steel underline underline-offset-4">
        {words.howWasThisWorked}
      </summary>
      <div className="mt-3 grid max-w-[60rem] grid-cols-[minmax(0,1.2fr)_minmax(0,1fr)] gap-x-12 gap-y-4 max-lg:grid-cols-1">
        <p className="leading-relaxed">{words.aChainLengthensWithTheDistance}</p>
        <div className="flex flex-col gap-2 text-sm leading-relaxed lg:row-start-2">
          <p>
            <span className="font-medium">{words.slips}</span> {words.anyReadingMayBe}
          </p>
          <p>
            <span className="font-medium">{words.tools}</span> {words.mostToolsOfAKind}
          </p>
          <p>
            <span className="font-medium">{words.lateWear}</span> {words.someChainsWearFaster}
          </p>
          <p>
            <span className="font-medium">{words.whatTheLogMay}</span> {words.aLookFarFromWhat}
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
