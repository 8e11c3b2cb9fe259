/** Patterns by which a suspect is known wherever it is drawn: by rank, the same for the whole screen. */
const patternCount = 5;

export type PatternRank = 0 | 1 | 2 | 3 | 4 | 'solid';

export const patternOf = (rank: number): PatternRank =>
  (rank >= 0 && rank < patternCount - 1 ? rank : 4) as PatternRank;

export const patternFill = (pattern: PatternRank): string =>
  pattern === 'solid' ? 'var(--ink)' : pattern === 4 ? 'var(--sheet)' : `url(#pattern-${pattern})`;

/** Once on every screen that draws suspects. */
export function PatternDefinitions() {
  const ink = { stroke: 'var(--ink)', strokeWidth: 1.4, fill: 'none' };
  return (
    <svg width="0" height="0" className="absolute" aria-hidden="true" focusable="false">
      <defs>
        <pattern id="pattern-0" width="6" height="6" patternUnits="userSpaceOnUse">
          <rect width="6" height="6" fill="var(--sheet)" />
          <path d="M-1 7L7 -1M-1 1L1 -1M5 7L7 5" {...ink} />
        </pattern>
        <pattern id="pattern-1" width="4" height="4" patternUnits="userSpaceOnUse">
          <rect width="4" height="4" fill="var(--sheet)" />
          <path d="M2 0V4" {...ink} />
        </pattern>
        <pattern id="pattern-2" width="8" height="8" patternUnits="userSpaceOnUse">
          <rect width="8" height="8" fill="var(--sheet)" />
          <path d="M-1 -1L9 9M-1 7L1 9M7 -1L9 1" {...ink} />
        </pattern>
        <pattern id="pattern-3" width="5" height="5" patternUnits="userSpaceOnUse">
          <rect width="5" height="5" fill="var(--sheet)" />
          <circle cx="2.5" cy="2.5" r="1" fill="var(--ink)" />
        </pattern>
      </defs>
    </svg>
  );
}

/** All suspects end to end, as on Today and on a phone. Undefined: no answers yet. */
export function SuspectStrip({
  suspects,
  decided,
  label,
}: {
  suspects: readonly { readonly probability: number }[] | undefined;
  decided: boolean;
  label: string;
}) {
  if (!suspects) {
    return (
      <svg viewBox="0 0 250 14" className="h-3.5 w-full" role="img" aria-label={label}>
        <path d="M0 7H250" stroke="var(--ink)" strokeWidth="2" strokeDasharray="2 5" />
      </svg>
    );
  }
  const starts = suspects.map((_, index) =>
    suspects.slice(0, index).reduce((sum, each) => sum + each.probability, 0),
  );
  return (
    <svg
      viewBox="0 0 250 14"
      preserveAspectRatio="none"
      className="h-3.5 w-full"
      role="img"
      aria-label={label}
    >
      <rect x="0.5" y="0.5" width="249" height="13" fill="var(--sheet)" stroke="var(--ink)" />
      {suspects.map((each, index) => (
        <rect
          key={index}
          x={0.5 + 249 * starts[index]!}
          y="0.5"
          width={Math.max(0, 249 * each.probability)}
          height="13"
          fill={patternFill(decided && index === 0 ? 'solid' : patternOf(index))}
          stroke="var(--ink)"
        />
      ))}
    </svg>
  );
}
