import type { FamilyCatalogue } from './catalogue';
import type { Entry, JobFile } from './generated/job-types';
import { powerShownBy } from './power-shown';
import { quantityOf } from './quantity';
import type { JobFileProblem } from './problem';

/** Whether taking this result put hands or probes near live parts. Proving a unit dead is no live work: everybody must. */
export function isLiveWork(entry: Entry, catalogue: FamilyCatalogue): boolean {
  switch (entry.kind) {
    case 'correction':
      return entry.entry !== null && isLiveWork(entry.entry, catalogue);
    case 'reading':
    case 'observation':
    case 'series': {
      const check = entry.check === undefined ? undefined : catalogue.check(entry.check);
      if (check) return check.isLive;
      if (entry.kind === 'observation') return false;
      const quantity = quantityOf(entry, catalogue);
      if (quantity === 'voltage-ac' || quantity === 'current-ac') return true;
      return quantity !== 'temperature' && powerShownBy(entry, catalogue) === 'on';
    }
    default:
      return false;
  }
}

/** Whether it opened the gas way or lit something. A sniff for gas is no gas work: everybody must. */
export function isGasWork(entry: Entry, catalogue: FamilyCatalogue): boolean {
  switch (entry.kind) {
    case 'correction':
      return entry.entry !== null && isGasWork(entry.entry, catalogue);
    case 'reading':
    case 'observation':
    case 'series':
      if (entry.check !== undefined) return catalogue.check(entry.check)?.isGasWork ?? false;
      return (
        entry.kind === 'reading' &&
        entry.point !== undefined &&
        catalogue.gasPoints.has(entry.point)
      );
    case 'action':
      return (
        entry.action === 'make-so' && (catalogue.facts.get(entry.fact ?? '')?.opensGas ?? false)
      );
    case 'step':
      // Stopping is never forbidden.
      return (
        entry.phase !== 'stopped' && catalogue.procedures.get(entry.procedure)?.work === 'gasWork'
      );
    default:
      return false;
  }
}

/** Work that takes a permission of its own. */
export type PermittedWork = 'liveWork' | 'gasWork';

const refusals: Readonly<Record<PermittedWork, string>> = {
  liveWork:
    'This is a live reading, and this technician has no permission for live work. Choose a dead check.',
  gasWork:
    'This opens the gas way or lights something, and this technician has no permission for gas work. Choose a check without gas, or have it taken by who may.',
};

/** What somebody entered without the permission for it, each with its place. */
export function permissionProblems(
  entries: readonly Entry[],
  catalogue: FamilyCatalogue,
  isAllowed: (entry: Entry, work: PermittedWork) => boolean,
): JobFileProblem[] {
  return entries.flatMap((each, index) => {
    const pointer = `/entries/${index}${placeOf(each)}`;
    const works: PermittedWork[] = [
      ...(isLiveWork(each, catalogue) ? (['liveWork'] as const) : []),
      ...(isGasWork(each, catalogue) ? (['gasWork'] as const) : []),
    ];
    return works
      .filter((work) => !isAllowed(each, work))
      .map((work) => ({ pointer, message: refusals[work] }));
  });
}

function placeOf(entry: Entry): string {
  if (entry.kind === 'correction') return `/entry${entry.entry ? placeOf(entry.entry) : ''}`;
  if (entry.kind === 'action') return '/fact';
  if (entry.kind === 'step') return '/procedure';
  if ('check' in entry && entry.check !== undefined) return '/check';
  return 'point' in entry && entry.point !== undefined ? '/point' : '/quantity';
}

type Permitting = Pick<JobFile, 'constraints' | 'people'>;

/**
 * Whether some work may be proposed on a job: what was set for it; where nothing was, as its people may. A file that says
 * nothing of either is planned with it.
 */
const mayBeProposed = ({ constraints, people }: Permitting, work: PermittedWork): boolean =>
  constraints?.[work] ?? !(people ?? []).some((each) => each[work] === false);

export const liveWorkAllowed = (job: Permitting): boolean => mayBeProposed(job, 'liveWork');

export const gasWorkAllowed = (job: Permitting): boolean => mayBeProposed(job, 'gasWork');
