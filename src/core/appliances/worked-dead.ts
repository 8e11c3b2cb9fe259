/** True for a family that has something to be proved dead: it works on mains volts, with a breaker and covers before it. */
export const isWorkedDead = ({
  deadPoints,
}: {
  readonly deadPoints: readonly unknown[];
}): boolean => deadPoints.length > 0;
