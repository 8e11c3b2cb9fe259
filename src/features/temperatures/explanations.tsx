'use client';

import dynamic from 'next/dynamic';
import { useState } from 'react';
import { fromKept, parseReading, shownUnit, type UnitSystem } from '@/core/quantities';
import type { Explanation } from '@/core/temperatures';
import { usualShower, type ShowerWish } from '@/core/thermal';
import { percent } from '@/features/record/words';
import { DrawBehindLog } from './draw-behind-log';
import { useExplanationName } from './explanation-name';

const ShowerChart = dynamic(() => import('./shower-chart').then((each) => each.ShowerChart), {
  ssr: false,
  loading: () => <div className="h-[240px]" role="status" aria-label="Drawing the chart" />,
});

/** Would this explain it? What each leading suspect would do to a shower and to the log, beside what was seen. */
export function Explanations({
  explanations,
  isFresh,
  system,
  wish,
  onWish,
  drawn,
  onDraw,
}: {
  explanations: readonly Explanation[];
  isFresh: boolean;
  system: UnitSystem;
  wish: ShowerWish | undefined;
  onWish(wish: ShowerWish): void;
  drawn: number | undefined;
  onDraw(index: number | undefined): void;
}) {
  const name = useExplanationName();
  const hasLog = explanations.some(({ log }) => log);
  return (
    <section aria-labelledby="explain">
      <h3 id="explain" className="text-title font-semibold">
        Would this explain it?
      </h3>
      <p className="text-small text-ink-2">
        The tank of this plate, run under each suspect. {isFresh ? '' : 'Being worked out anew.'}
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
                A shower is hot for
              </th>
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
                <td className="py-2 pr-3">{minutesWords(each)}</td>
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
      <Wish wish={wish ?? usualShower} system={system} onWish={onWish} />
      <ShowerChart explanations={explanations} name={name} system={system} />
    </section>
  );
}

const minutesWords = ({ shower, hotMinutes }: Explanation): string =>
  hotMinutes === undefined
    ? `${Math.round(shower.at(-1)?.minute ?? 0)} min and more`
    : hotMinutes < 1
      ? 'not at all'
      : `${Math.round(hotMinutes)} min`;

/** What the customer draws: it decides how long anything lasts. */
function Wish({
  wish,
  system,
  onWish,
}: {
  wish: ShowerWish;
  system: UnitSystem;
  onWish(wish: ShowerWish): void;
}) {
  const flow = shownUnit('flow', system);
  const warm = shownUnit('temperature', system);
  const [texts, setTexts] = useState<{ flow: string; warm: string }>();
  const shown = texts ?? {
    flow: String(Math.round(fromKept(wish.litrePerMinute, flow) * 10) / 10),
    warm: String(Math.round(fromKept(wish.wantedCelsius, warm))),
  };
  const [problem, setProblem] = useState<string>();
  const change = (next: typeof shown) => {
    setTexts(next);
    const litrePerMinute = parseReading(next.flow, { quantity: 'flow', system });
    const wantedCelsius = parseReading(next.warm, { quantity: 'temperature', system });
    if (litrePerMinute.kind !== 'value' || wantedCelsius.kind !== 'value') {
      setProblem('A flow and a temperature, as numbers.');
    } else if (!(litrePerMinute.value >= 1 && litrePerMinute.value <= 40)) {
      setProblem('A shower draws 1 to 40 L/min.');
    } else if (!(wantedCelsius.value >= 30 && wantedCelsius.value <= 50)) {
      setProblem('A shower is 30 to 50 °C at the head.');
    } else {
      setProblem(undefined);
      onWish({ litrePerMinute: litrePerMinute.value, wantedCelsius: wantedCelsius.value });
    }
  };
  return (
    <div className="mt-3 flex flex-wrap items-end gap-3">
      <label className="w-36 font-medium">
        Customer&apos;s flow
        <span className="mt-1 flex items-center gap-2">
          <input
            className="field"
            inputMode="decimal"
            maxLength={12}
            value={shown.flow}
            onChange={(event) => change({ ...shown, flow: event.target.value })}
          />
          <span>{flow.symbol}</span>
        </span>
      </label>
      <label className="w-36 font-medium">
        At the head
        <span className="mt-1 flex items-center gap-2">
          <input
            className="field"
            inputMode="decimal"
            maxLength={12}
            value={shown.warm}
            onChange={(event) => change({ ...shown, warm: event.target.value })}
          />
          <span>{warm.symbol}</span>
        </span>
      </label>
      {problem && (
        <p role="alert" className="basis-full text-small font-medium">
          {problem}
        </p>
      )}
    </div>
  );
}
