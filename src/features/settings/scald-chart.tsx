'use client';

import { useMemo } from 'react';
import { fromKept, shownUnit, toKept, type UnitSystem } from '@/core/quantities';
import { adultBurnSeconds, bacteriaSafeCelsius, type SettingsSheet } from '@/core/settings';
import { Chart } from '@/features/temperatures/chart';
import type { ChartInk } from '@/features/temperatures/chart-options';

/** Bath limit for anyone: Approved Document G, from memory. */
const bathCelsius = 48;

/**
 * Both risks at a glance: how soon the outlet burns, against what may grow where it is stored. Where a mixing valve stands
 * between, it is the way from the one to the other.
 */
export function ScaldChart({
  sheet,
  stores,
  system,
}: {
  sheet: SettingsSheet;
  /** Whether hot water is stored, so that something may grow in it. */
  stores: boolean;
  system: UnitSystem;
}) {
  const { stored, outlet, isMixed } = markedOf(sheet);
  const options = useMemo(
    () => (ink: ChartInk) => {
      const unit = shownUnit('temperature', system);
      const shown = (celsius: number) => Math.round(fromKept(celsius, unit) * 10) / 10;
      const text = { color: ink.ink2, fontFamily: 'FiraGO, sans-serif', fontSize: 12 };
      const label = { ...text, color: ink.ink };
      const [from, to] = system === 'us' ? [90, 170] : [35, 75];
      const curve = Array.from({ length: 60 }, (_, k) => from + ((to - from) * k) / 59).flatMap(
        (at) => {
          const seconds = adultBurnSeconds(toKept(at, unit));
          return seconds === undefined ? [] : [[Math.round(at * 10) / 10, Math.max(1, seconds)]];
        },
      );
      const line = (
        celsius: number,
        words: string,
        ofColour: string,
        dash: number[] | 'solid',
      ) => ({
        xAxis: shown(celsius),
        label: { ...label, formatter: words, position: 'insideEndTop' },
        lineStyle: { color: ofColour, width: 2.5, type: dash },
      });
      return {
        animation: false,
        grid: { left: 56, right: 16, top: 26, bottom: 44 },
        xAxis: {
          type: 'value',
          min: from,
          max: to,
          interval: system === 'us' ? 20 : 10,
          name: unit.symbol,
          nameLocation: 'middle',
          nameGap: 24,
          nameTextStyle: text,
          axisLabel: text,
          splitLine: { show: false },
        },
        yAxis: {
          type: 'log',
          min: 1,
          max: 600,
          name: 'adult skin burns in',
          nameTextStyle: { ...text, align: 'left', padding: [0, 0, 0, -50] },
          axisLabel: {
            ...text,
            formatter: (seconds: number) =>
              seconds >= 60 ? `${Math.round(seconds / 6) / 10} min` : `${seconds} s`,
          },
          splitLine: { lineStyle: { color: ink.hair } },
        },
        series: [
          {
            name: 'burns in',
            type: 'line',
            symbol: 'none',
            itemStyle: { color: ink.heat },
            lineStyle: { color: ink.heat, width: 3 },
            data: curve,
            markArea: {
              silent: true,
              itemStyle: { color: ink.band, opacity: 0.6 },
              label: { ...label, position: 'insideBottom' },
              data: [
                [{ xAxis: from, name: 'bacteria can grow' }, { xAxis: shown(bacteriaSafeCelsius) }],
              ],
            },
            markLine: {
              silent: true,
              symbol: 'none',
              data: [
                line(bathCelsius, 'bath, at most', ink.ink2, [3, 3]),
                ...(stored === undefined
                  ? []
                  : [line(stored, 'stored', ink.ink, 'solid' as const)]),
                ...(outlet === undefined || outlet === stored
                  ? []
                  : [line(outlet, isMixed ? 'mixed' : 'tap', ink.act, [8, 4])]),
              ],
            },
          },
        ],
      };
    },
    [stored, outlet, isMixed, system],
  );
  return (
    <section aria-labelledby="risks">
      <h3 id="risks" className="text-title font-semibold">
        Scalding against storing
      </h3>
      <Chart
        options={options}
        height={280}
        label="How soon adult skin burns by temperature, with what is stored, what comes out, and 60 °C; the numbers stand in the rules above"
      />
      <p className="text-small">
        {!stores
          ? 'Nothing is stored: only how soon it burns counts here.'
          : isMixed
            ? 'The valve takes what is stored, where nothing grows, down to what no bath burns at.'
            : 'Stored at 60 °C and mixed to 48, both are satisfied. Without a valve between, what is safe for the one is not for the other.'}{' '}
        A child&apos;s skin burns sooner.
      </p>
    </section>
  );
}

function markedOf({ lines }: SettingsSheet) {
  const value = (id: string) => {
    const line = lines.find(({ parameter }) => parameter.id === id);
    return line?.left ?? line?.found;
  };
  const dials = lines
    .filter(({ parameter }) => /dial/.test(parameter.id))
    .flatMap(({ left, found }) =>
      typeof (left ?? found) === 'number' ? [(left ?? found) as number] : [],
    );
  // Warmed as it runs: nothing is stored, and the setpoint is what comes out.
  const tap = value('tapSetpoint') ?? value('setpoint');
  if (typeof tap === 'number') return { stored: undefined, outlet: tap, isMixed: false };
  const isMixed = value('mixing-valve') === 'fitted';
  const mixed = value('mixing-valve-setpoint');
  return {
    stored: dials.length > 0 ? Math.min(...dials) : undefined,
    outlet: isMixed
      ? typeof mixed === 'number'
        ? mixed
        : undefined
      : dials.length > 0
        ? Math.max(...dials)
        : undefined,
    isMixed,
  };
}
