import type { ReactNode } from 'react';
import type { Point } from '../../core/appliances';

/** Half the side of what a finger finds: 44 px at the scale of a desk. */
const reach = 22;

/** What a finger or the keyboard touches on a picture, larger than it is drawn. */
export function Touchable({
  at: { x, y },
  name,
  isPressed,
  width = 2 * reach,
  onTouch,
  children,
}: {
  at: Point;
  name: string;
  /** Undefined for what is turned and not chosen. */
  isPressed?: boolean;
  width?: number;
  onTouch: () => void;
  children?: ReactNode;
}) {
  return (
    <g
      className="terminal"
      role="button"
      tabIndex={0}
      aria-pressed={isPressed}
      aria-label={name}
      onClick={onTouch}
      onKeyDown={(event) => {
        if (event.key !== 'Enter' && event.key !== ' ') return;
        event.preventDefault();
        onTouch();
      }}
    >
      <Reach x={x} y={y} width={width} />
      {children}
    </g>
  );
}

export const Reach = ({ x, y, width = 2 * reach }: Point & { width?: number }) => (
  <rect
    className="terminal-reach"
    x={x - reach}
    y={y - reach}
    width={width}
    height={2 * reach}
    fill="transparent"
  />
);
