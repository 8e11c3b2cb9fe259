import { patternFill, type PatternRank } from './patterns';
import type { RulerScale } from './ruler-scale';

export interface RulerLane {
  readonly label: string;
  readonly pattern: PatternRank;
  readonly reads: { readonly from: number; readonly to: number } | 'over-range';
}

export type RulerNeedle = number | 'over-range';

export interface RulerProps {
  readonly scale: RulerScale;
  readonly good: { readonly from: number; readonly to: number } | 'over-range' | undefined;
  readonly lanes?: readonly RulerLane[];
  readonly needle?: RulerNeedle;
  /** The reading that was taken before, hollow and dashed. */
  readonly earlier?: RulerNeedle;
  readonly goodLabel?: string;
  readonly overRangeLabel?: string;
  /** The whole in words. */
  readonly label: string;
  readonly size: 'full' | 'phone' | 'mini';
  readonly isLoading?: boolean;
}

const sizes = {
  full: { width: 566, height: 122, base: 46, cell: 66, gap: 16 },
  phone: { width: 358, height: 115, base: 42, cell: 44, gap: 12 },
  mini: { width: 150, height: 22, base: 16, cell: 20, gap: 6 },
} as const;

/** Height of the row that the suspects' bars take, where there are any. */
const rowOfBars = 22;

/** The one scale for a check: the good band above the base, suspects below, a pen needle where the reading fell. */
export function ReadingRuler(props: RulerProps) {
  const { scale, size, label, isLoading } = props;
  const { width, height: full, base, cell, gap } = sizes[size];
  const hasBars = props.lanes?.some((each) => each.reads !== 'over-range') ?? false;
  const height = size === 'mini' || hasBars ? full : full - rowOfBars;
  const left = size === 'mini' ? 4 : 8;
  const right = scale.hasOverRange ? width - cell - gap : width - left - 8;
  const x = (share: number) => left + share * (right - left);
  const cellX = width - cell;
  return (
    <svg viewBox={`0 0 ${width} ${height}`} className="block w-full" role="img" aria-label={label}>
      <GoodBand {...props} x={x} base={base} cellX={cellX} />
      <path
        d={`M${left} ${base}H${right}`}
        stroke="var(--ink)"
        strokeWidth="2"
        strokeDasharray={isLoading ? '2 4' : undefined}
      />
      {!isLoading && <Ticks {...props} x={x} base={base} />}
      {scale.hasOverRange && <OverRangeCell {...props} x={cellX} base={base} width={cell} />}
      {size !== 'mini' && <Lanes {...props} x={x} base={base} right={right} />}
      {props.earlier !== undefined && (
        <Needle
          at={needleX(props.earlier, scale, x, cellX + cell / 2)}
          base={base}
          size={size}
          overRange={props.earlier === 'over-range'}
          hollow
        />
      )}
      {props.needle !== undefined && (
        <Needle
          at={needleX(props.needle, scale, x, cellX + cell / 2)}
          base={base}
          size={size}
          overRange={props.needle === 'over-range'}
        />
      )}
    </svg>
  );
}

type Place = (share: number) => number;

function needleX(needle: RulerNeedle, scale: RulerScale, x: Place, cellCentre: number): number {
  return needle === 'over-range' ? cellCentre : x(scale.place(needle));
}

function GoodBand({
  good,
  goodLabel,
  scale,
  size,
  x,
  base,
}: RulerProps & { x: Place; base: number; cellX: number }) {
  if (!good || good === 'over-range') return null;
  const [from, to] = [x(scale.place(good.from)), x(scale.place(good.to))];
  const wide = Math.max(size === 'mini' ? 3 : 5, to - from);
  const tall = size === 'mini' ? 7 : 24;
  return (
    <g>
      <rect x={from} y={base - tall} width={wide} height={tall} fill="var(--band)" />
      <path
        d={`M${from} ${base - tall - (size === 'mini' ? 2 : 6)}V${base}M${from + wide} ${base - tall - (size === 'mini' ? 2 : 6)}V${base}`}
        stroke="var(--ink)"
        strokeWidth={size === 'mini' ? 1.5 : 2.5}
      />
      {size !== 'mini' && goodLabel && (
        <text
          x={from + wide + 8 > 400 ? from - 8 : from + wide + 8}
          textAnchor={from + wide + 8 > 400 ? 'end' : 'start'}
          y={base - 12}
          fontSize="13"
          fill="var(--ink)"
        >
          {goodLabel}
        </text>
      )}
    </g>
  );
}

const tickLength = { unit: 6, five: 11, ten: 16 } as const;

function Ticks({ scale, size, x, base }: RulerProps & { x: Place; base: number }) {
  const ticks = size === 'mini' ? scale.ticks.filter((each) => each.size === 'ten') : scale.ticks;
  const length = (each: (typeof ticks)[number]) => (size === 'mini' ? 4 : tickLength[each.size]);
  const labelled = spaced(
    ticks.filter((each) => each.label !== undefined),
    x,
  );
  return (
    <g>
      <path
        d={ticks.map((each) => `M${x(each.at)} ${base}v${length(each)}`).join('')}
        stroke="var(--ink)"
        strokeWidth="1.2"
      />
      {scale.breakAt !== undefined && size !== 'mini' && (
        <path
          d={`M${x(scale.breakAt) - 4} ${base + 7}l6 -14M${x(scale.breakAt) + 1} ${base + 7}l6 -14`}
          stroke="var(--ink)"
          strokeWidth="1.4"
        />
      )}
      {size !== 'mini' &&
        labelled.map((each) => (
          <text
            key={each.at}
            x={x(each.at)}
            y={base + 31}
            textAnchor="middle"
            fontSize="14"
            fontWeight="500"
            fill="var(--ink)"
          >
            {each.label}
          </text>
        ))}
    </g>
  );
}

