import type { DrawnBox, DrawnContact, DrawnLamp, Drawing } from '../../core/appliances';
import type { PictureState } from '../../core/job-diagnosis';
import type { Plan } from './plan';

/** A part marked as bad: both diagonals, in dashes while it is suspected, in full once it has failed. */
export function BadMark({
  x,
  y,
  width,
  height,
  isFailed = false,
}: {
  x: number;
  y: number;
  width: number;
  height: number;
  isFailed?: boolean;
}) {
  return (
    <g fill="none" stroke="var(--ink)">
      <rect
        x={x}
        y={y}
        width={width}
        height={height}
        strokeWidth={isFailed ? 2.5 : 1.5}
        strokeDasharray={isFailed ? undefined : '5 4'}
      />
      <path
        d={`M${x} ${y}L${x + width} ${y + height}M${x + width} ${y}L${x} ${y + height}`}
        strokeWidth={isFailed ? 3 : 2}
        strokeDasharray={isFailed ? undefined : '7 5'}
      />
    </g>
  );
}

export function PartBox({
  box,
  mark,
}: {
  box: DrawnBox;
  mark: 'suspected' | 'failed' | undefined;
}) {
  const { label, x, y, width, height, labelAt = 'bottom' } = box;
  const isCentred = labelAt !== 'bottom';
  const labelY = { top: y + 16, bottom: y + height - 8, under: y + height + 16 }[labelAt];
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
        x={isCentred ? x + width / 2 : x + 8}
        textAnchor={isCentred ? 'middle' : 'start'}
        y={labelY}
        fontSize="13"
        fontWeight="600"
        fill="var(--ink)"
      >
        {label}
      </text>
      {mark && (
        <BadMark
          x={x + 3}
          y={y + 3}
          width={width - 6}
          height={height - 6}
          isFailed={mark === 'failed'}
        />
      )}
    </g>
  );
}

/** The poles of the breaker: live from the left, whatever the rest of the unit does. */
export function Breaker({
  plan,
  poles,
  picture,
}: {
  plan: Plan;
  poles: Drawing['breakers'];
  picture: PictureState;
}) {
  return poles.map(({ branch: id, to }) => {
    const { x, y } = plan.drawing.terminals[to]!;
    const isOpen = picture.open.includes(id);
    const isLive = picture.terminals[to]?.live === 'live';
    // A neutral pole is not live: nothing is drawn hot that a hand could mistake.
    const feed = picture.liveFeeds.includes(id) ? 'var(--heat)' : 'var(--ink)';
    return (
      <g key={id} fill="none">
        <path d={`M20 ${y}H50`} stroke={feed} strokeWidth={feed === 'var(--heat)' ? 6 : 2.2} />
        <circle cx="50" cy={y} r="5" fill={feed} />
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
          stroke={isLive ? 'var(--heat)' : 'var(--ink)'}
          strokeWidth={isLive ? 5 : 2.2}
        />
      </g>
    );
  });
}

/** A switch contact; or a plain strap in its place. */
export function Contact({
  plan,
  from,
  to,
  sharesBlade,
  isStrap,
  open,
  isCarrying,
}: DrawnContact & { plan: Plan; isStrap: boolean; open: boolean; isCarrying: boolean }) {
  const { terminals } = plan.drawing;
  const [start, end] = [terminals[from]!, terminals[to]!];
  if (isStrap) {
    return (
      <path
        d={`M${start.x} ${start.y}L${end.x} ${end.y}`}
        stroke={isCarrying ? 'var(--heat)' : 'var(--ink)'}
        strokeWidth={isCarrying ? 6 : 2.2}
      />
    );
  }
  const at = (share: number) => ({
    x: start.x + (end.x - start.x) * share,
    y: start.y + (end.y - start.y) * share,
  });
  const [near, far] = [at(0.3), at(0.72)];
  return (
    <g stroke={isCarrying ? 'var(--heat)' : 'var(--ink)'} fill="none">
      <path
        d={`M${start.x} ${start.y}L${near.x} ${near.y}M${far.x} ${far.y}L${end.x} ${end.y}`}
        strokeWidth={isCarrying ? 6 : 2.2}
      />
      {!(open && sharesBlade) && (
        <path
          d={
            open
              ? `M${near.x} ${near.y}L${far.x - 6} ${far.y - 15}`
              : `M${near.x} ${near.y}L${far.x} ${far.y}`
          }
          stroke="var(--ink)"
          strokeWidth="3.6"
        />
      )}
      <circle cx={near.x} cy={near.y} r="4" fill="var(--ink)" stroke="var(--ink)" />
      <circle
        cx={far.x}
        cy={far.y}
        r="4"
        fill={open ? 'var(--sheet)' : 'var(--ink)'}
        stroke="var(--ink)"
        strokeWidth="1.6"
      />
    </g>
  );
}

/** An indicator lamp: a ring with a cross, filled while it is lit. */
export function Lamp({ x, y, label, isLit }: DrawnLamp & { isLit: boolean }) {
  return (
    <g stroke="var(--ink)" strokeWidth="1.6">
      <circle cx={x} cy={y} r="10" fill={isLit ? 'var(--heat)' : 'var(--sheet)'} />
      <path
        d={`M${x - 7} ${y - 7}l14 14M${x + 7} ${y - 7}l-14 14`}
        stroke={isLit ? 'var(--on-heat)' : 'var(--ink)'}
      />
      <text x={x + 16} y={y + 5} fontSize="13" fill="var(--ink)" stroke="none">
        {label}
      </text>
    </g>
  );
}
