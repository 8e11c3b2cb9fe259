import { fromKept, shownUnit, toKept, valueText, type UnitSystem } from '@/core/quantities';
import { adultBurnSeconds, bacteriaSafeCelsius, burnPoints } from '@/core/settings/scald';

/** The settings on one scale: where bacteria can grow, and how soon adult skin burns. */
export function ScaldStrip({
  system,
  found,
  left,
  stores,
}: {
  system: UnitSystem;
  found: readonly number[];
  left: readonly number[];
  /** Water stands in it: below a temperature bacteria grow there. */
  stores: boolean;
}) {
  const unit = shownUnit('temperature', system);
  const [from, to] = system === 'us' ? [95, 165] : [35, 75];
  const x = (shown: number) => 10 + ((shown - from) / (to - from)) * 740;
  const place = (celsius: number) => x(Math.min(to, Math.max(from, fromKept(celsius, unit))));
  const step = system === 'us' ? 10 : 5;
  const labels = Array.from(
    { length: Math.floor((to - from) / step) + 1 },
    (_, k) => Math.ceil(from / step) * step + k * step,
  ).filter((each) => each <= to);
  const bars = Array.from({ length: 70 }, (_, k) => from + ((to - from) * k) / 69);
  const words = [
    left.length > 0 &&
      `as left ${left.map((each) => valueText(each, 'temperature', system)).join(' and ')}`,
    found.length > 0 &&
      `as found ${found.map((each) => valueText(each, 'temperature', system)).join(' and ')}`,
  ].filter(Boolean);
  return (
    <svg
      viewBox="0 0 760 118"
      className="mt-2 block w-full"
      role="img"
      aria-label={`Settings against scalding${stores ? ' and bacteria' : ''}: ${words.join(', ')}`}
    >
      {stores && (
        <rect
          x={x(from)}
          y="44"
          width={place(bacteriaSafeCelsius) - x(from)}
          height="22"
          fill="url(#strip-dots)"
        />
      )}
      <defs>
        <pattern id="strip-dots" width="5" height="5" patternUnits="userSpaceOnUse">
          <circle cx="2.5" cy="2.5" r="0.9" fill="var(--ink)" />
        </pattern>
      </defs>
      {stores && (
        <>
          <rect x={x(from) + 8} y="46" width="196" height="18" fill="var(--sheet)" />
          <text x={x(from) + 12} y="60" fontSize="13" fill="var(--ink)">
            stored here, bacteria can grow
          </text>
        </>
      )}
      {bars.map((shown) => {
        const seconds = adultBurnSeconds(toKept(shown, unit));
        if (seconds === undefined) return null;
        const severity = 1 - Math.log(seconds / 2) / Math.log(150);
        return (
          <rect
            key={shown}
            x={x(shown)}
            y={66 - (6 + 16 * severity)}
            width={1.5 + 6 * severity}
            height={6 + 16 * severity}
            fill="var(--heat)"
          />
        );
      })}
      <path
        d={`M10 66H750${labels.map((each) => `M${x(each)} 66v14`).join('')}`}
        stroke="var(--ink)"
        strokeWidth="1.6"
      />
      {labels.map((each) => (
        <text
          key={each}
          x={x(each)}
          y="95"
          textAnchor="middle"
          fontSize="14"
          fontWeight="500"
          fill="var(--ink)"
        >
          {each}
          {each === labels[0] && ` ${unit.symbol}`}
        </text>
      ))}
      <text x="10" y="113" fontSize="13" fill="var(--ink)">
        adult skin burns in
      </text>
      {burnPoints.map(({ celsius, seconds }) => (
        <text
          key={celsius}
          x={place(celsius)}
          y="113"
          textAnchor="middle"
          fontSize="13"
          fontWeight="600"
          fill="var(--heat)"
        >
          {seconds >= 60 ? `${seconds / 60} min` : `${seconds} s`}
        </text>
      ))}
      {found.map((each, index) => (
        <path
          key={`found ${index}`}
          d={`M${place(each) - 7} 24h14l-7 12zM${place(each)} 36V70`}
          fill="var(--sheet)"
          stroke="var(--act)"
          strokeWidth="2"
          strokeDasharray="4 3"
        />
      ))}
      {left.map((each, index) => (
        <path
          key={`left ${index}`}
          d={`M${place(each) - 7} 24h14l-7 12zM${place(each)} 34V72`}
          fill="var(--act)"
          stroke="var(--act)"
          strokeWidth="2.6"
        />
      ))}
      {left[0] !== undefined && (
        <text
          x={place(left[0])}
          y="16"
          textAnchor="middle"
          fontSize="13"
          fontWeight="600"
          fill="var(--act)"
        >
          as left
        </text>
      )}
      {found[0] !== undefined && Math.abs(place(found[0]) - place(left[0] ?? 0)) > 60 && (
        <text x={place(found[0])} y="16" textAnchor="middle" fontSize="13" fill="var(--act)">
          as found
        </text>
      )}
    </svg>
  );
}
