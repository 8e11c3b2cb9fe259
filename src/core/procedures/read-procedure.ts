import { distinct, inWords, type JobFileProblem } from '../job-file';
import { fitProcedure, type WorkedUnit } from './fit-procedure';
import type { Procedure, ProcedureStep } from './generated/procedure-types';
import { validateProcedure } from './generated/validators';

/** A procedure that cannot be worked by; each problem with its JSON pointer. */
export class ProcedureError extends Error {
  override name = 'ProcedureError';

  constructor(
    id: string,
    readonly problems: readonly JobFileProblem[],
  ) {
    super(`${id}: ${problems.map(({ pointer, message }) => `${pointer} ${message}`).join('; ')}`);
  }
}

/**
 * Reads a procedure for units of one kind, fitted to them. The program's own are read so by their tests, each file and each
 * family's: a page takes them as they are, and needs no code for it.
 * @throws ProcedureError where it does not fit its schema, names a step twice, or leads to one that it has not.
 */
export function readProcedure(value: unknown, unit: WorkedUnit): Procedure {
  const id = String((value as { id?: unknown } | null)?.id ?? 'procedure');
  if (!validateProcedure(value)) {
    throw new ProcedureError(id, distinct((validateProcedure.errors ?? []).map(inWords)));
  }
  const fitted = fitProcedure(value, unit);
  const problems = stepProblems(fitted);
  if (problems.length > 0) throw new ProcedureError(id, problems);
  return fitted;
}

function stepProblems({ steps, keyStep }: Procedure): JobFileProblem[] {
  const ids = steps.map((each) => each.id);
  const known = (id: string | undefined, pointer: string): JobFileProblem[] =>
    id === undefined || ids.includes(id) ? [] : [{ pointer, message: `No step is named "${id}".` }];
  return [
    ...known(keyStep, '/keyStep'),
    ...steps.flatMap((step, k): JobFileProblem[] => [
      ...(ids.indexOf(step.id) === k
        ? []
        : [{ pointer: `/steps/${k}/id`, message: `Two steps are named "${step.id}".` }]),
      ...timeProblems(step, `/steps/${k}`),
      ...known(step.repeat?.from, `/steps/${k}/repeat/from`),
      ...(step.branch ?? []).flatMap(({ goto }, b) =>
        goto.includes('/') || goto.startsWith('end:')
          ? []
          : known(goto, `/steps/${k}/branch/${b}/goto`),
      ),
    ]),
  ];
}

function timeProblems({ seconds, timer, repeat }: ProcedureStep, at: string): JobFileProblem[] {
  const [least, most] = repeat?.times ?? [1, 1];
  return [
    ...(seconds && seconds.least > seconds.most
      ? [{ pointer: `${at}/seconds`, message: 'The least is more than the most.' }]
      : []),
    ...(timer && timer.start !== 'done' && !seconds
      ? [{ pointer: `${at}/timer`, message: 'A timer needs its seconds.' }]
      : []),
    ...(least! > most!
      ? [{ pointer: `${at}/repeat/times`, message: 'The least is more than the most.' }]
      : []),
  ];
}
