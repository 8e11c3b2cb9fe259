/** One way of a school, with its reason. */
export interface SchoolWay {
  readonly id: string;
  readonly label: string;
  readonly why: string;
}

/** Where good practitioners disagree: both ways, each with its reason and what is known of its odds. Common practice. */
export interface School {
  readonly id: string;
  readonly question: string;
  /** Where nobody has chosen, the first. */
  readonly ways: readonly [usual: SchoolWay, other: SchoolWay];
  /** Checks that one way takes and the other leaves alone, by way. */
  readonly leavesOut?: Readonly<Record<string, readonly string[]>>;
}

export const schools: readonly School[] = [
  {
    id: 'part-reading',
    question: 'Before a part is fitted',
    ways: [
      {
        id: 'read-first',
        label: 'read it itself',
        why: 'A minute more, and no part is fitted that nobody has touched.',
      },
      {
        id: 'trust-elimination',
        label: 'trust the others',
        why: 'What the rest of the circuit reads can leave only one part.',
      },
    ],
  },
  {
    id: 'element-proof',
    question: 'An element is good by',
    ways: [
      {
        id: 'ohms',
        label: 'ohms and to earth',
        why: 'Ohms against the plate find a half-burnt element too; one in ten bad ones still beeps.',
      },
      {
        id: 'continuity',
        label: 'continuity',
        why: 'A beep is enough nine times in ten, and is quicker. It counts as the weaker evidence that it is.',
      },
    ],
    leavesOut: {
      continuity: ['upper-element-ohms', 'lower-element-ohms', 'element-ohms'],
    },
  },
  {
    id: 'thermostat-proof',
    question: 'A thermostat is good by',
    ways: [
      {
        id: 'either',
        label: 'listening or looking',
        why: 'A click on the dial tells in seconds; ohms in warm water where the click leaves a doubt.',
      },
      {
        id: 'compare',
        label: 'its water alone',
        why: 'A click says that it moves, not that it moves where its dial says: compare it with the water.',
      },
    ],
    leavesOut: {
      compare: ['upper-thermostat-click', 'lower-thermostat-click', 'thermostat-click'],
    },
  },
  {
    id: 'neglected-flush',
    question: 'A long-neglected tank',
    ways: [
      {
        id: 'resume',
        label: 'flush it',
        why: 'Sediment goes on growing, heats badly and hides a tank that is nearly gone. What was flushed before bears the years that were missed.',
      },
      {
        id: 'leave',
        label: 'leave it',
        why: 'On an old tank that was never flushed it may open leaks that the crust held shut, or clog the drain: perhaps one in ten. Age and warranty decide.',
      },
    ],
  },
  {
    id: 'relief-lift',
    question: 'The relief valve, once a year',
    ways: [
      {
        id: 'look',
        label: 'looked at',
        why: 'Pipe end and pressure tell most; an old valve that is lifted may not shut again: perhaps one in five past ten years.',
      },
      {
        id: 'lift',
        label: 'lifted',
        why: 'Only a valve that has been seen to run is known to open; where it then drips it was due anyway.',
      },
    ],
  },
  {
    id: 'storing',
    question: 'Hot water is stored',
    ways: [
      {
        id: 'warm',
        label: 'warm, and drawn every day',
        why: 'It scalds in minutes, not seconds, needs no valve that fails, costs less to keep; it wants to be drawn every day.',
      },
      {
        id: 'hot-and-mixed',
        label: 'hot, and mixed down',
        why: 'Nothing grows in it, and there is more of it; without its valve it burns in five seconds.',
      },
    ],
  },
];

export type ChosenWays = Readonly<Record<string, string>> | undefined;

/** The way that is gone: as chosen, where there is such a way; the usual one otherwise. */
export function wayOf(school: School, chosen: ChosenWays): SchoolWay {
  const asked = chosen && Object.hasOwn(chosen, school.id) ? chosen[school.id] : undefined;
  return school.ways.find(({ id }) => id === asked) ?? school.ways[0];
}

/** Checks that the ways gone leave alone: not proposed, and counted all the same where somebody takes one. */
export const leftOutBy = (chosen: ChosenWays): ReadonlySet<string> =>
  new Set(schools.flatMap((each) => each.leavesOut?.[wayOf(each, chosen).id] ?? []));
