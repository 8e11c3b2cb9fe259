'use client';

import { useGesture } from '@use-gesture/react';
import { useId, useRef, useState } from 'react';
import {
  fromKept,
  keyOfQuantity,
  shownUnit,
  toKept,
  valueText,
  type UnitSystem,
} from '@/core/quantities';
import {
  curveOfSheet,
  curveParameters,
  emitterCurveOf,
  emitterTarget,
  supplyTarget,
  type CurveEnd,
  type HeatingCurve,
  type SettingsSheet,
  type SystemSheetContext,
} from '@/core/settings';
import type { JobRecord, NewEntry } from '@/features/record/use-job-record';
import { useIsAlive } from '@/ui/until-alive';

const size = { width: 440, height: 300, left: 46, right: 14, top: 16, bottom: 40 };
const outdoors = { least: -25, most: 25 };
const supplies = { least: 20, most: 95 };

/** Round numbers of the scale that is read. */
const ticks = {
  metric: { supply: [20, 40, 60, 80], outdoor: [-20, -10, 0, 10, 20] },
  us: { supply: [80, 120, 160, 200], outdoor: [0, 20, 40, 60] },
} as const;

const xOf = (celsius: number) =>
  size.left +
  ((celsius - outdoors.least) / (outdoors.most - outdoors.least)) *
    (size.width - size.left - size.right);
const yOf = (celsius: number) =>
  size.top +
  ((supplies.most - celsius) / (supplies.most - supplies.least)) *
    (size.height - size.top - size.bottom);
const outdoorAt = (x: number) =>
  outdoors.least +
  ((x - size.left) / (size.width - size.left - size.right)) * (outdoors.most - outdoors.least);
const supplyAt = (y: number) =>
  supplies.most -
  ((y - size.top) / (size.height - size.top - size.bottom)) * (supplies.most - supplies.least);

type Ends = Readonly<Record<CurveEnd, number>>;
interface Handle {
  readonly words: string;
  readonly outdoor: CurveEnd;
  readonly supply: CurveEnd;
}
const handles: readonly Handle[] = [
  { words: 'Coldest day', outdoor: 'outdoorDesign', supply: 'supplyAtDesign' },
  { words: 'Mildest day', outdoor: 'outdoorMild', supply: 'supplyAtMild' },
];

/** Where a handle may stand: as the sheet takes it, and never past the other end. */
const bounds: Readonly<Record<CurveEnd, readonly [number, number]>> = {
  outdoorDesign: [-25, 8],
  outdoorMild: [10, 25],
  supplyAtDesign: [30, 90],
  supplyAtMild: [20, 65],
};

