import type { DrawnSymbol } from '../../core/appliances';
import type { PictureState, SymbolState } from '../../core/job-diagnosis';
import { BadMark } from './parts';
import type { Plan } from './plan';
import { Touchable } from './touchable';

type Look = SymbolState['look'];

const labelOffset = { above: [0, -26], below: [0, 32], left: [-22, 5], right: [22, 5] } as const;

/** Flames, valves, knobs and the like, each as it stands; a button where a finger turns it. */
export function Symbols({
  plan,
  picture,
  suspectedPart,
  isFailed,
  onControl,
}: {
  plan: Plan;
  picture: PictureState;
  suspectedPart?: string;
  isFailed?: boolean;
  onControl?: (control: string, position: string | undefined) => void;
}) {
  return plan.drawing.symbols?.map((symbol) => {
    const state = picture.symbols[symbol.id];
    if (!state) return null;
    const { id, x, y, control } = symbol;
    const drawn = (
      <>
        <Drawn symbol={symbol} state={state} />
        {suspectedPart === id && (
          <BadMark x={x - 20} y={y - 20} width={40} height={40} isFailed={isFailed} />
        )}
      </>
    );
    if (!onControl || control === undefined) return <g key={id}>{drawn}</g>;
    return (
      <Touchable
        key={id}
        at={{ x, y }}
        name={`${symbol.name}, ${state.words}: turn it`}
        onTouch={() => onControl(control, state.position)}
      >
        {drawn}
      </Touchable>
    );
  });
}

function Drawn({ symbol, state }: { symbol: DrawnSymbol; state: SymbolState }) {
  const { kind, name, labelAt, scale = 1, x, y } = symbol;
  const [dx, dy] = labelAt ? labelOffset[labelAt] : [0, 0];
  return (
    <g>
      <g transform={`translate(${x} ${y}) scale(${scale})`}>{shapes[kind](state.look)}</g>
      {labelAt && (
        <text
          x={x + dx}
          y={y + dy}
          textAnchor={labelAt === 'left' ? 'end' : labelAt === 'right' ? 'start' : 'middle'}
          fontSize="12.5"
          fill="var(--ink)"
          stroke="var(--sheet)"
          strokeWidth="4"
          paintOrder="stroke"
        >
          {name}: {state.words}
        </text>
      )}
    </g>
  );
}

const ink = { stroke: 'var(--ink)', strokeWidth: 1.8, fill: 'var(--sheet)' } as const;

const flame = (look: Look, at = 0, size = 1) => (
  <path
    key={at}
    d={`M${at} ${-26 * size}c${5 * size} ${9 * size} ${11 * size} ${13 * size} ${9 * size} ${20 * size}a${9 * size} ${8 * size} 0 0 1 ${-18 * size} 0c${-2 * size} ${-7 * size} ${5 * size} ${-10 * size} ${9 * size} ${-20 * size}z`}
    stroke={look === 'off' ? 'var(--edge)' : 'var(--heat)'}
    strokeWidth="1.8"
    strokeDasharray={look === 'off' ? '2 4' : undefined}
    fill={look === 'on' ? 'var(--heat)' : look === 'weak' ? 'var(--heat-wash)' : 'none'}
  />
);

