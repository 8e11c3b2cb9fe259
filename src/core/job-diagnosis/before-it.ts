import type { ApplianceFamily } from '../appliances';
import type { JobState } from '../job-file';
import type { NextCheck } from './next-check';
import type { OpenDiagnosis } from './open-diagnosis';

/**
 * What is taken before a check that a plan has chosen: what comes first on the unit whatever is planned, or a check that alone
 * says whether the way to it is open. Lighting a pilot may fail; then what needs a flame is not asked for.
 */
export function beforeIt(
  open: Pick<OpenDiagnosis, 'family' | 'state'>,
  planned: NextCheck,
): NextCheck {
  const { family, state } = open;
  const first = family.firstCheck(state);
  const always = first !== undefined && !state.refused.has(first) ? first : undefined;
  const needed = family
    .accessSteps(planned.check, state)
    .find((each) => each.kind === 'take-check');
  const check = always ?? (needed?.kind === 'take-check' ? needed.check : undefined);
  if (check === undefined || check === planned.check) return planned;
  const before: NextCheck = {
    check,
    why: always
      ? 'Before anything is switched, lit or opened.'
      : `It opens the way to: ${family.checks[planned.check]!.label.toLowerCase()}.`,
    minutes: family.minutesOf(check, state),
    expected: [],
    repeat: false,
    opensTheWay: true,
    toVerdict: planned.toVerdict,
  };
  // What opens the way may itself need something first.
  return always ? before : beforeIt(open, before);
}

/** Whether nothing that has to say first that the way is open was refused. */
export const isWayOpen = (family: ApplianceFamily, check: string, state: JobState): boolean =>
  state.refused.size === 0 ||
  family
    .accessSteps(check, state)
    .every((each) => each.kind !== 'take-check' || !state.refused.has(each.check));
