import { readFileSync } from 'node:fs';
import { createInterface } from 'node:readline';
import { PlateError } from '../core/appliances';
import { catalogueOf, diagnoseJob, type Diagnosis } from '../core/job-diagnosis';
import { readJobFile, type JobFile, type JobFileProblem } from '../core/job-file';

/** `diagnose`, `diagnose --lines` and `validate`: the same core as the application, without server or database. */
const usage = `usage:
  ohmmeter diagnose JOB.json     answer for one job file, as JSON
  ohmmeter diagnose --lines      a job per line on stdin, an answer per line on stdout
  ohmmeter validate JOB.json     exit 1 and a JSON pointer per problem`;

type Outcome =
  | { readonly ok: true; readonly answer: Diagnosis; readonly warnings: readonly JobFileProblem[] }
  | { readonly ok: false; readonly problems: readonly JobFileProblem[] };

async function main([command, argument, ...rest]: string[]): Promise<number> {
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
  let text: string;
  try {
    text = readFileSync(argument, 'utf8');
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException;
    console.error(
      code === 'ENOENT'
        ? `No file is named "${argument}".`
        : `"${argument}" cannot be read (${code}).`,
    );
    return 2;
  }
  const outcome = command === 'validate' ? validate(text) : diagnose(text);
  if (!outcome.ok) {
    for (const { pointer, message } of outcome.problems)
      console.error(`${pointer || '/'}: ${message}`);
    return 1;
  }
  for (const { pointer, message } of outcome.warnings)
    console.error(`${pointer}: warning: ${message}`);
  console.log('answer' in outcome ? JSON.stringify(outcome.answer, null, 2) : 'valid');
  return 0;
}

function validate(
  text: string,
): Exclude<Outcome, { ok: true }> | { ok: true; warnings: readonly JobFileProblem[] } {
  const read = readJobFile(text, catalogueOf);
  return read.ok ? { ok: true, warnings: read.warnings } : read;
}

function diagnose(text: string): Outcome {
  const read = readJobFile(text, catalogueOf);
  return read.ok ? answerFor(read.job, read.warnings) : read;
}

function answerFor(job: JobFile, warnings: readonly JobFileProblem[]): Outcome {
  try {
    return { ok: true, answer: diagnoseJob(job).answer, warnings };
  } catch (error) {
    if (!(error instanceof PlateError)) throw error;
    return { ok: false, problems: [{ pointer: error.pointer, message: error.message }] };
  }
}

async function diagnoseLines(): Promise<number> {
  for await (const line of createInterface({ input: process.stdin, crlfDelay: Infinity })) {
    if (line.trim() === '') continue;
    const outcome = diagnose(line);
    process.stdout.write(
      `${JSON.stringify(outcome.ok ? outcome.answer : { problems: outcome.problems })}\n`,
    );
  }
  return 0;
}

process.exitCode = await main(process.argv.slice(2));