/** By kind, about its middle, some 32 units across. */
const shapes: Readonly<Record<DrawnSymbol['kind'], (look: Look) => React.ReactNode>> = {
  flame: (look) => flame(look),
  burner: (look) => (
    <>
      {[-26, 0, 26].map((at) => flame(look, at, 0.8))}
      <path d="M-44 4h88l-8 10h-72z" {...ink} />
    </>
  ),
  valve: (look) => (
    <>
      <path d="M-14 -10L14 10V-10L-14 10z" {...ink} strokeLinejoin="round" />
      {/* The lever lies along the pipe where it is open, across it where it is shut. */}
      <path
        d={look === 'off' ? 'M0 0V-22' : 'M0 -14H22'}
        stroke="var(--ink)"
        strokeWidth="4"
        strokeLinecap="round"
      />
      {look !== 'off' && <path d="M0 0V-14" stroke="var(--ink)" strokeWidth="2" />}
    </>
  ),
  knob: (look) => (
    <>
      <circle r="19" {...ink} />
      <path
        d={{ off: 'M0 0V-17', weak: 'M0 0L12 -12', on: 'M0 0H17' }[look]}
        stroke="var(--ink)"
        strokeWidth="4"
        strokeLinecap="round"
      />
    </>
  ),
  hood: (look) => (
    <>
      <path d="M-12 -12h24l14 24h-52z" {...ink} />
      {look === 'off' && (
        <path
          d="M-30 6c-8 -4 -10 -10 -8 -18M30 6c8 -4 10 -10 8 -18"
          stroke="var(--heat)"
          strokeWidth="2.4"
          fill="none"
        />
      )}
    </>
  ),
  filter: (look) => (
    <>
      <rect x="-9" y="-20" width="18" height="40" {...ink} />
      <path
        d={
          look === 'on'
            ? 'M-9 -10h18M-9 0h18M-9 10h18'
            : 'M-9 -14h18M-9 -8h18M-9 -2h18M-9 4h18M-9 10h18M-9 16h18M-4 -20v40M4 -20v40'
        }
        stroke="var(--ink)"
        strokeWidth="1.6"
      />
    </>
  ),
  light: (look) => (
    <circle
      r="9"
      stroke="var(--ink)"
      strokeWidth="1.8"
      strokeDasharray={look === 'weak' ? '3 3' : undefined}
      fill={look === 'on' ? 'var(--heat)' : look === 'weak' ? 'var(--heat-wash)' : 'var(--sheet)'}
    />
  ),
  meter: (look) => (
    <>
      <rect x="-18" y="-18" width="36" height="36" {...ink} />
      <circle r="10" {...ink} />
      <path d={look === 'on' ? 'M0 0L7 -7' : 'M0 0V-9'} stroke="var(--ink)" strokeWidth="2.2" />
    </>
  ),
  tap: (look) => (
    <>
      <path d="M-14 -4H8q8 0 8 8v6h-8v-4H-14z" {...ink} strokeLinejoin="round" />
      <path d="M-2 -4v-8M-10 -12H6" stroke="var(--ink)" strokeWidth="3" />
      {look !== 'off' && (
        <path
          d="M12 14v12"
          className="current"
          stroke="var(--heat)"
          strokeWidth="4"
          strokeDasharray="4 4"
        />
      )}
    </>
  ),
  tip: (look) => (
    <path
      d="M0 0V-34L-12 -44"
      fill="none"
      stroke={look === 'on' ? 'var(--heat)' : 'var(--ink)'}
      strokeWidth={look === 'off' ? 3 : 6}
      strokeLinecap="round"
    />
  ),
  fan: (look) => (
    <>
      <circle r="24" {...ink} />
      {[0, 120, 240].map((turn) => (
        <path
          key={turn}
          d="M0 0c-4 -8 0 -18 8 -20c4 8 0 16 -8 20z"
          transform={`rotate(${turn})`}
          stroke="var(--ink)"
          strokeWidth="1.6"
          fill={
            look === 'on' ? 'var(--heat)' : look === 'weak' ? 'var(--heat-wash)' : 'var(--sheet)'
          }
        />
      ))}
    </>
  ),
  mixer: (look) => (
    <>
      <path
        d="M-16 -9L0 0L-16 9zM16 -9L0 0L16 9zM-9 -16L0 0L9 -16z"
        {...ink}
        strokeLinejoin="round"
      />
      <path
        d="M-16 -9L0 0L-16 9z"
        stroke="var(--ink)"
        strokeWidth="1.8"
        fill={look === 'on' ? 'var(--heat)' : look === 'weak' ? 'var(--heat-wash)' : 'var(--sheet)'}
      />
    </>
  ),
  /** A sensor in its pocket, from the left: home, part of the way in, or beside it. */
  pocket: (look) => (
    <>
      <path d="M-8 -7H30a7 7 0 0 1 0 14H-8" {...ink} />
      <path
        d={{ on: 'M-34 0H28', weak: 'M-44 0H4', off: 'M-44 -15H-4' }[look]}
        stroke={look === 'on' ? 'var(--ink)' : 'var(--heat)'}
        strokeWidth="5"
        strokeLinecap="round"
      />
    </>
  ),
  pump: (look) => (
    <>
      <circle r="16" {...ink} />
      <path
        d="M-8 -12L14 0L-8 12z"
        {...ink}
        fill={look === 'on' ? 'var(--heat)' : 'var(--sheet)'}
      />
    </>
  ),
};
