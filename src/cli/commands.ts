import { checkedPlateOf, familyOfJob, PlateError } from '../core/appliances/all';
import {
  catalogueOf,
  diagnoseJob,
  expectCheck,
  type Diagnosis,
  type Expectation,
} from '../core/job-diagnosis';
import { readJobFile, type JobFile, type JobFileProblem } from '../core/job-file';

/** What the commands make of the text of a file: without server, database, or a process of their own. */

export type Outcome =
  | {
      readonly ok: true;
      readonly answer?: Diagnosis | Expectation;
      readonly warnings: readonly JobFileProblem[];
    }
  | { readonly ok: false; readonly problems: readonly JobFileProblem[] };

export function validate(text: string): Outcome {
  const read = readJobFile(text, catalogueOf);
  if (!read.ok) return read;
  return answered(() => {
    familyOfJob(read.job).plateOf(read.job);
    return undefined;
  }, read.warnings);
}

export function diagnose(text: string): Outcome {
  const read = readJobFile(text, catalogueOf);
  return read.ok ? answerFor(read.job, read.warnings) : read;
}

export function expectIn(text: string, check: string): Outcome {
  const read = readJobFile(text, catalogueOf);
  if (!read.ok) return read;
  const { checkIds } = familyOfJob(read.job);
  if (!checkIds.includes(check)) {
    return {
      ok: false,
      problems: [
        {
          pointer: '',
          message: `This family has no check "${check}". It has: ${checkIds.join(', ')}.`,
        },
      ],
    };
  }
  return answered(() => {
    checkedPlateOf(familyOfJob(read.job), read.job);
    return expectCheck(diagnoseJob(read.job, { depth: 'one-step' }), check);
  }, read.warnings);
}

const answerFor = (job: JobFile, warnings: readonly JobFileProblem[]): Outcome =>
  answered(() => {
    checkedPlateOf(familyOfJob(job), job);
    return diagnoseJob(job).answer;
  }, warnings);

function answered(
  answer: () => Diagnosis | Expectation | undefined,
  warnings: readonly JobFileProblem[],
): Outcome {
  try {
    return { ok: true, answer: answer(), warnings };
  } catch (error) {
    if (!(error instanceof PlateError)) throw error;
    return { ok: false, problems: [{ pointer: error.pointer, message: error.message }] };
  }
}

/** Whatever goes wrong with one file is an answer for that file: the next line is answered all the same. */
export function workedOut(work: (text: string) => Outcome, text: string): Outcome {
  try {
    return work(text);
  } catch (error) {
    const reason = error instanceof Error ? error.message : String(error);
    const message = `This file cannot be worked out (${reason}). It is a fault of Ohmmeter: please report it with the file.`;
    return { ok: false, problems: [{ pointer: '', message }] };
  }
}
