import type { UnitOutcome } from './part';
import type { Circumstances } from './report';
import { savingOf, type Share } from './statistics';
import { rightOf, singlesOf, strategyRow, sumMinutes, table } from './strategy-table';
import { familyParts, type BenchedFamily } from './family-parts';

/** A family on its simulated units, as a page. */
export function familyReportOf(
  benched: BenchedFamily,
  outcomes: Readonly<Record<string, readonly UnitOutcome[]>>,
  at: Circumstances,
): string {
  const { family, title, floor } = benched;
  const of = (name: string) => outcomes[`${family.id}-${name}`] ?? [];
  const own = of('engine');
  const believed = of('believed');
  const minutes = sumMinutes(own);
  const saved = savingOf(own, of('skipping'), at.random);
  const met = (is: boolean) => (is ? 'met' : '**not met**');
  const percent = (value: number) => `${(-value * 100).toFixed(0)} %`;
  const range = ({ share: reached, from, to }: Share) =>
    `${reached.toFixed(3)} (${from.toFixed(3)} to ${to.toFixed(3)})`;
  const share = (
    name: string,
    least: number,
    of: (list: readonly UnitOutcome[]) => Share,
  ): readonly string[] => [
    name,
    least.toFixed(3),
    range(of(own)),
    met(of(own).share >= least),
    range(of(believed)),
  ];
  const likeliest = (list: readonly UnitOutcome[]) =>
    rightOf(list.map((each) => ({ ...each, isRight: each.isLikeliestNeeded })));
  const withoutWrongPart = (list: readonly UnitOutcome[]) =>
    rightOf(list.map((each) => ({ ...each, isRight: each.isAllNeeded })));
  const asBelieved = sumMinutes(believed);
  return [
    `# Benchmark: ${title}`,
    '',
    `Made by \`${at.command}\` on ${at.date}, commit ${at.commit}, ${at.machine}. Do not edit: run the command again.`,
    '',
    `Simulated units (src/core/simulation/${benched.simulatedIn}) have physics, sights, answers and numbers of their own, and are drawn on seeds ${at.seeds.join(', ')}, that were never used while anything was set. One unit in ten has two faults, 3 % of readings are wrong. Minutes are access and checks, without danger. Intervals are 95 %.`,
    '',
    '## Floors',
    '',
    'Of the family’s contract, at a wrong verdict of 90 minutes. Its study drew its units from its own tables; these are not drawn so, and the contract was mended after its study, with faults and checks that the study had not. The last column is the planner on units out of the tables that it has now, as the study drew them. It proves nothing of real units; it tells how much of a missing figure is this planner with the checks of this contract, and how much the difference between belief and these units.',
    '',
    table(
      ['figure', 'floor', 'reached', '', 'where the world is as believed'],
      [
        ...(floor.exact === undefined
          ? []
          : [share('all that the unit needs', floor.exact, rightOf)]),
        share('the same, of single faults', floor.singles, singlesOf),
        ...(floor.first === undefined
          ? []
          : [share('likeliest repair is needed', floor.first, likeliest)]),
        ...(floor.noWrongPart === undefined
          ? []
          : [share('nothing that it does not need', floor.noWrongPart, withoutWrongPart)]),
        [
          'minutes',
          `at most ${floor.minutes}`,
          `${minutes.mean.toFixed(1)} ± ${minutes.plusMinus.toFixed(1)}`,
          met(minutes.mean <= floor.minutes),
          `${asBelieved.mean.toFixed(1)} ± ${asBelieved.plusMinus.toFixed(1)}`,
        ],
        [
          'fewer minutes than the usual order that skips',
          `${floor.againstSkipping * 100} %`,
          `${percent(saved.saved)} (${percent(saved.to)} to ${percent(saved.from)})`,
          met(-saved.saved >= floor.againstSkipping),
          '',
        ],
      ],
    ),
    '',
    '## Strategies',
    '',
    'The same units for every strategy; where fewer were taken, the first of each seed.',
    '',
    table(
      ['', 'units', 'right', 'single faults', 'two faults', 'minutes', 'checks'],
      familyParts(benched).flatMap((each) => strategyRow(each, outcomes[each.name] ?? [])),
    ),
    '',
  ].join('\n');
}
