'use client';

import { useGesture } from '@use-gesture/react';
import { useRef, useState, type ReactNode } from 'react';
import type { Point } from '../../core/appliances';
import { wholeOf, type Plan } from './plan';
import { closer, moved, placeIn, showing, unitsPerPixel, type View } from './view';

const buttonStep = 1.8;
const tapStep = 2.5;
/** Two taps within this time and distance are meant as one. */
const doubleTap = { milliseconds: 350, pixels: 30 };

/** A picture that is seen whole, and comes closer by two fingers, by two taps on one place, or by its buttons. */
export function CloserPicture({
  plan,
  className,
  children,
}: {
  plan: Plan;
  className?: string;
  children: (view: View) => ReactNode;
}) {
  const whole = wholeOf(plan);
  const [view, setView] = useState(whole);
  const frame = useRef<HTMLDivElement>(null);
  const lastTap = useRef<Point & { readonly at: number }>(undefined);
  const isClose = view.width < whole.width * 0.99;
  const boxOf = () => frame.current?.getBoundingClientRect() ?? whole;
  const bind = useGesture(
    {
      onPinch: ({ origin: [x, y], delta: [by], offset: [scale] }) =>
        setView((before) =>
          closer(before, whole, scale / (scale - by || 1), placeIn(before, boxOf(), { x, y })),
        ),
      onDrag: ({ delta: [dx, dy], pinching }) => {
        if (pinching || !isClose) return;
        setView((before) => {
          const scale = unitsPerPixel(before, boxOf());
          return moved(before, whole, { x: -dx * scale, y: -dy * scale });
        });
      },
    },
    {
      drag: { filterTaps: true, pointer: { keys: false } },
      pinch: { pointer: { touch: true } },
    },
  );
  const middle = (of: View): Point => ({ x: of.x + of.width / 2, y: of.y + of.height / 2 });
  const tap = ({ clientX: x, clientY: y, timeStamp: at }: React.MouseEvent) => {
    const last = lastTap.current;
    const isSecond =
      last !== undefined &&
      at - last.at < doubleTap.milliseconds &&
      Math.hypot(x - last.x, y - last.y) < doubleTap.pixels;
    lastTap.current = isSecond ? undefined : { x, y, at };
    if (!isSecond) return;
    setView((before) =>
      isClose ? whole : closer(before, whole, tapStep, placeIn(before, boxOf(), { x, y })),
    );
  };
  return (
    <div>
      {/* The buttons below do the same for the keyboard. */}
      <div
        {...bind()}
        ref={frame}
        className={`${isClose ? 'touch-none' : 'touch-pan-y'} ${className ?? ''}`}
        onClick={tap}
        onFocus={({ target }) => {
          const box = target.getBoundingClientRect();
          const at = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
          setView((before) => showing(before, whole, placeIn(before, boxOf(), at)));
        }}
      >
        {children(view)}
      </div>
      <div className="mt-1 flex gap-2">
        <button
          type="button"
          className="button px-3"
          onClick={() => setView((before) => closer(before, whole, buttonStep, middle(before)))}
        >
          Closer
        </button>
        {isClose && (
          <>
            <button
              type="button"
              className="button px-3"
              onClick={() =>
                setView((before) => closer(before, whole, 1 / buttonStep, middle(before)))
              }
            >
              Farther
            </button>
            <button type="button" className="button px-3" onClick={() => setView(whole)}>
              Whole unit
            </button>
          </>
        )}
      </div>
    </div>
  );
}
