'use client';

import { useMemo } from 'react';
import { fromKept, shownUnit, type UnitSystem } from '@/core/quantities';
import type { SensorLine, SensorType } from '@/core/sensors';
import { Chart } from '@/features/temperatures/chart';
import type { ChartInk } from '@/features/temperatures/chart-options';

/** The curve of a sensor, small. A thermistor's ohms go over decades: their axis is logarithmic. */
export function SensorChart({
  type,
  lines,
  system,
}: {
  type: SensorType;
  lines: readonly SensorLine[];
  system: UnitSystem;
}) {
  const options = useMemo(
    () => (ink: ChartInk) => {
      const unit = shownUnit('temperature', system);
      const text = { color: ink.ink2, fontFamily: 'FiraGO, sans-serif', fontSize: 12 };
      return {
        animation: false,
        grid: { left: 58, right: 16, top: 26, bottom: 42 },
        xAxis: {
          type: 'value',
          min: 'dataMin',
          max: 'dataMax',
          name: unit.symbol,
          nameLocation: 'middle',
          nameGap: 24,
          nameTextStyle: text,
          axisLabel: { ...text, showMinLabel: false, showMaxLabel: false },
          splitLine: { show: false },
        },
        yAxis: {
          type: type.curve.kind === 'platinum' ? 'value' : 'log',
          scale: true,
          name: 'Ω',
          nameTextStyle: { ...text, align: 'right' },
          axisLabel: {
            ...text,
            formatter: (ohm: number) => (ohm >= 1000 ? `${ohm / 1000} k` : String(ohm)),
          },
          splitLine: { lineStyle: { color: ink.hair } },
        },
        series: [
          {
            type: 'line',
            symbol: 'none',
            lineStyle: { color: ink.act, width: 3 },
            data: lines.map(({ celsius, ohm }) => [
              Math.round(fromKept(celsius, unit) * 10) / 10,
              ohm,
            ]),
          },
        ],
      };
    },
    [type, lines, system],
  );
  return (
    <Chart
      options={options}
      height={260}
      label={`Ohms of ${type.words} by temperature; the numbers stand in the table`}
    />
  );
}
