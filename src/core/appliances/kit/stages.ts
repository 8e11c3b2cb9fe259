/**
 * A unit's physics as stages that know nothing of each other: a sequence of operation, a circuit, water and heat. They exchange
 * one flat record of signals and are run in order; where a stage takes what a later one gives, again until none changes.
 */
export type Signals = Record<string, number>;

export interface Stage<Given> {
  readonly id: string;
  /** Signals that it needs from the others; those that are not there yet are nought. */
  readonly takes: readonly string[];
  readonly gives: readonly string[];
  /** Writes what it gives into the signals. */
  run(given: Given, signals: Signals): void;
}

/** Rounds after which a unit that has not settled never does. */
const mostRounds = 6;
const leastChange = 1e-9;

/**
 * Makes the runner of some stages.
 * @throws TypeError where something is taken that nobody gives, or given by two. The runner throws RangeError where the signals
 * do not stand still within six rounds: a model that swings needs a trace, not a state.
 */
export function runnerOf<Given>(stages: readonly Stage<Given>[]): (given: Given) => Signals {
  const isForward = checkStages(stages);
  const all = [...new Set(stages.flatMap(({ takes, gives }) => [...takes, ...gives]))];
  const empty = Object.fromEntries(all.map((each) => [each, 0]));
  return (given) => {
    const signals: Signals = { ...empty };
    for (const stage of stages) stage.run(given, signals);
    if (isForward) return signals;
    for (let round = 1; round < mostRounds; round++) {
      const before = { ...signals };
      for (const stage of stages) stage.run(given, signals);
      const isStill = all.every(
        (id) =>
          Math.abs(signals[id]! - before[id]!) <= leastChange * Math.max(1, Math.abs(signals[id]!)),
      );
      if (isStill) return signals;
    }
    throw new RangeError(`${stages.map((each) => each.id).join(', ')} do not settle`);
  };
}

/** Gives whether every stage takes from those before it alone: then one round is enough. */
function checkStages<Given>(stages: readonly Stage<Given>[]): boolean {
  const given = new Map<string, number>();
  stages.forEach(({ id, gives }, k) => {
    for (const signal of gives) {
      const other = given.get(signal);
      if (other !== undefined) {
        throw new TypeError(`"${signal}" is given by ${stages[other]!.id} and by ${id}`);
      }
      given.set(signal, k);
    }
  });
  return stages.every(({ id, takes }, k) =>
    takes.every((signal) => {
      const by = given.get(signal);
      if (by === undefined) throw new TypeError(`${id} takes "${signal}", which nobody gives`);
      return by < k;
    }),
  );
}
