import type { DrawnTerminal, Point } from '../../core/appliances';
import type { TerminalState } from '../../core/job-diagnosis';
import { middleOf, type Plan } from './plan';
import { Reach, Touchable } from './touchable';

const markOffset = { above: [0, -13], below: [0, 23], left: [-14, 5], right: [14, 5] } as const;

/** A screw with its mark; a button where it may be touched. */
export function Terminal({
  terminal,
  touched,
  live,
  onTouch,
  isGlance,
  shown,
}: {
  terminal: DrawnTerminal;
  /** 0 or 1 where a probe is on it, −1 otherwise. */
  touched: number;
  /** Or a named point of gas, water or air, which is neither live nor dead. */
  live: TerminalState['live'] | 'port';
  onTouch?: () => void;
  isGlance?: boolean;
  /** Beside its mark: what was read there, or what the model has. */
  shown?: { readonly text: string; readonly isRead: boolean };
}) {
  const { x, y, mark, markAt, name } = terminal;
  const [dx, dy] = markOffset[markAt];
  const drawn = (
    <>
      <circle
        cx={x}
        cy={y}
        r="8"
        fill={live === 'live' ? 'var(--heat)' : 'var(--sheet)'}
        stroke={live === 'fed-back' ? 'var(--heat)' : 'var(--ink)'}
        strokeWidth="1.8"
        strokeDasharray={live === 'fed-back' ? '4 2.5' : undefined}
      />
      {live === 'port' ? (
        <circle cx={x} cy={y} r="3" fill="var(--ink)" />
      ) : (
        <path
          d={`M${x - 5} ${y + 4}L${x + 5} ${y - 4}`}
          stroke={live === 'live' ? 'var(--on-heat)' : 'var(--ink)'}
          strokeWidth="1.8"
        />
      )}
      <text
        x={x + dx}
        y={y + dy}
        textAnchor={markAt === 'left' ? 'end' : markAt === 'right' ? 'start' : 'middle'}
        fontSize="13"
        fontWeight="500"
        fill="var(--ink)"
        stroke="var(--sheet)"
        strokeWidth="3"
        paintOrder="stroke"
      >
        {mark}
        {shown && (
          <tspan
            dx="5"
            fontSize="12.5"
            fontWeight={shown.isRead ? 600 : 400}
            fill={shown.isRead ? 'var(--act)' : 'var(--ink-2)'}
            fontStyle={shown.isRead ? undefined : 'italic'}
          >
            {shown.text}
          </tspan>
        )}
      </text>
    </>
  );
  if (!onTouch) return <g>{drawn}</g>;
  if (isGlance) {
    return (
      <g className="terminal" onClick={onTouch}>
        <Reach x={x} y={y} />
        {drawn}
      </g>
    );
  }
  const probe = touched === 0 ? ', probe A is on it' : touched === 1 ? ', probe B is on it' : '';
  const standing = live === 'port' ? '' : live === 'fed-back' ? ', live, fed back' : `, ${live}`;
  return (
    <Touchable
      at={terminal}
      name={`${name}${standing}${probe}`}
      isPressed={touched >= 0}
      onTouch={onTouch}
    >
      {drawn}
    </Touchable>
  );
}

/** The free end of a lifted wire, where a probe may go. */
export function FreeEnd({
  point,
  name,
  isTouched,
  onTouch,
}: {
  point: Point;
  name: string;
  isTouched: boolean;
  onTouch: () => void;
}) {
  return <Touchable at={point} name={name} isPressed={isTouched} width={36} onTouch={onTouch} />;
}

/** Of two probes the one on the higher screw comes from above, so that they never cover each other. */
const isUpper = (own: Point, other: Point | undefined): boolean =>
  other === undefined || own.y < other.y || (own.y === other.y && own.x < other.x);

export function Probe({
  point,
  other,
  letter,
}: {
  point: Point | undefined;
  other: Point | undefined;
  letter: 'A' | 'B';
}) {
  if (!point) return null;
  const { x, y } = point;
  const sign = isUpper(point, other) ? -1 : 1;
  const [tipX, tipY, endX, endY] = [x - 9, y + sign * 11, x - 30, y + sign * 40];
  return (
    <g pointerEvents="none">
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

export function Clamp({ plan, wire }: { plan: Plan; wire: string }) {
  const { x, y } = middleOf(plan, wire);
  return (
    <g fill="none" stroke="var(--act)" strokeWidth="4" pointerEvents="none">
      <path d={`M${x - 5} ${y - 16}a17 17 0 1 0 10 0`} />
      <path d={`M${x} ${y + 17}v20`} strokeWidth="10" strokeLinecap="round" />
    </g>
  );
}
