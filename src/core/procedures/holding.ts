import type { JobState, ProcedureRun, ProofEnd } from '../job-file';
import type { Procedure, ProcedureStep } from './generated/procedure-types';

/** The need of a unit that is proved dead; every other one is a fact of access. */
export const provedDeadNeed = 'proved-dead';

/** Something that has to hold for a step and does not. */
export interface Missing {
  readonly need: string;
  /** It held in this run, until the person changed, somebody left or hours went by. */
  readonly hasLapsed: boolean;
}

/** Whether something holds now. */
export const holds = (need: string, state: JobState): boolean =>
  need === provedDeadNeed ? state.provedDeadAt !== undefined : Object.hasOwn(state.facts, need);

/**
 * What has to hold for the step that a run stands at and does not: what the step itself needs, and what earlier steps of the
 * run had made so and nobody ended by hand.
 */
export function missingFor(
  procedure: Procedure,
  run: ProcedureRun,
  step: ProcedureStep,
  state: JobState,
): Missing[] {
  const lapsed = [...madeSoBy(procedure, run)].filter(
    (need) => !holds(need, state) && hasLapsed(need, state),
  );
  const needed = step.needs !== undefined && !holds(step.needs, state) ? [step.needs] : [];
  return [...new Set([...lapsed, ...needed])].map((need) => ({
    need,
    hasLapsed: lapsed.includes(need),
  }));
}

/** What ends a proof without anybody's having done anything to the unit. */
const lapsedBy: ReadonlySet<ProofEnd> = new Set([
  'other-person',
  'left',
  'wrong-clock',
  'restored',
]);

const hasLapsed = (need: string, state: JobState): boolean =>
  need === provedDeadNeed
    ? state.proofEndedBy !== undefined && lapsedBy.has(state.proofEndedBy)
    : Object.hasOwn(state.lapsed, need);

/** What the steps so far have made so, or relied on, and have not ended. */
function madeSoBy({ steps }: Procedure, { marks }: ProcedureRun): Set<string> {
  const so = new Set<string>();
  for (const mark of marks) {
    if (mark.phase !== 'done') continue;
    const step = steps.find((each) => each.id === mark.step);
    if (step?.needs !== undefined) so.add(step.needs);
    for (const each of step?.records ?? []) {
      if (each.entry !== 'action') continue;
      if (each.action === 'power-on') so.delete(provedDeadNeed);
      if (each.fact === undefined) continue;
      if (each.action === 'make-so') so.add(each.fact);
      else so.delete(each.fact);
    }
  }
  return so;
}
