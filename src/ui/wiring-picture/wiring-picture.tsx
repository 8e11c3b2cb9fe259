import {
  drawing,
  drawnBoxes,
  drawnContacts,
  drawnElements,
  drawnHops,
  drawnJoints,
  drawnRoutes,
  drawnTank,
  drawnTerminals,
  conductorEnds,
  type DrawnContact,
  type Point,
} from '../core/appliances/electric-storage-two-element';
import type { PictureState } from '../core/job-diagnosis';
import type { LiftedEnd } from '../core/job-file';

export interface WiringPictureProps {
  readonly picture: PictureState;
  readonly lifted: readonly LiftedEnd[];
  /** Terminals to touch, A and B, or the conductor to clamp. */
  readonly probes: readonly string[];
  readonly clampOn?: string;
  readonly watts: { readonly upper: number; readonly lower: number };
  /** Parts marked bad or good, by part id. */
  readonly suspectedPart?: string;
  readonly goodParts?: readonly string[];
  readonly temperature: (celsius: number) => string;
  /** The whole drawing, or a crop round the probes for a small screen. */
  readonly crop?: boolean;
  readonly label: string;
}

/** The heater as wired, drawn from the model: what is live, what is lifted, where to touch. */
export function WiringPicture(props: WiringPictureProps) {
  const { crop, probes, label } = props;
  return (
    <svg
      viewBox={
        crop ? cropBox(probes, props.clampOn) : `20 0 ${drawing.width - 8} ${drawing.height}`
      }
      className="block h-full w-full"
      role="img"
      aria-label={label}
      preserveAspectRatio="xMidYMid meet"
    >
      <Tank {...props} />
      {drawnBoxes.map((box) => (
        <PartBox
          key={box.part}
          box={box}
          suspectedPart={props.suspectedPart}
          goodParts={props.goodParts}
        />
      ))}
      {Object.keys(drawnRoutes).map((wire) => (
        <Conductor key={wire} wire={wire} {...props} />
      ))}
      {drawnJoints.map(({ x, y }) => (
        <circle key={`${x} ${y}`} cx={x} cy={y} r="4" fill="var(--ink)" />
      ))}
      <Breaker {...props} />
      {drawnContacts.map((each) => (
        <Contact key={each.branch} {...each} open={props.picture.open.includes(each.branch)} />
      ))}
      {Object.entries(drawnTerminals).map(([id, terminal]) => (
        <g key={id}>
          <Screw x={terminal.x} y={terminal.y} />
          <Mark {...terminal} />
        </g>
      ))}
      {props.lifted.map((each) => (
        <Lifted key={`${each.wire} ${each.end}`} {...each} />
      ))}
      {props.clampOn && <Clamp wire={props.clampOn} />}
      {probes.map((each, index) => (
        <ProbePoint
          key={each}
          terminal={each}
          letter={index === 0 ? 'A' : 'B'}
          isUpper={isUpper(each, probes)}
        />
      ))}
    </svg>
  );
}

function cropBox(probes: readonly string[], clampOn: string | undefined): string {
  const points = (
    clampOn ? [middleOf(clampOn)] : probes.map((each) => drawnTerminals[each])
  ).filter((each): each is NonNullable<typeof each> => each !== undefined);
  if (points.length === 0) return `0 0 ${drawing.width} ${drawing.height}`;
  const xs = points.map((each) => each.x);
  const ys = points.map((each) => each.y);
  const [width, height] = [230, 160];
  const spanX = Math.max(...xs) - Math.min(...xs);
  const spanY = Math.max(...ys) - Math.min(...ys);
  const scale = Math.max(1, (spanX + 90) / width, (spanY + 90) / height);
  const centreX = (Math.max(...xs) + Math.min(...xs)) / 2 + 14;
  const centreY = (Math.max(...ys) + Math.min(...ys)) / 2;
  return `${centreX - (width * scale) / 2} ${centreY - (height * scale) / 2} ${width * scale} ${height * scale}`;
}

