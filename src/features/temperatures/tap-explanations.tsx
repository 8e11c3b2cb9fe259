'use client';

import dynamic from 'next/dynamic';
import { valueText, type UnitSystem } from '@/core/quantities';
import type { Explanation } from '@/core/temperatures';
import { percent } from '@/features/record/words';
import { DrawBehindLog } from './draw-behind-log';
import { useExplanationName } from './explanation-name';
import { kelvinWords } from '@/features/record/kelvin-words';

const TapChart = dynamic(() => import('./tap-chart').then((each) => each.TapChart), {
  ssr: false,
  loading: () => <div className="h-[240px]" role="status" aria-label="Drawing the chart" />,
});

/** Would this explain it, at a tap: what each leading suspect would do over two minutes, beside what was logged or said. */
export function TapExplanations({
  explanations,
  isFresh,
  system,
  drawn,
  onDraw,
}: {
  explanations: readonly Explanation[];
  isFresh: boolean;
  system: UnitSystem;
  drawn: number | undefined;
  onDraw(index: number | undefined): void;
}) {
  const name = useExplanationName();
  const hasLog = explanations.some(({ log }) => log);
  const hasFlow = explanations.some(({ tap }) => tap?.peakFlowCelsius !== undefined);
  return (
    <section aria-labelledby="explain">
      <h3 id="explain" className="text-title font-semibold">
        Would this explain it?
      </h3>
      <p className="text-small text-ink-2">
        Two minutes at a tap of this plate, run under each suspect.{' '}
        {isFresh ? '' : 'Being worked out anew.'}
      </p>
      <div
        className="overflow-x-auto"
        tabIndex={0}
        role="region"
        aria-label="Suspects and what they do"
      >
        <table className="mt-2 w-full text-left">
          <thead>
            <tr className="border-b-2 border-rule text-small">
              <th scope="col" className="py-1 pr-3 font-semibold">
                If it is
              </th>
              <th scope="col" className="py-1 pr-3 font-semibold">
                Now, %
              </th>
              <th scope="col" className="py-1 pr-3 font-semibold">
                The tap
              </th>
              <th scope="col" className="py-1 pr-3 font-semibold">
                It gives
              </th>
              {hasFlow && (
                <th scope="col" className="py-1 pr-3 font-semibold">
                  The flow
                </th>
              )}
              {hasLog && (
                <th scope="col" className="py-1 font-semibold">
                  Off the log by
                </th>
              )}
            </tr>
          </thead>
          <tbody>
            {explanations.map((each, k) => (
              <tr key={each.faults.join(' ') || 'good'} className="border-b border-hair">
                <th scope="row" className="py-2 pr-3 font-medium">
                  {name(each)}
                </th>
                <td className="py-2 pr-3">{percent(each.probability)}</td>
                <td className="py-2 pr-3">{tapWords(each, system)}</td>
                <td className="py-2 pr-3">
                  {each.tap && valueText(each.tap.litrePerMinute, 'flow', system)}
                </td>
                {hasFlow && <td className="py-2 pr-3">{flowWords(each, system)}</td>}
                {hasLog && (
                  <td className="py-1">
                    <DrawBehindLog
                      log={each.log}
                      name={name(each)}
                      isDrawn={drawn === k}
                      onDraw={(isDrawn) => onDraw(isDrawn ? k : undefined)}
                      system={system}
                    />
                  </td>
                )}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <TapChart explanations={explanations} name={name} system={system} />
    </section>
  );
}

/** Somebody notices a fall of this. */
const noticedKelvin = 4;

function tapWords({ tap }: Explanation, system: UnitSystem): string {
  if (!tap) return '';
  if (!tap.burns) return 'stays cold';
  const settles = valueText(tap.settlesCelsius, 'temperature', system);
  return tap.swingKelvin >= noticedKelvin
    ? `hot, cold, hot: falls by ${kelvinWords(tap.swingKelvin, system)}`
    : `settles at ${settles}`;
}

function flowWords({ tap }: Explanation, system: UnitSystem): string {
  if (!tap?.burns || tap.peakFlowCelsius === undefined) return '';
  const peak = valueText(tap.peakFlowCelsius, 'temperature', system);
  const rise = valueText(
    tap.riseKelvinPerSecond! * 60,
    'temperature-rate',
    system,
    riseUnit(system),
  );
  const cuts =
    tap.cuts === 0 ? '' : tap.cuts === 1 ? ', cuts out once' : `, cuts out ${tap.cuts} times`;
  return `to ${peak}, ${rise}${cuts}`;
}

const riseUnit = (system: UnitSystem) => (system === 'us' ? '°F/s' : 'K/s');
