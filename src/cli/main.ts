import { readFileSync } from 'node:fs';
import { createInterface } from 'node:readline';
import { familyOfJob, PlateError } from '../core/appliances';
import {
  catalogueOf,
  diagnoseJob,
  expectCheck,
  type Diagnosis,
  type Expectation,
} from '../core/job-diagnosis';
import { readJobFile, type JobFile, type JobFileProblem } from '../core/job-file';
import { bench, isBenchWorker, serveBench } from './bench';

/** `diagnose`, `diagnose --lines` and `validate`: the same core as the application, without server or database. */
const usage = `usage:
  ohmmeter diagnose JOB.json     answer for one job file, as JSON
  ohmmeter diagnose --lines      a job per line on stdin, an answer per line on stdout
  ohmmeter expect JOB.json CHECK what a check would read: a good unit, and under each suspect
  ohmmeter validate JOB.json     exit 1 and a JSON pointer per problem
  ohmmeter bench [SHARE]         the figures of the diagnosis, on units it has never seen`;

type Outcome =
  | {
      readonly ok: true;
      readonly answer?: Diagnosis | Expectation;
      readonly warnings: readonly JobFileProblem[];
    }
  | { readonly ok: false; readonly problems: readonly JobFileProblem[] };

async function main([command, argument, ...rest]: string[]): Promise<number> {
  if (command === 'bench' && rest.length === 0) {
    return bench(process.env.OHMMETER_ROOT ?? process.cwd(), argument);
  }
  if (command === 'expect' && argument !== undefined && rest.length === 1) {
    return report(argument, (text) => expectIn(text, rest[0]!));
  }
  if (
    rest.length > 0 ||
    argument === undefined ||
    !['diagnose', 'validate'].includes(command ?? '')
  ) {
    console.error(usage);
    return 2;
  }
  if (command === 'diagnose' && argument === '--lines') return diagnoseLines();
  if (argument.startsWith('--')) {
    console.error(usage);
    return 2;
  }
  return report(argument, command === 'validate' ? validate : diagnose);
}

/** Reads the file, works on it, and prints the answer or its problems. */
function report(file: string, work: (text: string) => Outcome): number {
  let text: string;
  try {
    text = readFileSync(file, 'utf8');
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException;
    console.error(
      code === 'ENOENT' ? `No file is named "${file}".` : `"${file}" cannot be read (${code}).`,
    );
    return 2;
  }
  const outcome = workedOut(work, text);
  if (!outcome.ok) {
    for (const { pointer, message } of outcome.problems)
      console.error(`${pointer || '/'}: ${message}`);
    return 1;
  }
  for (const { pointer, message } of outcome.warnings)
    console.error(`${pointer}: warning: ${message}`);
  console.log(outcome.answer === undefined ? 'valid' : JSON.stringify(outcome.answer, null, 2));
  return 0;
}

function validate(text: string): Outcome {
  const read = readJobFile(text, catalogueOf);
  if (!read.ok) return read;
  return answered(() => {
    familyOfJob(read.job).plateOf(read.job);
    return undefined;
  }, read.warnings);
}

function diagnose(text: string): Outcome {
  const read = readJobFile(text, catalogueOf);
  return read.ok ? answerFor(read.job, read.warnings) : read;
}

function expectIn(text: string, check: string): Outcome {
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
  return answered(
    () => expectCheck(diagnoseJob(read.job, { depth: 'one-step' }), check),
    read.warnings,
  );
}

const answerFor = (job: JobFile, warnings: readonly JobFileProblem[]): Outcome =>
  answered(() => diagnoseJob(job).answer, warnings);

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
function workedOut(work: (text: string) => Outcome, text: string): Outcome {
  try {
    return work(text);
  } catch (error) {
    const reason = error instanceof Error ? error.message : String(error);
    const message = `This file cannot be worked out (${reason}). It is a fault of Ohmmeter: please report it with the file.`;
    return { ok: false, problems: [{ pointer: '', message }] };
  }
}

async function diagnoseLines(): Promise<number> {
  for await (const line of createInterface({ input: process.stdin, crlfDelay: Infinity })) {
    if (line.trim() === '') continue;
    const outcome = workedOut(diagnose, line);
    process.stdout.write(
      `${JSON.stringify(outcome.ok ? outcome.answer : { problems: outcome.problems })}\n`,
    );
  }
  return 0;
}

if (isBenchWorker) serveBench();
else process.exitCode = await main(process.argv.slice(2));