function Tank({ picture, watts, temperature, suspectedPart, goodParts = [] }: WiringPictureProps) {
  const { x, y, width, height } = drawnTank;
  const middle = y + height / 2;
  const zones = [
    { top: y + 12, celsius: picture.topCelsius },
    { top: middle + 4, celsius: picture.bottomCelsius },
  ];
  return (
    <g>
      <rect
        x={x}
        y={y}
        width={width}
        height={height}
        rx="34"
        fill="var(--sheet)"
        stroke="var(--ink)"
        strokeWidth="2.2"
      />
      <rect
        x={x + 6}
        y={y + 6}
        width={width - 12}
        height={height - 12}
        rx="29"
        fill="none"
        stroke="var(--ink)"
        strokeWidth="1"
      />
      {zones.map(({ top, celsius }) => (
        <g key={top}>
          {celsius > 30 &&
            Array.from({ length: 8 }, (_, k) => (
              <path
                key={k}
                d={`M${x + 26} ${top + 10 + k * 6}H${x + width - 18}`}
                stroke="var(--heat)"
                strokeWidth="1.6"
                opacity="0.85"
              />
            ))}
          <rect x={x + width - 66} y={top + 16} width="52" height="22" fill="var(--sheet)" />
          <text
            x={x + width - 40}
            y={top + 32}
            textAnchor="middle"
            fontSize="14"
            fontWeight="600"
            fill={celsius > 30 ? 'var(--heat)' : 'var(--ink)'}
          >
            {temperature(celsius)}
          </text>
        </g>
      ))}
      {drawnElements.map(({ part, label }) => {
        const a = drawnTerminals[`${part}.a`]!;
        const b = drawnTerminals[`${part}.b`]!;
        const [top, bottom] = [Math.min(a.y, b.y), Math.max(a.y, b.y)];
        const bad = suspectedPart === part;
        return (
          <g key={part}>
            <rect
              x={x - 12}
              y={top - 12}
              width="14"
              height={bottom - top + 24}
              fill="var(--well)"
              stroke="var(--ink)"
              strokeWidth="1.5"
            />
            <path
              d={`M${a.x} ${top}H${x + 128 - (bottom - top) / 2}a${(bottom - top) / 2} ${(bottom - top) / 2} 0 0 1 0 ${bottom - top}H${a.x}`}
              fill="none"
              stroke="var(--ink)"
              strokeWidth="7"
            />
            <path
              d={`M${a.x} ${top}H${x + 128 - (bottom - top) / 2}a${(bottom - top) / 2} ${(bottom - top) / 2} 0 0 1 0 ${bottom - top}H${a.x}`}
              fill="none"
              stroke="var(--sheet)"
              strokeWidth="3.5"
            />
            <rect x={x + 12} y={top + 20} width="92" height="24" fill="var(--sheet)" />
            <text x={x + 16} y={top + 37} fontSize="13.5" fill="var(--ink)">
              <tspan fontWeight="600">{label}</tspan>{' '}
              {label === 'upper' ? watts.upper : watts.lower} W
            </text>
            {goodParts.includes(part) && (
              <path
                d={`M${x + 104} ${top + 32}l4 5 8 -11`}
                fill="none"
                stroke="var(--ink)"
                strokeWidth="2.6"
              />
            )}
            {bad && <Suspected x={x - 16} y={top - 16} width={116} height={bottom - top + 32} />}
          </g>
        );
      })}
    </g>
  );
}

/** The leading suspect: both diagonals in pencil dashes, since it is suspected and not yet proved. */
function Suspected({
  x,
  y,
  width,
  height,
}: {
  x: number;
  y: number;
  width: number;
  height: number;
}) {
  return (
    <g fill="none" stroke="var(--ink)">
      <rect x={x} y={y} width={width} height={height} strokeWidth="1.5" strokeDasharray="5 4" />
      <path
        d={`M${x} ${y}L${x + width} ${y + height}M${x + width} ${y}L${x} ${y + height}`}
        strokeWidth="2"
        strokeDasharray="7 5"
      />
    </g>
  );
}

function PartBox({
  box,
  suspectedPart,
  goodParts = [],
}: {
  box: (typeof drawnBoxes)[number];
  suspectedPart?: string;
  goodParts?: readonly string[];
}) {
  const { part, label, x, y, width, height } = box;
  const labelY = part === 'limit' ? y + 16 : y + height - 8;
  return (
    <g>
      <rect
        x={x}
        y={y}
        width={width}
        height={height}
        fill="none"
        stroke="var(--ink)"
        strokeWidth="1.5"
      />
      <text
        x={part === 'breaker' || part === 'limit' ? x + width / 2 : x + 8}
        textAnchor={part === 'breaker' || part === 'limit' ? 'middle' : 'start'}
        y={part === 'breaker' ? y + height + 16 : labelY}
        fontSize="13"
        fontWeight="600"
        fill="var(--ink)"
      >
        {label}
      </text>
      {goodParts.includes(part) && (
        <path
          d={`M${x + width - 22} ${labelY - 5}l4 5 8 -11`}
          fill="none"
          stroke="var(--ink)"
          strokeWidth="2.6"
        />
      )}
      {suspectedPart === part && (
        <Suspected x={x + 3} y={y + 3} width={width - 6} height={height - 6} />
      )}
    </g>
  );
}

