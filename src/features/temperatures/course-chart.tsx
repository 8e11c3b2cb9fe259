'use client';

import { useMemo } from 'react';
import { fromKept, shownUnit, type UnitSystem } from '@/core/quantities';
import { Chart } from './chart';
import type { ChartInk } from './chart-options';

const dashes = ['solid', [8, 4], [2, 3], [10, 3, 2, 3]] as const;

/** A line of the chart: the water's temperature, in degrees Celsius, against time. */
export interface Course {
  readonly name: string;
  readonly points: readonly { readonly time: number; readonly celsius: number }[];
}

/** What the water does in time under each suspect. */
export function CourseChart({
  courses,
  longest,
  timeUnit,
  label,
  system,
}: {
  courses: readonly Course[];
  /** The end of the time axis. */
  longest: number;
  timeUnit: 's' | 'min';
  label: string;
  system: UnitSystem;
}) {
  const options = useMemo(
    () => (ink: ChartInk) => {
      const unit = shownUnit('temperature', system);
      const text = { color: ink.ink2, fontFamily: 'FiraGO, sans-serif', fontSize: 12 };
      const colours = [ink.heat, ink.act, ink.ink2, ink.ink];
      return {
        animation: false,
        grid: { left: 44, right: 14, top: 16 + 20 * courses.length, bottom: 44 },
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
          max: longest,
          name: timeUnit,
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
        series: courses.map(({ name, points }, k) => ({
          name,
          type: 'line',
          symbol: 'none',
          itemStyle: { color: colours[k % colours.length] },
          lineStyle: {
            color: colours[k % colours.length],
            width: 2.4,
            type: dashes[k % dashes.length],
          },
          data: points.map(({ time, celsius }) => [
            time,
            Math.round(fromKept(celsius, unit) * 10) / 10,
          ]),
        })),
      };
    },
    [courses, longest, timeUnit, system],
  );
  return <Chart options={options} height={260 + 20 * courses.length} label={label} />;
}
