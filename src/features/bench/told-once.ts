/** A line as it is told: what is said and weighs the same stands there once, with how often. */
export interface ToldLine<Line> {
  readonly line: Line;
  readonly times: number;
}

/**
 * Lines that say the same, each once in the place of its first.
 * @param says what somebody reads of a line.
 */
export function toldOnce<Line>(
  lines: readonly Line[],
  says: (line: Line) => string,
): ToldLine<Line>[] {
  const told = new Map<string, { line: Line; times: number }>();
  for (const line of lines) {
    const before = told.get(says(line));
    if (before) before.times += 1;
    else told.set(says(line), { line, times: 1 });
  }
  return [...told.values()];
}
