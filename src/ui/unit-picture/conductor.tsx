import type { PictureState } from '../../core/job-diagnosis';
import type { LiftedEnd } from '../../core/job-file';
import { endsOf, freeEnd, lineOf, middleOf, pathOf, shortened, type Plan } from './plan';

/** A conductor: live, fed back through an element or dead; moving where it carries current. */
export function Conductor({
  plan,
  wire,
  picture,
  lifted,
  colour,
}: {
  plan: Plan;
  wire: string;
  picture: PictureState;
  lifted: readonly LiftedEnd[];
  colour: string | undefined;
}) {
  const [from, to] = endsOf(plan, wire);
  const liftedEnd = lifted.find((each) => each.wire === wire);
  const points = pathOf(plan, wire);
  const d = lineOf(plan, wire, liftedEnd ? shortened(points, liftedEnd.end === from) : points);
  if (wire === 'bond') {
    return (
      <path d={d} fill="none" stroke="var(--ink)" strokeWidth="1.5" strokeDasharray="10 4 2 4" />
    );
  }
  const ends = liftedEnd ? [liftedEnd.end === from ? to : from] : [from, to];
  const states = ends.map((each) => picture.terminals[each]?.live ?? 'dead');
  const isLive = states.includes('live');
  const isFedBack = !isLive && states.includes('fed-back');
  const carries = (picture.ampere[wire] ?? 0) > 0.5;
  return (
    <g fill="none">
      {carries || isLive ? (
        <>
          <path d={d} stroke="var(--heat)" strokeWidth={carries ? 9 : 5} />
          {carries && (
            <path
              d={d}
              className="current"
              stroke="var(--on-heat)"
              strokeWidth="2.4"
              strokeDasharray="7 9"
            />
          )}
        </>
      ) : (
        <path
          d={d}
          stroke={isFedBack ? 'var(--heat)' : 'var(--ink)'}
          strokeWidth={isFedBack ? 2.4 : 2.2}
          strokeDasharray={isFedBack ? '7 5' : undefined}
        />
      )}
      {colour && <ColourTag plan={plan} wire={wire} colour={colour} />}
    </g>
  );
}

/** The colour as it was written down, in words beside the conductor: never assumed. */
function ColourTag({ plan, wire, colour }: { plan: Plan; wire: string; colour: string }) {
  const { x, y } = middleOf(plan, wire);
  return (
    <text
      x={x}
      y={y - 9}
      textAnchor="middle"
      fontSize="11.5"
      fontWeight="500"
      fill="var(--act)"
      stroke="var(--sheet)"
      strokeWidth="4"
      paintOrder="stroke"
    >
      {colour}
    </text>
  );
}

/** The free end of a lifted wire, and the screw it came from. */
export function Lifted({ plan, lifted }: { plan: Plan; lifted: LiftedEnd }) {
  const cut = freeEnd(plan, lifted);
  const screw = plan.drawing.terminals[lifted.end]!;
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
