import type { DrawnPath } from '../../core/appliances';
import type { PathState, PictureState } from '../../core/job-diagnosis';
import type { Plan } from './plan';

const isHot = ({ medium }: DrawnPath) => medium === 'hot-water' || medium === 'flue-gas';

/** Ways of gas, water, air and flue gas: drawn double, and moving where something moves in them. */
export function Ways({ plan, picture }: { plan: Plan; picture: PictureState }) {
  return plan.drawing.paths?.map((path) => {
    const state = picture.paths[path.id];
    return state && <Way key={path.id} path={path} state={state} />;
  });
}

function Way({ path, state }: { path: DrawnPath; state: PathState }) {
  const d = path.corners.map(([x, y], k) => `${k === 0 ? 'M' : 'L'}${x} ${y}`).join('');
  const [outer, inner] = path.isWide ? [30, 26.5] : [11, 8];
  const ink = isHot(path) ? 'var(--heat)' : 'var(--ink)';
  return (
    <g fill="none" data-path={path.id}>
      <path d={d} stroke="var(--ink)" strokeWidth={outer} />
      <path d={d} stroke="var(--sheet)" strokeWidth={inner} />
      {state !== 'empty' && (
        <path
          d={d}
          className={state === 'flows' ? 'current' : undefined}
          stroke={ink}
          strokeWidth={state === 'flows' ? 4 : 2}
          strokeDasharray={state === 'flows' ? '7 9' : '2 6'}
        />
      )}
      {state === 'flows' && <Heading path={path} ink={ink} />}
    </g>
  );
}

/** An arrowhead in the middle of the longest stretch: which way it goes is seen where nothing moves. */
function Heading({ path, ink }: { path: DrawnPath; ink: string }) {
  const [, from, to] = path.corners
    .slice(1)
    .reduce<readonly [number, readonly number[], readonly number[]]>(
      (longest, corner, k) => {
        const before = path.corners[k]!;
        const length = Math.hypot(corner[0] - before[0], corner[1] - before[1]);
        return length > longest[0] ? [length, before, corner] : longest;
      },
      [0, [0, 0], [0, 0]],
    );
  const degrees = (Math.atan2(to[1]! - from[1]!, to[0]! - from[0]!) * 180) / Math.PI;
  const middle = `${(from[0]! + to[0]!) / 2} ${(from[1]! + to[1]!) / 2}`;
  return (
    <path
      d="M-8 -9L9 0L-8 9z"
      transform={`translate(${middle}) rotate(${degrees})`}
      fill={ink}
      stroke="var(--sheet)"
      strokeWidth="1.5"
    />
  );
}
