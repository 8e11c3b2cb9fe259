/**
 * Runs everything that a change must pass, one step after another, and ends with one line that counts them all.
 * Steps without tests of their own count as one. Called by ./ohmmeter test, which installs and starts what is needed.
 */
import { spawn } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { availableParallelism, tmpdir } from 'node:os';
import path from 'node:path';

interface Count {
  passed: number;
  failed: number;
  skipped: number;
  /** Of those passed, how many only when tried again. */
  triedAgain?: number;
  /** Which ones failed. */
  failures?: readonly string[];
}

interface Step {
  readonly name: string;
  readonly command: readonly string[];
  /** Reads the counts of a runner's own report. */
  readonly countFrom?: () => Count;
}

const root = path.resolve(import.meta.dirname, '..');
const reports = mkdtempSync(path.join(tmpdir(), 'ohmmeter-tests-'));
const bin = (name: string) => path.join(root, 'node_modules/.bin', name);
const unitReport = path.join(reports, 'unit.json');
const endToEndReport = path.join(reports, 'end-to-end.json');

interface VitestReport {
  readonly numPassedTests: number;
  readonly numFailedTests: number;
  readonly numPendingTests: number;
  readonly numTodoTests: number;
  readonly testResults: readonly {
    readonly name: string;
    readonly assertionResults: readonly { readonly fullName: string; readonly status: string }[];
  }[];
}
interface PlaywrightReport {
  readonly stats: {
    readonly expected: number;
    readonly unexpected: number;
    readonly flaky: number;
    readonly skipped: number;
  };
}

/** None of them needs another, and each keeps one processor busy. */
const stillSteps: readonly Step[] = [
  {
    name: 'judges are here',
    command: [
      'bash',
      '-c',
      'ngspice --version >/dev/null && /usr/bin/python3 -c "import iapws, fluids, scipy"',
    ],
  },
  { name: 'format', command: [bin('prettier'), '--check', '--log-level', 'warn', '.'] },
  { name: 'lint', command: [bin('eslint'), '--max-warnings', '0', '.'] },
  { name: 'arrows', command: [bin('depcruise'), '--config', '.dependency-cruiser.cjs', 'src'] },
  {
    name: 'unused',
    // Seen once to sit still for minutes after a start, with nothing to do: given up and asked again, not waited for.
    command: [
      'bash',
      '-c',
      `timeout 90 ${bin('knip')}; code=$?; [ $code = 124 ] || exit $code; exec timeout 90 ${bin('knip')}`,
    ],
  },
  {
    name: 'types',
    command: [
      'bash',
      '-c',
      `${bin('next')} typegen >/dev/null && ${bin('tsc')} --noEmit && ${bin('tsc')} --noEmit -p src/service-worker`,
    ],
  },
];

const steps: readonly Step[] = [
  { name: 'command line', command: ['node', 'scripts/build-cli.mjs'] },
  {
    name: 'core, judges, database, command line',
    command: [
      bin('vitest'),
      'run',
      '--reporter=default',
      '--reporter=json',
      `--outputFile.json=${unitReport}`,
    ],
    countFrom: () => {
      const report = JSON.parse(readFileSync(unitReport, 'utf8')) as VitestReport;
      return {
        passed: report.numPassedTests,
        failed: report.numFailedTests,
        skipped: report.numPendingTests + report.numTodoTests,
        failures: report.testResults.flatMap(({ name, assertionResults }) =>
          assertionResults
            .filter(({ status }) => status === 'failed')
            .map(({ fullName }) => `${path.relative(root, name)}: ${fullName}`),
        ),
      };
    },
  },
  { name: 'production build', command: ['bash', 'scripts/build.sh'] },
  {
    name: 'end to end',
    command: [bin('playwright'), 'test', '--reporter=list,json'],
    countFrom: () => {
      const { stats } = JSON.parse(readFileSync(endToEndReport, 'utf8')) as PlaywrightReport;
      return {
        passed: stats.expected + stats.flaky,
        failed: stats.unexpected,
        triedAgain: stats.flaky,
        skipped: stats.skipped,
      };
    },
  },
];

const total: Count = { passed: 0, failed: 0, skipped: 0 };
const failures: string[] = [];
const only = process.argv[2];
const isWanted = ({ name }: Step) => only === undefined || name === only;
const waiting = stillSteps.filter(isWanted);
await Promise.all(Array.from({ length: availableParallelism() }, takeStillSteps));
for (const step of steps.filter(isWanted)) {
  console.log(`\n== ${step.name}`);
  await take(step, 'inherit');
}
rmSync(reports, { recursive: true });
const { passed, failed, skipped } = total;
// At the very end, where whoever sees the last lines only looks.
for (const each of failures) console.log(`failed: ${each}`);
console.log(`\n${passed} passed, ${failed} failed, ${skipped} skipped`);
process.exitCode = failed === 0 && skipped === 0 && passed > 0 ? 0 : 1;

/** Takes one after another of those that still wait; what each says is shown in one piece. */
async function takeStillSteps(): Promise<void> {
  for (let step = waiting.shift(); step; step = waiting.shift()) await take(step, 'pipe');
}

async function take(step: Step, output: 'inherit' | 'pipe'): Promise<void> {
  const started = Date.now();
  const { exitCode, said } = await run(step.command, output);
  const count = counted(step, exitCode);
  total.passed += count.passed;
  total.failed += count.failed;
  total.skipped += count.skipped;
  if (count.failed > 0) {
    failures.push(`${step.name}${count.failures?.map((each) => `\n  ${each}`).join('') ?? ''}`);
  }
  const lines = said === '' ? [] : [`\n${said.trimEnd()}`];
  if (count.triedAgain) {
    lines.push(`== ${step.name}: ${count.triedAgain} passed only when tried again`);
  }
  const seconds = Math.round((Date.now() - started) / 1000);
  lines.push(`== ${step.name}: ${exitCode === 0 ? 'ok' : 'FAILED'} in ${seconds} s`);
  console.log(lines.join('\n'));
}

/** A step that ends badly counts as failed, even if its report knows of no failed test or was never written. */
function counted({ countFrom }: Step, exitCode: number): Count {
  const whole = { passed: exitCode === 0 ? 1 : 0, failed: exitCode === 0 ? 0 : 1, skipped: 0 };
  if (!countFrom) return whole;
  try {
    const count = countFrom();
    return exitCode !== 0 && count.failed === 0 ? { ...count, failed: 1 } : count;
  } catch {
    return { passed: 0, failed: 1, skipped: 0 };
  }
}

function run(
  [command, ...rest]: readonly string[],
  output: 'inherit' | 'pipe',
): Promise<{ exitCode: number; said: string }> {
  return new Promise((resolve) => {
    const child = spawn(command!, rest, {
      cwd: root,
      stdio: ['ignore', output, output],
      env: {
        ...process.env,
        NEXT_TELEMETRY_DISABLED: '1',
        PLAYWRIGHT_JSON_OUTPUT_NAME: endToEndReport,
        OHMMETER_APPLICATION_PASSWORD: readFileSync(
          path.join(root, '.ohmmeter/application-password'),
          'utf8',
        ),
      },
    });
    const said: Buffer[] = [];
    for (const stream of [child.stdout, child.stderr]) {
      stream?.on('data', (part: Buffer) => said.push(part));
    }
    const end = (exitCode: number) => resolve({ exitCode, said: Buffer.concat(said).toString() });
    child.on('close', (code) => end(code ?? 1));
    child.on('error', () => end(127));
  });
}