function pathOf(wire: string): Point[] {
  const [from, to] = conductorEnds(wire);
  return [
    drawnTerminals[from]!,
    ...(drawnRoutes[wire] ?? []).map(([x, y]) => ({ x, y })),
    drawnTerminals[to]!,
  ];
}

function middleOf(wire: string): Point {
  const points = pathOf(wire);
  const last = points.at(-1)!;
  const before = points.at(-2)!;
  return { x: (last.x + before.x) / 2, y: (last.y + before.y) / 2 };
}

function lineOf(wire: string, points: readonly Point[]): string {
  const hop = drawnHops.find((each) => each.conductor === wire);
  if (hop) {
    const [from, to] = [points[0]!, points.at(-1)!];
    return `M${from.x} ${from.y}H${hop.x - 9}a9 9 0 0 1 18 0H${to.x}`;
  }
  return points.map(({ x, y }, index) => `${index === 0 ? 'M' : 'L'}${x} ${y}`).join('');
}

function Conductor({ wire, picture, lifted }: WiringPictureProps & { wire: string }) {
  const [from, to] = conductorEnds(wire);
  const liftedEnd = lifted.find((each) => each.wire === wire);
  const points = pathOf(wire);
  const shown = liftedEnd ? shortened(points, liftedEnd.end === from) : points;
  const d = lineOf(wire, shown);
  if (wire === 'bond') {
    return (
      <path d={d} fill="none" stroke="var(--ink)" strokeWidth="1.5" strokeDasharray="10 4 2 4" />
    );
  }
  const ends = liftedEnd ? [liftedEnd.end === from ? to : from] : [from, to];
  const isLive = ends.some((each) => picture.live.includes(each));
  const isFedBack = !isLive && ends.some((each) => picture.fedBack.includes(each));
  if (isLive) {
    return (
      <g fill="none">
        <path d={d} stroke="var(--heat)" strokeWidth="8" />
        <path d={d} stroke="var(--on-heat)" strokeWidth="1.6" strokeDasharray="6 10" />
      </g>
    );
  }
  return (
    <path
      d={d}
      fill="none"
      stroke={isFedBack ? 'var(--heat)' : 'var(--ink)'}
      strokeWidth={isFedBack ? 2.4 : 2.2}
      strokeDasharray={isFedBack ? '7 5' : undefined}
    />
  );
}

/** A lifted wire stops short of its screw. */
function shortened(points: readonly Point[], atStart: boolean): Point[] {
  const ordered = atStart ? [...points].reverse() : [...points];
  const end = ordered.pop()!;
  const before = ordered.at(-1)!;
  const length = Math.hypot(end.x - before.x, end.y - before.y);
  const back = Math.min(length - 4, 36);
  const cut = {
    x: end.x - ((end.x - before.x) / length) * back,
    y: end.y - ((end.y - before.y) / length) * back,
  };
  ordered.push(cut);
  return atStart ? ordered.reverse() : ordered;
}

function Lifted({ wire, end }: LiftedEnd) {
  const points = pathOf(wire);
  const [from] = conductorEnds(wire);
  const cut = end === from ? shortened(points, true)[0]! : shortened(points, false).at(-1)!;
  const screw = drawnTerminals[end]!;
  return (
    <g stroke="var(--act)" fill="none">
      <circle cx={cut.x} cy={cut.y} r="5.5" fill="var(--sheet)" strokeWidth="2.6" />
      <path
        d={`M${cut.x} ${cut.y}L${screw.x} ${screw.y}`}
        strokeWidth="2.2"
        strokeDasharray="1 5"
        strokeLinecap="round"
      />
      <text
        x={cut.x}
        y={cut.y + 22}
        textAnchor="middle"
        fontSize="13"
        fontWeight="600"
        fill="var(--act)"
        stroke="var(--sheet)"
        strokeWidth="4"
        paintOrder="stroke"
      >
        lifted
      </text>
    </g>
  );
}

function Breaker({ picture }: WiringPictureProps) {
  const isOpen = picture.open.includes('breaker-1');
  return (
    <g>
      {(['feed.1', 'feed.2'] as const).map((feed) => {
        const { x, y } = drawnTerminals[feed]!;
        return (
          <g key={feed} fill="none">
            <path d={`M20 ${y}H50`} stroke="var(--heat)" strokeWidth="8" />
            <path
              d={`M22 ${y}H50`}
              stroke="var(--on-heat)"
              strokeWidth="1.6"
              strokeDasharray="6 10"
            />
            <circle cx="50" cy={y} r="5" fill="var(--heat)" />
            <path
              d={isOpen ? `M50 ${y}L74 ${y - 18}` : `M50 ${y}H78`}
              stroke="var(--ink)"
              strokeWidth="3.6"
            />
            <circle
              cx="78"
              cy={y}
              r="4"
              fill={isOpen ? 'var(--sheet)' : 'var(--ink)'}
              stroke="var(--ink)"
              strokeWidth="1.5"
            />
            <path
              d={`M82 ${y}H${x}`}
              stroke={isOpen ? 'var(--ink)' : 'var(--heat)'}
              strokeWidth={isOpen ? 2.2 : 8}
            />
          </g>
        );
      })}
    </g>
  );
}

