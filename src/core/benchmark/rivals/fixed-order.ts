import { planNext } from '../../diagnosis';
import type { ApplianceFamily, FamilyParameters } from '../../appliances';
import { diagnoseJob, isWayOpen, leadingSet } from '../../job-diagnosis';
import { foldEntries, type JobFile } from '../../job-file';
import type { Strategy } from '../runs';
import type { Benched } from '../units';

/** The family's usual order, every check, with the engine's own posterior; it stops at 0.95. */
export function fixedOrder({ family, parameters }: Benched, enough = 0.95): Strategy {
  return (job) => {
    const open = diagnoseJob(job, { parameters, depth: 'one-step', brief: true });
    const leading = leadingSet(open);
    if (leading.probability >= enough) return leading;
    const isLeft = leftToTake(family, parameters, job);
    const next = family.usualOrder.find(isLeft);
    return next === undefined ? leading : { check: next };
  };
}

/** The same order, leaving out what tells too little, and stopping once the loss to be expected is small. */
export function skippingOrder(
  { family, parameters }: Benched,
  leastInformation = 0.05,
  leastLossMinutes = 6,
): Strategy {
  return (job) => {
    const open = diagnoseJob(job, { parameters, depth: 'one-step', brief: true });
    const leading = leadingSet(open);
    if ((1 - leading.probability) * parameters.wrongVerdict.minutes < leastLossMinutes)
      return leading;
    const start = family.planStart(open.state, { liveWork: true }, parameters, open.plate);
    const taken = new Set(open.belief.contributions.map((each) => each.observableKey));
    const { appraisals } = planNext(
      open.tables,
      open.standing,
      {
        ...start,
        candidates: start.candidates.filter((each) => !taken.has(each.observableIn(0).key)),
      },
      { wrongVerdictMinutes: () => parameters.wrongVerdict.minutes, depth: 'one-step' },
    );
    const telling = new Set(
      appraisals
        .filter((each) => each.information >= leastInformation)
        .map((each) => each.candidate.checkId),
    );
    const next = family.usualOrder.find(
      (each) => telling.has(each) && isWayOpen(family, each, open.state),
    );
    return next === undefined ? leading : { check: next };
  };
}

/** What was not taken yet and may still be: what the plate has, and the way to it was not found closed. */
function leftToTake(
  family: ApplianceFamily,
  parameters: FamilyParameters,
  job: JobFile,
): (check: string) => boolean {
  const taken = new Set(job.entries.flatMap((each) => ('check' in each ? [each.check] : [])));
  const state = foldEntries(job.entries, family.catalogue);
  const start = family.planStart(state, { liveWork: true }, parameters, family.plateOf(job));
  const open = new Set(start.candidates.map(({ checkId }) => checkId));
  return (check) =>
    !taken.has(check) &&
    parameters.checkMinutes[check] !== undefined &&
    open.has(check) &&
    isWayOpen(family, check, state);
}

/** Every check once, whatever it costs: what the checks together could tell. */
export function everyCheckOnce({ family, parameters }: Benched): Strategy {
  const all = [
    ...family.usualOrder,
    ...family.checkIds.filter((each) => !family.usualOrder.includes(each)),
  ];
  return (job) => {
    const next = all.find(leftToTake(family, parameters, job));
    return next === undefined
      ? leadingSet(diagnoseJob(job, { parameters, depth: 'one-step', brief: true }))
      : { check: next };
  };
}
