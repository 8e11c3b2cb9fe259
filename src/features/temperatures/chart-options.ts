import type { EChartsCoreOption } from 'echarts/core';
import type { LoggedCourse, LoggedEvent } from '@/core/job-file';
import { fromKept, shownUnit, type UnitSystem } from '@/core/quantities';
import { placeName } from '@/features/record/log-words';

/** Colours of the sheet, as the theme has them: a canvas knows no style sheet. */
export interface ChartInk {
  readonly ink: string;
  readonly ink2: string;
  readonly hair: string;
  readonly act: string;
  readonly heat: string;
  readonly band: string;
}

export const printedInk: ChartInk = {
  ink: '#141c18',
  ink2: '#445049',
  hair: '#bcc6b6',
  act: '#1b3fa6',
  heat: '#ad390a',
  band: '#c3d2b9',
};

export interface PredictedLine {
  readonly name: string;
  readonly place: string;
  readonly samples: readonly { readonly second: number; readonly celsius: number }[];
}

/** How far a run may lie off and still explain a log, in kelvin: the band that is drawn round it. */
const bandKelvin = 2.4;

const marks = ['circle', 'rect', 'triangle', 'diamond', 'roundRect', 'pin'] as const;
const dashes: Readonly<Record<string, number[] | 'solid'>> = {
  'tank-top': 'solid',
  'upper-cover': 'solid',
  outlet: [2, 3],
  'tank-bottom': [8, 4],
  'lower-cover': [8, 4],
};

/**
 * A log over its minutes, with what a suspect would have shown as a band, and what was done on the same axis. Lines are told
 * apart by their dashes and marks, not by colour alone.
 */
export function logChart(
  course: Pick<LoggedCourse, 'channels' | 'events'>,
  predicted: readonly PredictedLine[],
  system: UnitSystem,
  ink: ChartInk,
  eventWords: (event: LoggedEvent) => string,
): EChartsCoreOption {
  const unit = shownUnit('temperature', system);
  const shown = (celsius: number) => Math.round(fromKept(celsius, unit) * 10) / 10;
  const minute = (second: number) => Math.round((second / 60) * 100) / 100;
  const text = { color: ink.ink2, fontFamily: 'FiraGO, sans-serif', fontSize: 12 };
  const bandWidth = (shown(2 * bandKelvin) - shown(0)) / 2;
  const last = Math.max(
    1,
    ...course.channels.map(({ samples }) => minute(samples.at(-1)?.second ?? 0)),
  );
  return {
    animation: false,
    textStyle: text,
    grid: { left: 44, right: 14, top: 42, bottom: 44 },
    legend: {
      top: 0,
      left: 0,
      itemWidth: 30,
      textStyle: { ...text, color: ink.ink },
      data: [
        ...course.channels.map(({ place }) => placeName(place)),
        ...new Set(predicted.map(({ name }) => name)),
      ],
    },
    tooltip: { trigger: 'axis', textStyle: { fontFamily: 'FiraGO, sans-serif' } },
    xAxis: {
      type: 'value',
      name: 'min',
      nameLocation: 'middle',
      nameGap: 22,
      nameTextStyle: text,
      min: 0,
      max: Math.ceil(last),
      axisLine: { lineStyle: { color: ink.ink } },
      axisLabel: { ...text, showMaxLabel: last < 1000 ? undefined : false },
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
    series: [
      ...predicted.flatMap(({ name, place, samples }) => [
        {
          name: `${name} from`,
          type: 'line',
          stack: place,
          silent: true,
          symbol: 'none',
          lineStyle: { opacity: 0 },
          tooltip: { show: false },
          data: samples.map(({ second, celsius }) => [minute(second), shown(celsius) - bandWidth]),
        },
        {
          name,
          type: 'line',
          stack: place,
          silent: true,
          symbol: 'none',
          lineStyle: { opacity: 0 },
          areaStyle: { color: ink.band, opacity: 0.75 },
          itemStyle: { color: ink.band },
          tooltip: { show: false },
          data: samples.map(({ second }) => [minute(second), 2 * bandWidth]),
        },
      ]),
      ...course.channels.map(({ place, samples }, k) => ({
        name: placeName(place),
        type: 'line',
        symbol: marks[k % marks.length],
        symbolSize: samples.length > 60 ? 0 : 7,
        showSymbol: samples.length <= 60,
        sampling: 'lttb',
        itemStyle: { color: lineInk(place, ink) },
        lineStyle: { color: lineInk(place, ink), width: 2.2, type: dashes[place] ?? [4, 2, 1, 2] },
        data: samples.map(({ second, celsius }) => [minute(second), shown(celsius)]),
        ...(k === 0 && course.events.length > 0
          ? {
              markLine: {
                silent: true,
                symbol: 'none',
                label: { ...text, color: ink.ink, position: 'insideEndTop', rotate: 0 },
                lineStyle: { color: ink.ink2, type: 'solid', width: 1 },
                data: course.events
                  .filter(({ second }) => second >= 0)
                  .map((event) => ({
                    xAxis: minute(event.second),
                    label: { formatter: eventWords(event) },
                  })),
              },
            }
          : {}),
      })),
    ],
  };
}

/** Hot places in heat, cold in pen, the rest printed. */
const lineInk = (place: string, ink: ChartInk): string =>
  /outlet|hot|flow/.test(place) ? ink.heat : /bottom|lower|cold/.test(place) ? ink.act : ink.ink;

export const eventWords = (event: LoggedEvent): string => {
  switch (event.kind) {
    case 'tap':
      return event.litrePerMinute > 0 ? 'tap' : 'shut';
    case 'power':
      return event.isOn ? 'on' : 'off';
    case 'dial':
      return 'dial';
    case 'reset':
      return 'reset';
    case 'repair':
      return 'repair';
  }
};
