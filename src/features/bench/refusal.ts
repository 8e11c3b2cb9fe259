import type { AccessStep, ApplianceFamily } from '@/core/appliances';
import { gasWorkAllowed, liveWorkAllowed, type JobFile } from '@/core/job-file';

/** Why a result may not be entered yet, in words; undefined where it may. */
export function refusalOf(
  family: ApplianceFamily,
  job: JobFile,
  check: string,
  steps: readonly AccessStep[],
): string | undefined {
  const limits = { liveWork: liveWorkAllowed(job), gasWork: gasWorkAllowed(job) };
  if (!family.isAllowed(check, limits)) {
    return family.isAllowed(check, { ...limits, gasWork: true })
      ? 'This opens the gas way, and you have no permission for gas work. Choose a check without gas.'
      : 'This is a live reading, and you have no permission for live work. Choose a dead check.';
  }
  const first = steps.find((each) => each.kind === 'take-check');
  if (first?.kind === 'take-check') {
    return `First: ${family.checks[first.check]!.label.toLowerCase()}. Only its result says whether the way is open.`;
  }
  // A reading with the power on is asked about, not refused: it may have been taken behind a cover that stood open.
  if (family.check(check).state?.power === 'on') return undefined;
  if (!steps.some((each) => each.kind === 'power-off-and-prove')) return undefined;
  return `${
    family.check(check).quantity === 'resistance'
      ? 'Ohms on a live circuit mean nothing and can destroy the meter.'
      : 'Hands go near live parts here.'
  } Power off and prove dead first.`;
}
