'use client';

import { LineChart } from 'echarts/charts';
import {
  GridComponent,
  LegendComponent,
  MarkAreaComponent,
  MarkLineComponent,
  TooltipComponent,
} from 'echarts/components';
import { init, use as register, type EChartsCoreOption } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';
import { useEffect, useRef } from 'react';
import { printedInk, type ChartInk } from './chart-options';

register([
  LineChart,
  GridComponent,
  LegendComponent,
  MarkAreaComponent,
  MarkLineComponent,
  TooltipComponent,
  SVGRenderer,
]);

/** A chart that follows the width of its place. What it shows stands in a table beside it, for whoever does not see it. */
export function Chart({
  options,
  label,
  height = 300,
  isPrinted = false,
}: {
  options: (ink: ChartInk) => EChartsCoreOption;
  /** On paper, whatever the theme of the screen. */
  isPrinted?: boolean;
  label: string;
  height?: number;
}) {
  const place = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const element = place.current!;
    const chart = init(element, undefined, { renderer: 'svg' });
    chart.setOption(options(isPrinted ? printedInk : inkOf(element)));
    const watch = new ResizeObserver(() => chart.resize());
    watch.observe(element);
    return () => {
      watch.disconnect();
      chart.dispose();
    };
  }, [options, isPrinted]);
  return <div ref={place} role="img" aria-label={label} style={{ height }} className="w-full" />;
}

function inkOf(element: Element): ChartInk {
  const style = getComputedStyle(element);
  const of = (name: string) => style.getPropertyValue(name).trim();
  return {
    ink: of('--ink'),
    ink2: of('--ink-2'),
    hair: of('--hair'),
    act: of('--act'),
    heat: of('--heat'),
    band: of('--band'),
  };
}
