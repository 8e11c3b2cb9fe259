import { readFileSync } from 'node:fs';
import { createInterface } from 'node:readline';
import { bench, isBenchWorker, serveBench } from './bench';
import { runSimulatedBench } from './simulated-bench';
import { diagnose, expectIn, validate, workedOut, type Outcome } from './commands';

/** `diagnose`, `diagnose --lines` and `validate`: the same core as the application, without server or database. */
const usage = `usage:
  ohmmeter diagnose JOB.json     answer for one job file, as JSON
  ohmmeter diagnose --lines      a job per line on stdin, an answer per line on stdout
  ohmmeter expect JOB.json CHECK what a check would read: a good unit, and under each suspect
  ohmmeter validate JOB.json     exit 1 and a JSON pointer per problem
  ohmmeter simulated-bench PORT  a simulated unit with instruments, on PORT to PORT + 4
  ohmmeter bench [FAMILY] [SHARE] the figures of the diagnosis, on units it has never seen`;

async function main([command, argument, ...rest]: string[]): Promise<number> {
  if (command === 'bench') {
    const words = argument === undefined ? [] : [argument, ...rest];
    return bench(process.env.OHMMETER_ROOT ?? process.cwd(), words);
  }
  if (command === 'simulated-bench' && argument !== undefined && rest.length === 0) {
    return runSimulatedBench(argument);
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
