'use client';

import { useId, useRef } from 'react';
import { fromKept, shownUnit, toKept, type UnitSystem } from '@/core/quantities';
import {
  emitterCurveOf,
  emitterTarget,
  supplyTarget,
  type HeatingCurve,
  type SystemSheetContext,
} from '@/core/settings';
import { useIsAlive } from '@/ui/until-alive';
import { CurveHandle } from './curve-handle';
import {
  handles,
  outdoors,
  size,
  supplies,
  ticks,
  xOf,
  yOf,
  type Ends,
  type Handle,
} from './curve-scale';

const lineOf = (target: (outdoor: number) => number | undefined): string =>
  Array.from({ length: 101 }, (_, k) => outdoors.least + k * 0.5)
    .flatMap((outdoor) => {
      const supply = target(outdoor);
      if (supply === undefined) return [];
      const within = Math.min(supplies.most, Math.max(supplies.least, supply));
      return [`${xOf(outdoor).toFixed(1)} ${yOf(within).toFixed(1)}`];
    })
    .map((point, k) => `${k === 0 ? 'M' : 'L'}${point}`)
    .join('');

/** Supply by the weather: as found, as it is set, what the emitters need, and where the boiler cuts off. */
export function CurveDrawing({
  curve,
  found,
  limit,
  unitLimit,
  emitter,
  system,
  onMove,
}: {
  curve: HeatingCurve & Ends;
  found: HeatingCurve | undefined;
  limit: number;
  unitLimit: number;
  emitter: SystemSheetContext['emitter'];
  system: UnitSystem;
  onMove(handle: Handle, outdoor: number, supply: number): void;
}) {
  const title = useId();
  const drawing = useRef<SVGSVGElement>(null);
  const unit = shownUnit('temperature', system);
  const show = (celsius: number) => String(Math.round(fromKept(celsius, unit)));
  // A handle that nothing listens to yet would lose what is done to it.
  const isAlive = useIsAlive();
  const bent = emitterCurveOf(curve, emitter);
  const kept = (each: number) => [each, toKept(each, unit)] as const;
  const tickCelsius = {
    supply: ticks[system].supply.map(kept),
    outdoor: ticks[system].outdoor.map(kept),
  };
  return (
    <svg
      ref={drawing}
      viewBox={`0 0 ${size.width} ${size.height}`}
      className="mt-1 w-full touch-none select-none"
      role="group"
      aria-labelledby={title}
    >
      <title id={title}>Supply by the weather, with its two ends to move</title>
      {tickCelsius.supply.map(([shown, celsius]) => (
        <g key={shown}>
          <line
            x1={size.left}
            x2={size.width - size.right}
            y1={yOf(celsius)}
            y2={yOf(celsius)}
            stroke="var(--hair)"
          />
          <text
            x={size.left - 6}
            y={yOf(celsius) + 4}
            textAnchor="end"
            fontSize="12"
            fill="var(--ink-2)"
          >
            {shown}
          </text>
        </g>
      ))}
      {tickCelsius.outdoor.map(([shown, celsius]) => (
        <text
          key={shown}
          x={xOf(celsius)}
          y={size.height - size.bottom + 16}
          textAnchor="middle"
          fontSize="12"
          fill="var(--ink-2)"
        >
          {shown}
        </text>
      ))}
      <text x={size.left - 40} y={12} fontSize="12" fill="var(--ink-2)">
        supply {unit.symbol}
      </text>
      <text
        x={size.width - size.right}
        y={size.height - 6}
        textAnchor="end"
        fontSize="12"
        fill="var(--ink-2)"
      >
        outdoors {unit.symbol}
      </text>
      <line
        x1={size.left}
        x2={size.width - size.right}
        y1={yOf(limit)}
        y2={yOf(limit)}
        stroke="var(--heat)"
        strokeWidth="2"
        strokeDasharray="3 3"
      />
      <text
        x={size.width - size.right}
        y={yOf(limit) + (limit > 85 ? 14 : -5)}
        textAnchor="end"
        fontSize="12"
        fill="var(--heat)"
      >
        {limit < unitLimit ? 'highest supply' : 'boiler’s limit'} {show(limit)}
      </text>
      <path
        d={lineOf((outdoor) =>
          outdoor < curve.outdoorDesign ? undefined : emitterTarget(bent, outdoor),
        )}
        fill="none"
        stroke="var(--ink-2)"
        strokeWidth="1.5"
        strokeDasharray="1 4"
      />
      {found && (
        <path
          d={lineOf((outdoor) => supplyTarget(found, outdoor))}
          fill="none"
          stroke="var(--ink)"
          strokeWidth="1.5"
          strokeDasharray="7 4"
        />
      )}
      <path
        d={lineOf((outdoor) => supplyTarget({ ...curve, supplyLimit: limit }, outdoor))}
        fill="none"
        stroke="var(--act)"
        strokeWidth="3"
      />
      {(isAlive ? handles : []).map((handle) => (
        <CurveHandle
          key={handle.words}
          {...{ handle, curve, drawing, system }}
          onMove={(outdoor, supply) => onMove(handle, outdoor, supply)}
        />
      ))}
      <g fontSize="12" fill="var(--ink-2)">
        <text x={size.left} y={size.height - 6}>
          {found ? 'dashes: as found · ' : ''}dots: what emitters need
        </text>
      </g>
    </svg>
  );
}
