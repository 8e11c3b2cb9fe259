import { gasParts, gasVariants } from './gas-parts';
import type { UnitOutcome } from './part';
import type { Circumstances } from './report';
import { savingOf } from './statistics';
import { rightOf, strategyRow, sumMinutes, table } from './strategy-table';

/** Floors of the design of this family, for either variant. */
const floor = { right: 0.88, minutes: 17, againstSkipping: 0.45, againstOrder: 0.8 };

/** The gas storage heater on simulated units, as a page: what was reached, against what, and where it falls short. */
export function gasReportOf(
  outcomes: Readonly<Record<string, readonly UnitOutcome[]>>,
  at: Circumstances,
): string {
  const of = (variant: string, strategy: string) => outcomes[`gas-${variant}-${strategy}`] ?? [];
  const rows = gasVariants.flatMap(({ name, title }) => {
    const own = of(name, 'engine');
    const right = rightOf(own);
    const minutes = sumMinutes(own);
    const saved = (rival: string) => savingOf(own, of(name, rival), at.random);
    const [skipping, order] = [saved('skipping'), saved('order')];
    const isFloor = name !== 'parallel';
    const met = (is: boolean) => (!isFloor ? 'no floor' : is ? 'met' : '**not met**');
    const percent = (value: number) => `${(-value * 100).toFixed(0)} %`;
    return [
      [
        `${title}: right`,
        floor.right.toFixed(2),
        `${right.share.toFixed(3)} (${right.from.toFixed(3)} to ${right.to.toFixed(3)})`,
        met(right.share >= floor.right),
      ],
      [
        `${title}: minutes`,
        `at most ${floor.minutes}`,
        `${minutes.mean.toFixed(1)} ± ${minutes.plusMinus.toFixed(1)}`,
        met(minutes.mean <= floor.minutes),
      ],
      [
        `${title}: fewer minutes than the usual order that skips`,
        `${floor.againstSkipping * 100} %`,
        `${percent(skipping.saved)} (${percent(skipping.to)} to ${percent(skipping.from)})`,
        met(-skipping.saved >= floor.againstSkipping),
      ],
      [
        `${title}: fewer minutes than the plain usual order`,
        `${floor.againstOrder * 100} %`,
        `${percent(order.saved)} (${percent(order.to)} to ${percent(order.from)})`,
        met(-order.saved >= floor.againstOrder),
      ],
    ];
  });
  return [
    '# Benchmark of the gas storage heater with a pilot',
    '',
    `Made by \`${at.command}\` on ${at.date}, commit ${at.commit}, ${at.machine}. Do not edit: run the command again.`,
    '',
    `Simulated units (src/core/simulation/gas) have physics, sights, answers and numbers of their own, and are drawn on seeds ${at.seeds.join(', ')}, that were never used while anything was set. One unit in ten has two faults, 3 % of readings are wrong. A verdict is right where its likeliest repair is one that the unit needs, as in the design's study; its units were drawn by the engine's own model, these are not. Minutes are access and checks, without danger. Intervals are 95 %.`,
    '',
    '## Floors',
    '',
    'Of the design, for either variant, at a wrong verdict of 90 minutes.',
    '',
    table(['figure', 'floor', 'reached', ''], rows),
    '',
    ...gasVariants.slice(0, 2).map(({ name, title }) => {
      const [own, every] = [rightOf(of(name, 'engine')), rightOf(of(name, 'every'))];
      return `- ${title}: every check once, ${sumMinutes(of(name, 'every')).mean.toFixed(0)} minutes of them, is right in ${every.share.toFixed(3)} (${every.from.toFixed(3)} to ${every.to.toFixed(3)}) of these units; Ohmmeter in ${own.share.toFixed(3)}.`;
    }),
    '',
    'The floors come from a study whose units were drawn by its own tables (every check once: 0.932 and 0.960). What nobody finds on these units with every check is what their numbers, looks and answers differ by from what the diagnosis believes: that much is not to be had by asking more. The minutes of a thermocouple above the floor go into the same units: a pilot found out and once blown out, and nothing wrong at all, are told from a worn part only by lighting, waiting and millivolts.',
    '',
    '## Strategies',
    '',
    'The same units for every strategy; where fewer were taken, the first of each seed.',
    '',
    table(
      ['', 'units', 'right', 'single faults', 'two faults', 'minutes', 'checks'],
      gasParts.flatMap((each) => strategyRow(each, outcomes[each.name] ?? [])),
    ),
    '',
  ].join('\n');
}
