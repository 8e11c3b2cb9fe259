import type { UnitOutcome } from './part';
import type { Circumstances } from './report';
import { savingOf, type Share } from './statistics';
import { rightOf, singlesOf, strategyRow, sumMinutes, table } from './strategy-table';
import { tapParts, type BenchedTap } from './tap-parts';

/** A family that warms its water as it runs, on simulated units, as a page. */
export function tapReportOf(
  benched: BenchedTap,
  outcomes: Readonly<Record<string, readonly UnitOutcome[]>>,
  at: Circumstances,
): string {
  const { family, title, floor } = benched;
  const of = (name: string) => outcomes[`${family.id}-${name}`] ?? [];
  const own = of('engine');
  const minutes = sumMinutes(own);
  const saved = savingOf(own, of('skipping'), at.random);
  const met = (is: boolean) => (is ? 'met' : '**not met**');
  const percent = (value: number) => `${(-value * 100).toFixed(0)} %`;
  const share = (name: string, least: number, { share: reached, from, to }: Share) => [
    name,
    least.toFixed(3),
    `${reached.toFixed(3)} (${from.toFixed(3)} to ${to.toFixed(3)})`,
    met(reached >= least),
  ];
  return [
    `# Benchmark: ${title}`,
    '',
    `Made by \`${at.command}\` on ${at.date}, commit ${at.commit}, ${at.machine}. Do not edit: run the command again.`,
    '',
    `Simulated units (src/core/simulation/${benched.simulatedIn}) have physics, sights, answers and numbers of their own, and are drawn on seeds ${at.seeds.join(', ')}, that were never used while anything was set. One unit in ten has two faults, 3 % of readings are wrong. Minutes are access and checks, without danger. Intervals are 95 %.`,
    '',
    '## Floors',
    '',
    'Of the family’s contract, at a wrong verdict of 90 minutes. Its study drew its units from its own tables, as the belief has them; these are not drawn so.',
    '',
    table(
      ['figure', 'floor', 'reached', ''],
      [
        ...(floor.exact === undefined
          ? []
          : [share('all that the unit needs', floor.exact, rightOf(own))]),
        share('the same, of single faults', floor.singles, singlesOf(own)),
        share(
          'likeliest repair is needed',
          floor.first,
          rightOf(own.map((each) => ({ ...each, isRight: each.isLikeliestNeeded }))),
        ),
        [
          'minutes',
          `at most ${floor.minutes}`,
          `${minutes.mean.toFixed(1)} ± ${minutes.plusMinus.toFixed(1)}`,
          met(minutes.mean <= floor.minutes),
        ],
        [
          'fewer minutes than the usual order that skips',
          `${floor.againstSkipping * 100} %`,
          `${percent(saved.saved)} (${percent(saved.to)} to ${percent(saved.from)})`,
          met(-saved.saved >= floor.againstSkipping),
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
      tapParts(benched).flatMap((each) => strategyRow(each, outcomes[each.name] ?? [])),
    ),
    '',
  ].join('\n');
}
