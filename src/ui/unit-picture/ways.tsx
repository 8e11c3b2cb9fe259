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
    </g>
  );
}