/** The heating curve, drawn as found and as left, with two ends that a finger or the arrow keys move. */
export function HeatingCurveEditor({
  record,
  sheet,
  emitter,
  unitLimit,
  system,
}: {
  record: JobRecord;
  sheet: SettingsSheet;
  emitter: SystemSheetContext['emitter'];
  /** Where the boiler itself cuts off, in °C. */
  unitLimit: number;
  system: UnitSystem;
}) {
  const found = curveOfSheet(sheet, 'found', emitter);
  const left = curveOfSheet(sheet, 'left', emitter);
  const [moved, setMoved] = useState<Partial<Ends>>({});
  const curve: HeatingCurve & Ends = { ...left.curve, ...moved };
  const limit = Math.min(curve.supplyLimit ?? Infinity, unitLimit);
  const changed = (Object.entries(moved) as [CurveEnd, number][]).filter(
    ([end, value]) => Math.abs(value - left.curve[end]) > 0.01 || !left.told.includes(end),
  );
  const show = (celsius: number) => valueText(celsius, 'temperature', system);
  const place = (end: CurveEnd, celsius: number) => {
    const [least, most] = bounds[end];
    const unit = shownUnit('temperature', system);
    // Whole degrees of the scale that the dial has.
    const whole = toKept(Math.round(fromKept(celsius, unit)), unit);
    return Math.min(most, Math.max(least, whole));
  };
  const move = (handle: Handle, outdoor: number, supply: number) =>
    setMoved((before) => ({
      ...before,
      [handle.outdoor]: place(handle.outdoor, outdoor),
      [handle.supply]: place(handle.supply, supply),
    }));
  const enter = async () => {
    const isKept = await record.append(
      ...changed.map(([end, celsius]): NewEntry => ({
        kind: 'setting',
        setting: curveParameters[end],
        as: 'left',
        value: { [keyOfQuantity('temperature')]: Math.round(celsius * 100) / 100 },
        why: 'matched-to-emitter',
      })),
    );
    if (isKept) setMoved({});
  };
  return (
    <section aria-labelledby="heating-curve">
      <h3 id="heating-curve" className="text-title font-semibold">
        Heating curve
      </h3>
      <CurveDrawing
        {...{ curve, limit, unitLimit, emitter, system, onMove: move }}
        found={found.told.length > 0 ? found.curve : undefined}
      />
      <p className="text-small">
        At {show(curve.outdoorDesign)} outdoors {show(curve.supplyAtDesign)}
        {curve.supplyAtDesign > limit && `, cut at ${show(limit)}`}; at {show(curve.outdoorMild)}{' '}
        {show(curve.supplyAtMild)}, and nothing above.
        {left.told.length < 4 && ' What is not on the sheet yet is drawn as is usual.'}
      </p>
      {changed.length > 0 && (
        <p className="mt-2 flex flex-wrap gap-2">
          <button type="button" className="button button-act" onClick={() => void enter()}>
            Write down as left
          </button>
          <button type="button" className="button" onClick={() => setMoved({})}>
            Back to the sheet
          </button>
        </p>
      )}
    </section>
  );
}

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

function CurveDrawing({
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

function CurveHandle({
  handle,
  curve,
  drawing,
  system,
  onMove,
}: {
  handle: Handle;
  curve: Ends;
  drawing: React.RefObject<SVGSVGElement | null>;
  system: UnitSystem;
  onMove(outdoor: number, supply: number): void;
}) {
  const [outdoor, supply] = [curve[handle.outdoor], curve[handle.supply]];
  const [least, most] = bounds[handle.supply];
  const step = system === 'us' ? 5 / 9 : 1;
  const show = (celsius: number) => valueText(celsius, 'temperature', system);
  const bind = useGesture(
    {
      onDrag: ({ xy: [x, y] }) => {
        const box = drawing.current?.getBoundingClientRect();
        if (!box || box.width === 0) return;
        const scale = size.width / box.width;
        onMove(outdoorAt((x - box.left) * scale), supplyAt((y - box.top) * scale));
      },
    },
    // The arrow keys go by degrees, below.
    { drag: { pointer: { keys: false } } },
  );
  const keys: Readonly<Record<string, readonly [number, number]>> = {
    ArrowUp: [0, step],
    ArrowDown: [0, -step],
    ArrowLeft: [-step, 0],
    ArrowRight: [step, 0],
  };
  return (
    <g
      {...bind()}
      role="slider"
      tabIndex={0}
      className="cursor-grab"
      aria-label={`${handle.words}: supply; left and right for the weather`}
      aria-valuemin={least}
      aria-valuemax={most}
      aria-valuenow={Math.round(supply)}
      aria-valuetext={`${show(supply)} at ${show(outdoor)} outdoors`}
      onKeyDown={(event) => {
        const by = keys[event.key];
        if (!by) return;
        event.preventDefault();
        onMove(outdoor + by[0], supply + by[1]);
      }}
    >
      <circle cx={xOf(outdoor)} cy={yOf(supply)} r="24" fill="transparent" />
      <circle
        cx={xOf(outdoor)}
        cy={yOf(supply)}
        r="9"
        fill="var(--sheet)"
        stroke="var(--act)"
        strokeWidth="3"
      />
    </g>
  );
}
