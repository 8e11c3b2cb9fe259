import type { Point } from '../../core/appliances';
import { Conductor, Lifted } from './conductor';
import { Breaker, Contact, Lamp, PartBox } from './parts';
import { cropBox, freeEnd, freeEndId, freeEndOf, placeOf, wholeOf } from './plan';
import { Clamp, FreeEnd, Probe, Terminal } from './terminals';
import type { UnitPictureProps } from './props';
import { Symbols } from './symbols';
import { Tank, Vessels } from './tank';
import { Ways } from './ways';
import { isTankWithin, partWithin } from './within-view';

/** The unit, drawn from the model: what is live, what flows, what burns, what is lifted, where to touch. */
export function UnitPicture(props: UnitPictureProps) {
  const { plan, picture, crop, probes, label, onTerminal, colours = {} } = props;
  const seen = props.view ?? (crop ? cropBox(plan, probes, props.clampOn) : wholeOf(plan));
  const { drawing } = plan;
  // A crop is all that a phone shows of it, and most of the rest of its page.
  const drawn = crop ? partWithin(plan, seen) : drawing;
  const drawnPlan = crop ? { ...plan, drawing: drawn } : plan;
  const pointOf = (id: string): Point | undefined => {
    const end = freeEndOf(id);
    return end ? freeEnd(plan, end) : (drawing.terminals[id] ?? drawing.points?.[id]);
  };
  return (
    <svg
      viewBox={`${seen.x} ${seen.y} ${seen.width} ${seen.height}`}
      className="block h-full w-full"
      role={onTerminal && !props.isGlance ? 'group' : 'img'}
      aria-label={label}
      preserveAspectRatio="xMidYMid meet"
    >
      {(!crop || isTankWithin(plan, seen)) && <Tank {...props} />}
      <Vessels {...props} plan={drawnPlan} />
      <Ways plan={drawnPlan} picture={picture} />
      {drawn.boxes.map((box) => (
        <PartBox
          key={box.part}
          box={box}
          mark={
            props.suspectedPart === box.part ? (props.isFailed ? 'failed' : 'suspected') : undefined
          }
        />
      ))}
      {Object.keys(drawn.routes).map((wire) => (
        <Conductor
          key={wire}
          plan={plan}
          wire={wire}
          picture={picture}
          lifted={props.lifted}
          colour={colours[wire]}
        />
      ))}
      {drawn.joints.map(({ x, y }) => (
        <circle key={`${x} ${y}`} cx={x} cy={y} r="4" fill="var(--ink)" />
      ))}
      <Breaker plan={plan} poles={drawn.breakers} picture={picture} />
      {drawn.lamps?.map((lamp) => (
        <Lamp key={lamp.branch} {...lamp} isLit={(picture.ampere[lamp.branch] ?? 0) > 0} />
      ))}
      {drawn.contacts.map((each) => (
        <Contact
          key={each.branch}
          plan={plan}
          {...each}
          sharesBlade={each.sharesBlade && picture.strapped.length === 0}
          isStrap={picture.strapped.includes(each.branch)}
          open={[each.branch, each.alsoOpen].some(
            (branch) => branch !== undefined && picture.open.includes(branch),
          )}
          isCarrying={each.branch in picture.ampere}
        />
      ))}
      <Symbols
        plan={drawnPlan}
        picture={picture}
        suspectedPart={props.suspectedPart}
        isFailed={props.isFailed}
        onControl={props.isGlance ? undefined : props.onControl}
      />
      <Suspects {...props} />
      {props.lifted.map((each) => (
        <Lifted key={freeEndId(each)} plan={plan} lifted={each} />
      ))}
      {Object.entries(drawn.terminals).map(([id, terminal]) => (
        <Terminal
          key={id}
          terminal={terminal}
          touched={probes.indexOf(id)}
          onTouch={onTerminal && (() => onTerminal(id))}
          isGlance={props.isGlance}
          live={picture.terminals[id]?.live ?? 'dead'}
        />
      ))}
      {Object.entries(drawn.points ?? {}).map(
        ([id, point]) =>
          picture.readouts[id] && (
            <Terminal
              key={id}
              terminal={point}
              touched={probes.indexOf(id)}
              onTouch={onTerminal && (() => onTerminal(id))}
              isGlance={props.isGlance}
              live="port"
              shown={shownAt(id, props)}
            />
          ),
      )}
      {onTerminal &&
        !props.isGlance &&
        props.lifted.map((each) => {
          const id = freeEndId(each);
          return (
            <FreeEnd
              key={id}
              point={freeEnd(plan, each)}
              name={`free end lifted off ${drawing.terminals[each.end]!.name}`}
              isTouched={probes.includes(id)}
              onTouch={() => onTerminal(id)}
            />
          );
        })}
      {props.clampOn && <Clamp plan={plan} wire={props.clampOn} />}
      {probes.map((each, index) => (
        <Probe
          key={each}
          point={pointOf(each)}
          other={pointOf(probes.find((another) => another !== each) ?? '')}
          letter={index === 0 ? 'A' : 'B'}
        />
      ))}
    </svg>
  );
}

/** The temperature at a point: as it was read, or as the model has it. */
function shownAt(
  id: string,
  { picture, known, temperature, crop }: UnitPictureProps,
): { readonly text: string; readonly isRead: boolean } | undefined {
  if (!known || !temperature || crop) return undefined;
  const read = known[id];
  if (read !== undefined) return { text: temperature(read), isRead: true };
  const readout = picture.readouts[id];
  if (readout?.quantity !== 'temperature') return undefined;
  return { text: `≈ ${temperature(readout.value)}`, isRead: false };
}

/** Numbers where the leading suspects would have broken something: 1 for the likeliest. */
function Suspects({ plan, picture, suspectedPart, crop }: UnitPictureProps) {
  if (crop) return null;
  return picture.suspected.map(({ fault, branches }, index) => {
    const at = branches.map((each) => placeOf(plan, each)).find((each) => each !== undefined);
    const isMarked = suspectedPart !== undefined && fault.startsWith(`${suspectedPart}.`);
    if (!at || isMarked) return null;
    return (
      <g key={fault}>
        <circle
          cx={at.x}
          cy={at.y}
          r="9.5"
          fill="var(--sheet)"
          stroke="var(--ink)"
          strokeWidth="1.6"
          strokeDasharray="4 2.5"
        />
        <text
          x={at.x}
          y={at.y + 4.5}
          textAnchor="middle"
          fontSize="13"
          fontWeight="600"
          fill="var(--ink)"
        >
          {index + 1}
        </text>
      </g>
    );
  });
}
