import { misplacedWires, type JobState } from '@/core/job-file';
import { testLeftWords } from '@/core/settings';
import { terminalName, wiresLifted } from '@/features/record/words';

/** Wires and dials that are not as they were found, by the logbook. */
export function leftOpen(state: JobState): string[] {
  const { lifted } = state;
  const misplaced = misplacedWires(state).length;
  const turned = testLeftWords(state);
  return [
    ...(lifted.length > 0
      ? [`${wiresLifted(lifted.length)}: ${lifted.map(({ end }) => terminalName(end)).join(', ')}`]
      : []),
    ...(misplaced > 0
      ? [`${misplaced} ${misplaced === 1 ? 'wire sits' : 'wires sit'} on another terminal`]
      : []),
    ...(turned.length > 0 ? [`As a test left it: ${turned.join(', ')}`] : []),
  ];
}
