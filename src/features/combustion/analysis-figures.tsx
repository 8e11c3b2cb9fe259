import type { GradedFigure, JudgedAnalysis } from '@/core/combustion';
import { valueText, type UnitSystem } from '@/core/quantities';
import { figureText, figureWords, gradeWords, outcomeWords, percentText } from './combustion-words';

/** What follows from an analysis: its figures beside their limits with the source, and what is worked out. */
export function AnalysisFigures({
  judged: { worked, problem, isStop },
  system,
}: {
  judged: JudgedAnalysis;
  system: UnitSystem;
}) {
  return (
    <div className="text-small">
      {isStop && (
        <p role="alert" className="border-l-4 border-heat bg-heat-wash px-3 py-2 font-semibold">
          Past its limit: appliance off now, air the room. It stays off until it is found and
          measured again.
        </p>
      )}
      {!worked && <p className="text-ink-2">{problem}</p>}
      {worked && (
        <>
          <p className="text-lead font-semibold">{outcomeWords[worked.outcome]}</p>
          {worked.outcome === 'no-flame' ? (
            <>
              <p>
                {percentText(worked.result.oxygenPercent)} oxygen is air. Of a flame nothing follows
                from these figures, neither loss nor carbon monoxide. Take it again once the burner
                has burned for five minutes.
              </p>
              {/* What stands in the room's air counts without a flame too. */}
              <FigureTable
                figures={worked.figures.filter(({ figure }) => figure === 'ambient')}
                system={system}
              />
            </>
          ) : (
            <>
              <FigureTable figures={worked.figures} system={system} />
              <Worked worked={worked} system={system} />
            </>
          )}
        </>
      )}
    </div>
  );
}

function FigureTable({
  figures,
  system,
}: {
  figures: readonly GradedFigure[];
  system: UnitSystem;
}) {
  return (
    <table className="mt-1 w-full text-left">
      <caption className="sr-only">Figures beside their limits</caption>
      <tbody>
        {figures.map(({ figure, value, bounds, grade }) => (
          <tr key={figure} className="border-t border-hair align-baseline">
            <th scope="row" className="py-1 pr-2 font-medium">
              {figureWords[figure].words}
            </th>
            <td className="pr-2 font-semibold text-act">{figureText(figure, value, system)}</td>
            <td
              className={`pr-2 ${grade === 'right' ? '' : grade === 'stop' ? 'font-semibold text-heat' : 'font-semibold'}`}
            >
              {gradeWords[grade]}
            </td>
            <td className="text-ink-2">
              {rightWords(figure, bounds.right, system)}; {bounds.source}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function rightWords(
  figure: keyof typeof figureWords,
  [least, most]: readonly [number, number],
  system: UnitSystem,
): string {
  const shown = (value: number) => figureText(figure, value, system);
  if (least === most) return shown(most);
  return least <= 0 ? `at most ${shown(most)}` : `${shown(least)} to ${shown(most)}`;
}

function Worked({
  worked: { result, analysis },
  system,
}: {
  worked: NonNullable<JudgedAnalysis['worked']>;
  system: UnitSystem;
}) {
  const told =
    result.computed === 'oxygen'
      ? `O2 ${percentText(result.oxygenPercent)}, worked out from CO2`
      : result.computed === 'carbon-dioxide'
        ? `CO2 ${percentText(result.carbonDioxidePercent)}, worked out from O2`
        : 'O2 and CO2 both as printed';
  const lines: readonly (readonly [string, string])[] = [
    ['dry flue gas', told],
    [
      'excess air',
      `${percentText(result.excessAirPercent)}, as instruments reckon: O2 ÷ (20.9 − O2)`,
    ],
    ['flue loss', `${percentText(result.flueLossPercent)} of net heat, by Siegert`],
    [
      'efficiency',
      `${percentText(result.netPercent)} net, ${percentText(result.grossPercent)} gross${result.condensedShare > 0 ? ', with what condenses' : ''}`,
    ],
    [
      'dew point',
      `${valueText(result.dewPointCelsius, 'temperature', system)}; ${condensingWords(result.condensedShare, analysis.returnCelsius)}`,
    ],
  ];
  return (
    <dl className="mt-2 grid grid-cols-[auto_1fr] gap-x-3 gap-y-0.5">
      {lines.map(([what, words]) => (
        <div key={what} className="contents">
          <dt className="text-ink-2">{what}</dt>
          <dd>{words}</dd>
        </div>
      ))}
    </dl>
  );
}

function condensingWords(share: number, returnCelsius: number | undefined): string {
  if (share > 0) return `at most ${Math.round(share * 100)} % of its water condenses`;
  return returnCelsius === undefined
    ? 'no return was read, so no condensing is reckoned'
    : 'with this return and this flue nothing condenses';
}
