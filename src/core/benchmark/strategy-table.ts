import type { Part, UnitOutcome } from './part';
import { meanOf, shareOf, type Share } from './statistics';

/** What every page of the benchmark writes alike: how often, in how many minutes, as a table. */

export const sumMinutes = (list: readonly UnitOutcome[]) =>
  meanOf(list.map((each) => each.minutes));

export const rightOf = (list: readonly UnitOutcome[]) =>
  shareOf(list.filter((each) => each.isRight).length, list.length);

export const singlesOf = (list: readonly UnitOutcome[]) =>
  rightOf(list.filter((each) => each.isSingle));

export function strategyRow({ title }: Part, list: readonly UnitOutcome[]): string[][] {
  if (list.length === 0) return [];
  const share = (value: Share) =>
    value.of === 0 ? '' : `${value.share.toFixed(3)} ± ${((value.to - value.from) / 2).toFixed(3)}`;
  const minutes = sumMinutes(list);
  return [
    [
      title,
      String(list.length),
      share(rightOf(list)),
      share(singlesOf(list)),
      share(rightOf(list.filter((each) => !each.isSingle))),
      `${minutes.mean.toFixed(1)} ± ${minutes.plusMinus.toFixed(1)}`,
      meanOf(list.map((each) => each.checks)).mean.toFixed(1),
    ],
  ];
}

export function table(head: readonly string[], rows: readonly (readonly string[])[]): string {
  const line = (cells: readonly string[]) => `| ${cells.join(' | ')} |`;
  return [line(head), line(head.map(() => '---')), ...rows.map(line)].join('\n');
}
