'use client';

import { useMemo } from 'react';
import { fromKept, shownUnit, type UnitSystem } from '@/core/quantities';
import type { Explanation } from '@/core/temperatures';
import { Chart } from './chart';
import type { ChartInk } from './chart-options';

const dashes = ['solid', [8, 4], [2, 3], [10, 3, 2, 3]] as const;

/** The water at the tap, second by second from its opening, under each suspect. */
export function TapChart({
  explanations,
  name,
  system,
}: {
  explanations: readonly Explanation[];
  name(explanation: Explanation): string;
  system: UnitSystem;
}) {
  const options = useMemo(
    () => (ink: ChartInk) => {
      const unit = shownUnit('temperature', system);
      const text = { color: ink.ink2, fontFamily: 'FiraGO, sans-serif', fontSize: 12 };
      const colours = [ink.heat, ink.act, ink.ink2, ink.ink];
      return {
        animation: false,
        grid: { left: 44, right: 14, top: 16 + 20 * explanations.length, bottom: 44 },
        legend: {
          top: 0,
          left: 0,
          orient: 'vertical',
          itemWidth: 34,
          textStyle: { ...text, color: ink.ink, width: 260, overflow: 'truncate' },
        },
        tooltip: { trigger: 'axis' },
        xAxis: {
          type: 'value',
          min: 0,
          max: 120,
          name: 's',
          nameLocation: 'middle',
          nameGap: 22,
          nameTextStyle: text,
          axisLabel: text,
          splitLine: { show: false },
        },
        yAxis: {
          type: 'value',
          name: unit.symbol,
          nameTextStyle: { ...text, align: 'right' },
          scale: true,
          axisLabel: text,
          splitLine: { lineStyle: { color: ink.hair } },
        },
        series: explanations.map((each, k) => ({
          name: name(each),
          type: 'line',
          symbol: 'none',
          itemStyle: { color: colours[k % colours.length] },
          lineStyle: {
            color: colours[k % colours.length],
            width: 2.4,
            type: dashes[k % dashes.length],
          },
          data: (each.tap?.samples ?? []).map(({ second, tapCelsius }) => [
            second,
            Math.round(fromKept(tapCelsius, unit) * 10) / 10,
          ]),
        })),
      };
    },
    [explanations, name, system],
  );
  return (
    <Chart
      options={options}
      height={260 + 20 * explanations.length}
      label="The tap over two minutes from its opening under each suspect; where each settles stands in the table above"
    />
  );
}
