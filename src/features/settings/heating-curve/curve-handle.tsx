'use client';

import { useGesture } from '@use-gesture/react';
import { valueText, type UnitSystem } from '@/core/quantities';
import { bounds, outdoorAt, size, supplyAt, xOf, yOf, type Ends, type Handle } from './curve-scale';

/** An end of the curve, moved by a finger or by the arrow keys. */
export function CurveHandle({
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