/** Leaves out labels that would touch the one before. */
function spaced<T extends { at: number }>(labelled: readonly T[], x: Place): T[] {
  let last = -Infinity;
  return labelled.filter((each) => {
    if (x(each.at) - last < 28) return false;
    last = x(each.at);
    return true;
  });
}

function OverRangeCell({
  good,
  lanes = [],
  size,
  needle,
  x,
  base,
  width,
}: RulerProps & { x: number; base: number; width: number }) {
  const height = size === 'mini' ? 12 : 40;
  const y = base - height / (size === 'mini' ? 1 : 1.6);
  const reader = lanes.find((each) => each.reads === 'over-range');
  const fill = reader
    ? patternFill(reader.pattern)
    : good === 'over-range'
      ? 'var(--band)'
      : 'none';
  const hit = needle === 'over-range';
  return (
    <g>
      <rect
        x={x}
        y={y}
        width={width}
        height={height}
        fill={fill}
        stroke="var(--ink)"
        strokeWidth="1.5"
      />
      {hit && (
        <rect
          x={x - 2}
          y={y - 2}
          width={width + 4}
          height={height + 4}
          fill="none"
          stroke="var(--act)"
          strokeWidth="3"
        />
      )}
      {size !== 'mini' && (
        <>
          <rect
            x={x + width / 2 - 17}
            y={y + height / 2 - 11}
            width="34"
            height="22"
            fill="var(--sheet)"
          />
          <text
            x={x + width / 2}
            y={y + height / 2 + 6}
            textAnchor="middle"
            fontSize="16"
            fontWeight="600"
            fill="var(--ink)"
          >
            OL
          </text>
        </>
      )}
    </g>
  );
}

/** One row of bars: what each suspect would read, its name under it where there is room. */
function Lanes({
  lanes = [],
  overRangeLabel,
  scale,
  x,
  base,
  right,
  size,
}: RulerProps & { x: Place; base: number; right: number }) {
  const bars = lanes.flatMap((each) =>
    each.reads === 'over-range'
      ? []
      : [
          {
            ...each,
            from: x(scale.place(each.reads.from)),
            to: Math.max(x(scale.place(each.reads.to)), x(scale.place(each.reads.from)) + 6),
          },
        ],
  );
  const y = base + 42;
  /** Where the name of what reads over range begins, which stands in the same row. */
  const overRangeFrom = sizes[size].width - widthOf(overRangeLabel ?? '') - betweenNames;
  return (
    <g>
      {bars.map((bar, index) => (
        <rect
          key={index}
          x={bar.from}
          y={y}
          width={bar.to - bar.from}
          height="11"
          fill={patternFill(bar.pattern)}
          stroke="var(--ink)"
        />
      ))}
      {unhindered(bars, overRangeLabel ? Math.min(right + 8, overRangeFrom) : right + 8).map(
        (bar) => (
          <text
            key={bar.label}
            x={bar.from}
            y={y + 27}
            fontSize={size === 'phone' ? 12 : 13}
            fill="var(--ink)"
          >
            {bar.label}
          </text>
        ),
      )}
      {overRangeLabel && (
        <text
          x={sizes[size].width}
          y={bars.length > 0 ? y + 27 : y + 27 - rowOfBars}
          textAnchor="end"
          fontSize={size === 'phone' ? 12 : 13}
          fill="var(--ink)"
        >
          {overRangeLabel}
        </text>
      )}
    </g>
  );
}

const betweenNames = 10;
const widthOf = (name: string) => name.length * 6.6;

/** Names from left to right, without those that would run into the next, or past the end of their row. */
function unhindered<T extends { from: number; label: string }>(
  bars: readonly T[],
  rowEnd: number,
): T[] {
  const sorted = [...bars].sort((one, other) => one.from - other.from);
  let free = -Infinity;
  return sorted.filter((each) => {
    const end = each.from + widthOf(each.label);
    if (each.from < free || end > rowEnd) return false;
    free = end + betweenNames;
    return true;
  });
}

function Needle({
  at,
  base,
  size,
  overRange,
  hollow = false,
}: {
  at: number;
  base: number;
  size: RulerProps['size'];
  overRange: boolean;
  hollow?: boolean;
}) {
  const [half, tall] = size === 'mini' ? [4, 6] : [8, 14];
  const tip =
    size === 'mini' ? (overRange ? base - 13 : base - 8) : overRange ? base - 28 : base - 30;
  return (
    <g>
      {!overRange && (
        <path
          d={`M${at} ${tip}V${base + (size === 'mini' ? 3 : 14)}`}
          stroke="var(--act)"
          strokeWidth={size === 'mini' ? 2 : 3}
          strokeDasharray={hollow ? '4 3' : undefined}
        />
      )}
      <path
        d={`M${at - half} ${tip - tall}H${at + half}L${at} ${tip + 1}z`}
        fill={hollow ? 'var(--sheet)' : 'var(--act)'}
        stroke="var(--act)"
        strokeWidth={hollow ? 2 : 0}
      />
    </g>
  );
}
