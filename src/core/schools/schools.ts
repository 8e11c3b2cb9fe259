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
  readonly ways: readonly [usual: SchoolWay, other: SchoolWay, ...rest: SchoolWay[]];
  /**
   * Only where units of this kind are worked on: with a tank, warming a tap as it runs, with radiators on it, with a
   * mixing valve, a heat pump. All where absent.
   */
  readonly only?: 'tank' | 'tap' | 'tap-loop' | 'radiators' | 'mixing' | 'heat-pump';
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
    only: 'tank',
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
    only: 'tank',
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
    only: 'tank',
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
    only: 'tank',
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
    only: 'tank',
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
  {
    id: 'plate-exchanger',
    only: 'tap-loop',
    question: 'A scaled plate exchanger',
    ways: [
      {
        id: 'replace',
        label: 'replaced',
        why: 'Cleaning is partial and acid eats the solder: it comes back within a year or two, or leaks.',
      },
      {
        id: 'clean',
        label: 'cleaned with acid',
        why: 'Cheap, and today: most of the scale goes, and the part may be days away.',
      },
    ],
  },
  {
    id: 'keep-warm',
    only: 'tap-loop',
    question: 'Keep-warm is left',
    ways: [
      {
        id: 'off',
        label: 'off',
        why: 'It burns gas and wears pump and burner with nothing drawn; the wait is half a minute.',
      },
      {
        id: 'on',
        label: 'on, or by habit',
        why: 'A long pipe, a water meter or an outhouse: litres run off cold at every draw, and somebody waits.',
      },
    ],
  },
  {
    id: 'tap-temperature',
    only: 'tap',
    question: 'The tap is set to',
    ways: [
      {
        id: 'use',
        label: 'what is used, about 48 °C',
        why: 'It scalds in minutes instead of seconds, condenses better, and nothing is mixed down again.',
      },
      {
        id: 'hot',
        label: '60 °C, mixed at the outlet',
        why: 'Dishes and long pipes want it; a mixing valve at the bath does the rest.',
      },
    ],
  },
  {
    id: 'heating-flow',
    only: 'tap-loop',
    question: 'The heating flow is',
    ways: [
      {
        id: 'fixed',
        label: 'fixed, about 60 °C',
        why: 'It condenses most of the winter, nobody has to understand it, and it is turned up on the coldest days.',
      },
      {
        id: 'weather',
        label: 'led by the weather',
        why: 'Colder in mild weather, hotter in frost: the most efficient, once its curve is right.',
      },
    ],
  },
  {
    id: 'flow-port',
    only: 'tap',
    question: 'The heater alone is tried at',
    ways: [
      {
        id: 'service-port',
        label: 'its service port',
        why: 'Made for it, shuts again, and the water goes where the hose goes.',
      },
      {
        id: 'relief-valve',
        label: 'its relief valve',
        why: 'Where there are no ports: quick, but it may not shut again, and then it is replaced.',
      },
    ],
  },
  {
    id: 'descaling',
    only: 'tap',
    question: 'An exchanger is descaled',
    ways: [
      {
        id: 'yearly',
        label: 'once a year on hard water',
        why: 'Scale that has grown thick takes hours, and may already have cooked the metal.',
      },
      {
        id: 'on-a-sign',
        label: 'on a sign',
        why: 'A code, cut-outs, less flow: on soft water a yearly bath of acid does more harm than good.',
      },
    ],
  },
  {
    id: 'balancing',
    only: 'radiators',
    question: 'Radiators are balanced',
    ways: [
      {
        id: 'measured',
        label: 'by their temperatures',
        why: 'Top and bottom of each, a list of valves with turns, and what every other one will do: few visits.',
      },
      {
        id: 'by-drop',
        label: 'by their drop',
        why: 'The same fall of the water in each: right for a heat pump and for condensing.',
      },
      {
        id: 'by-feel',
        label: 'by feel',
        why: 'A quarter turn off the hottest, and again: quick in a small house, no sums, leaves about six kelvin.',
      },
    ],
  },
  {
    id: 'mixing-limit',
    only: 'mixing',
    question: 'A mixing valve is opened',
    ways: [
      {
        id: 'to-limit',
        label: 'to the scald limit',
        why: 'Whoever is small, old or frail burns in seconds: a step past the limit is asked for a reason.',
      },
      {
        id: 'to-stop',
        label: 'to its stop',
        why: 'A household of able adults that wants comfort: seen to work. The margin is shown at every step, with the tank at its hottest too.',
      },
    ],
  },
  {
    id: 'heat-pump-storing',
    only: 'heat-pump',
    question: 'A heat pump stores its hot water',
    ways: [
      {
        id: 'warm-weekly',
        label: 'at 50 °C, hot once a week',
        why: 'A quarter less power for the same water; a weekly hour at 60 °C keeps bacteria down.',
      },
      {
        id: 'hot',
        label: 'at 60 °C always',
        why: 'Nothing grows, and it lasts for more showers; it costs about a quarter more power.',
      },
    ],
  },
  {
    id: 'heat-pump-running',
    only: 'heat-pump',
    question: 'A heat pump heats',
    ways: [
      {
        id: 'steady',
        label: 'all day, on its curve',
        why: 'Cool water and long runs: the most heat for its power, and even rooms.',
      },
      {
        id: 'windows',
        label: 'in windows of a cheap tariff',
        why: 'Cheaper where power is dear by the hour; the water is hotter and the rooms swing.',
      },
    ],
  },
  {
    id: 'heat-pump-buffer',
    only: 'heat-pump',
    question: 'A buffer',
    ways: [
      {
        id: 'in',
        label: 'stays in',
        why: 'Pump and rooms each have their own flow: few starts, defrosts do not chill a room.',
      },
      {
        id: 'out',
        label: 'is piped past',
        why: 'Hot and returned water mix in it: without it the flow is a few kelvin cooler for the same rooms.',
      },
    ],
  },
];

/** Schools that units of a family are worked by. */
export const schoolsOf = (family: {
  readonly tap?: { readonly hasFlow: boolean };
  readonly radiators?: object;
  readonly mixing?: object;
  readonly isHeatPump?: boolean;
}): readonly School[] =>
  schools.filter(
    ({ only }) =>
      only === undefined ||
      (only === 'radiators'
        ? family.radiators !== undefined
        : only === 'mixing'
          ? family.mixing !== undefined
          : only === 'heat-pump'
            ? family.isHeatPump === true
            : family.tap === undefined
              ? only === 'tank'
              : only === 'tap' || (only === 'tap-loop' && family.tap.hasFlow)),
  );

export type ChosenWays = Readonly<Record<string, string>> | undefined;

/** The way that is gone: as chosen, where there is such a way; the usual one otherwise. */
export function wayOf(school: School, chosen: ChosenWays): SchoolWay {
  const asked = chosen && Object.hasOwn(chosen, school.id) ? chosen[school.id] : undefined;
  return school.ways.find(({ id }) => id === asked) ?? school.ways[0];
}

/** Checks that the ways gone leave alone: not proposed, and counted all the same where somebody takes one. */
export const leftOutBy = (chosen: ChosenWays): ReadonlySet<string> =>
  new Set(schools.flatMap((each) => each.leavesOut?.[wayOf(each, chosen).id] ?? []));
