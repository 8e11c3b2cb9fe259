import { BadMark } from './parts';
import type { UnitPictureProps } from './props';

/** The tank with its water, warm above and below, and its elements with what they turn to heat. */
export function Tank({
  plan,
  picture,
  watts,
  temperature,
  suspectedPart,
  isFailed,
}: UnitPictureProps) {
  const { tank, elements, terminals } = plan.drawing;
  if (!tank) return null;
  const { x, y, width, height } = tank;
  const middle = y + height / 2;
  const zones =
    elements.length > 1
      ? [
          { top: y + 12, celsius: picture.topCelsius },
          { top: middle + 4, celsius: picture.bottomCelsius },
        ]
      : [{ top: y + 12, celsius: picture.topCelsius }];
  return (
    <g>
      {[0, 6].map((inset) => (
        <rect
          key={inset}
          x={x + inset}
          y={y + inset}
          width={width - 2 * inset}
          height={height - 2 * inset}
          rx={34 - inset * 0.8}
          fill={inset === 0 ? 'var(--sheet)' : 'none'}
          stroke="var(--ink)"
          strokeWidth={inset === 0 ? 2.2 : 1}
        />
      ))}
      {temperature &&
        zones.map(({ top, celsius }) => (
          <Water
            key={top}
            x={x}
            top={top}
            width={width}
            celsius={celsius}
            text={temperature(celsius)}
          />
        ))}
      {elements.map(({ part, label }) => {
        const a = terminals[`${part}.a`]!;
        const b = terminals[`${part}.b`]!;
        const [top, bottom] = [Math.min(a.y, b.y), Math.max(a.y, b.y)];
        const bend = (bottom - top) / 2;
        const outline = `M${a.x} ${top}H${x + 128 - bend}a${bend} ${bend} 0 0 1 0 ${bottom - top}H${a.x}`;
        const heat = picture.watt[part] ?? 0;
        const isHeating = heat > 50;
        return (
          <g key={part}>
            <rect
              x={x - 12}
              y={top - 12}
              width="14"
              height={bottom - top + 24}
              fill="var(--well)"
              stroke="var(--ink)"
              strokeWidth="1.5"
            />
            <path d={outline} fill="none" stroke="var(--ink)" strokeWidth="8" />
            <path
              d={outline}
              fill="none"
              stroke={isHeating ? 'var(--heat)' : 'var(--sheet)'}
              strokeWidth="4.5"
            />
            <rect x={x + 12} y={top + 20} width="96" height="24" fill="var(--sheet)" />
            <text
              x={x + 16}
              y={top + 37}
              fontSize="13.5"
              fill={isHeating ? 'var(--heat)' : 'var(--ink)'}
            >
              <tspan fontWeight="600">{label}</tspan>{' '}
              {isHeating ? Math.round(heat / 10) * 10 : (watts[part] ?? 0)} W
            </text>
            {suspectedPart === part && (
              <BadMark
                x={x - 16}
                y={top - 16}
                width={116}
                height={bottom - top + 32}
                isFailed={isFailed}
              />
            )}
          </g>
        );
      })}
    </g>
  );
}

/** Vessels beside the tank, each with its water. */
export function Vessels({ plan, picture, temperature }: UnitPictureProps) {
  return plan.drawing.vessels?.map(({ id, label, x, y, width, height }) => {
    const celsius = picture.vesselCelsius?.[id];
    return (
      <g key={id}>
        <rect
          x={x}
          y={y}
          width={width}
          height={height}
          rx={22}
          fill="var(--sheet)"
          stroke="var(--ink)"
          strokeWidth={2.2}
        />
        {temperature && celsius !== undefined && (
          <Water x={x} top={y + 8} width={width} celsius={celsius} text={temperature(celsius)} />
        )}
        <text
          x={x + width / 2}
          y={y + height - 12}
          textAnchor="middle"
          fontSize="13"
          fill="var(--ink)"
        >
          {label}
        </text>
      </g>
    );
  });
}

function Water({
  x,
  top,
  width,
  celsius,
  text,
}: {
  x: number;
  top: number;
  width: number;
  celsius: number;
  text: string;
}) {
  const isWarm = celsius > 30;
  return (
    <g>
      {isWarm &&
        Array.from({ length: 8 }, (_, k) => (
          <path
            key={k}
            d={`M${x + 26} ${top + 10 + k * 6}H${x + width - 18}`}
            stroke="var(--heat)"
            strokeWidth="1.6"
            opacity="0.85"
          />
        ))}
      <rect x={x + width - 66} y={top + 16} width="52" height="22" fill="var(--sheet)" />
      <text
        x={x + width - 40}
        y={top + 32}
        textAnchor="middle"
        fontSize="14"
        fontWeight="600"
        fill={isWarm ? 'var(--heat)' : 'var(--ink)'}
      >
        {text}
      </text>
    </g>
  );
}