function Contact({ from, to, sharesBlade, open }: DrawnContact & { open: boolean }) {
  const [start, end] = [drawnTerminals[from]!, drawnTerminals[to]!];
  const at = (share: number) => ({
    x: start.x + (end.x - start.x) * share,
    y: start.y + (end.y - start.y) * share,
  });
  const [near, far] = [at(0.3), at(0.72)];
  return (
    <g stroke="var(--ink)" fill="none">
      <path
        d={`M${start.x} ${start.y}L${near.x} ${near.y}M${far.x} ${far.y}L${end.x} ${end.y}`}
        strokeWidth="2.2"
      />
      {!(open && sharesBlade) && (
        <path
          d={
            open
              ? `M${near.x} ${near.y}L${far.x - 6} ${far.y - 15}`
              : `M${near.x} ${near.y}L${far.x} ${far.y}`
          }
          strokeWidth="3.6"
        />
      )}
      <circle cx={near.x} cy={near.y} r="4" fill="var(--ink)" />
      <circle
        cx={far.x}
        cy={far.y}
        r="4"
        fill={open ? 'var(--sheet)' : 'var(--ink)'}
        strokeWidth="1.6"
      />
    </g>
  );
}

function Screw({ x, y }: Point) {
  return (
    <g>
      <circle cx={x} cy={y} r="8" fill="var(--sheet)" stroke="var(--ink)" strokeWidth="1.8" />
      <path d={`M${x - 5} ${y + 4}L${x + 5} ${y - 4}`} stroke="var(--ink)" strokeWidth="1.8" />
    </g>
  );
}

const markOffset = { above: [0, -13], below: [0, 23], left: [-14, 5], right: [14, 5] } as const;

function Mark({ x, y, mark, markAt }: (typeof drawnTerminals)[string]) {
  const [dx, dy] = markOffset[markAt];
  return (
    <text
      x={x + dx}
      y={y + dy}
      textAnchor={markAt === 'left' ? 'end' : markAt === 'right' ? 'start' : 'middle'}
      fontSize="13"
      fontWeight="500"
      fill="var(--ink)"
    >
      {mark}
    </text>
  );
}

/** Of two probes the one on the higher screw comes from above, so that they never cover each other. */
function isUpper(terminal: string, probes: readonly string[]): boolean {
  const own = drawnTerminals[terminal];
  const other = drawnTerminals[probes.find((each) => each !== terminal) ?? ''];
  if (!own || !other) return true;
  return own.y < other.y || (own.y === other.y && own.x < other.x);
}

function ProbePoint({
  terminal,
  letter,
  isUpper: fromAbove,
}: {
  terminal: string;
  letter: 'A' | 'B';
  isUpper: boolean;
}) {
  const point = drawnTerminals[terminal];
  if (!point) return null;
  const { x, y } = point;
  const sign = fromAbove ? -1 : 1;
  const [tipX, tipY, endX, endY] = [x - 9, y + sign * 11, x - 30, y + sign * 40];
  return (
    <g>
      <circle cx={x} cy={y} r="13.5" fill="none" stroke="var(--act)" strokeWidth="3" />
      <path d={`M${tipX} ${tipY}L${endX} ${endY}`} stroke="var(--act)" strokeWidth="3" />
      <path
        d={`M${x - 17} ${y + sign * 22}L${endX} ${endY}`}
        stroke="var(--act)"
        strokeWidth="10"
        strokeLinecap="round"
      />
      <text
        x={endX + 15}
        y={endY + sign * 4 + 5}
        textAnchor="start"
        fontSize="16"
        fontWeight="600"
        fill="var(--act)"
        stroke="var(--sheet)"
        strokeWidth="4"
        paintOrder="stroke"
      >
        {letter}
      </text>
    </g>
  );
}

function Clamp({ wire }: { wire: string }) {
  const { x, y } = middleOf(wire);
  return (
    <g fill="none" stroke="var(--act)" strokeWidth="4">
      <path d={`M${x - 5} ${y - 16}a17 17 0 1 0 10 0`} />
      <path d={`M${x} ${y + 17}v20`} strokeWidth="10" strokeLinecap="round" />
    </g>
  );
}
