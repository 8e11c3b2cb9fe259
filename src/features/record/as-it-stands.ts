import type { ApplianceFamily } from '@/core/appliances';
import { misplacedWires, type JobState } from '@/core/job-file';
import { testLeftWords } from '@/core/settings';
import { wordsOf } from './family-words';
import { terminalName, wiresLifted } from './words';

/** Covers that are off, and other facts of access that are so: a fact without words is nobody's to look at. */
export function factsThatStand(family: ApplianceFamily, state: JobState | undefined): string[] {
  const words = wordsOf(family);
  return Object.keys(state?.facts ?? {})
    .filter((each) => Object.hasOwn(family.words.covers, each))
    .map((each) => words.cover(each).replace(' cover', ''));
}

/** What whoever leaves the unit should look at once more, by the logbook; nothing where it is as it was found. */
export function asItStands(family: ApplianceFamily, state: JobState): string[] {
  const { lifted } = state;
  const facts = factsThatStand(family, state);
  const isCovers = family.catalogue.covers.size > 0;
  const misplaced = misplacedWires(state).length;
  const turned = testLeftWords(state);
  return [
    ...(lifted.length > 0
      ? [`${wiresLifted(lifted.length)} (${lifted.map(({ end }) => terminalName(end)).join(', ')})`]
      : []),
    ...(misplaced > 0
      ? [`${misplaced} ${misplaced === 1 ? 'wire sits' : 'wires sit'} on another terminal`]
      : []),
    ...(facts.length > 0 ? [`${isCovers ? 'covers off: ' : ''}${facts.join(', ')}`] : []),
    ...(turned.length > 0 ? [`as a test left it: ${turned.join(', ')}`] : []),
  ];
}
