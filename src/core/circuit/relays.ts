/**
 * Relays over a resistive network: solved, the coils looked at, contacts moved, solved again until nothing moves. A coil that is
 * fed through its own break contact never settles: it chatters.
 */
export interface Relay {
  readonly id: string;
  /** Picks up at this and over, lets go at this and under; between the two it keeps what it was. */
  readonly pickUpVolt: number;
  readonly dropOutVolt: number;
}

export interface Settled<Solved> {
  readonly solved: Solved;
  /** Relays that stand picked up, by their place in the list. */
  readonly picked: readonly boolean[];
  readonly volts: readonly number[];
  /** They would not stand still: the last of the tries is given. */
  readonly chatters: boolean;
}

/** Tries after which relays that have not settled never do. Every chain of a unit settles within three. */
const mostTries = 8;

/**
 * Settles relays from where they stood.
 * @param from rest where the power has just come on; how they stand where only a dial, a jumper or a knock came.
 * @param solve solves the network with its relays so.
 * @param coilVolts volts over each coil of a solved network.
 */
export function settleRelays<Solved>(
  relays: readonly Relay[],
  from: readonly boolean[],
  solve: (picked: readonly boolean[]) => Solved,
  coilVolts: (solved: Solved) => readonly number[],
): Settled<Solved> {
  let picked: readonly boolean[] = from;
  for (let tries = 0; ; tries++) {
    const solved = solve(picked);
    const volts = coilVolts(solved);
    const next = relays.map(({ pickUpVolt, dropOutVolt }, k) =>
      volts[k]! >= pickUpVolt ? true : volts[k]! <= dropOutVolt ? false : (picked[k] ?? false),
    );
    const isStill = next.every((each, k) => each === (picked[k] ?? false));
    if (isStill || tries === mostTries) return { solved, picked: next, volts, chatters: !isStill };
    picked = next;
  }
}
