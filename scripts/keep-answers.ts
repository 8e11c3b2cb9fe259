import { readFileSync, writeFileSync } from 'node:fs';
import { gunzipSync, gzipSync } from 'node:zlib';
import fc from 'fast-check';
import { families, type ApplianceFamily } from '../src/core/appliances/all';
import { diagnoseJob, expectCheck, judgeLogbook, proofOf } from '../src/core/job-diagnosis';
import type { JobFile } from '../src/core/job-file';
import { emptyJob } from '../tests/plates';
import { logbook, results } from '../tests/properties/logbooks';

/**
 * The judge of a rebuild: `keep FILE COUNT` writes COUNT fuzzed logbooks of each electric family with all that is answered to
 * them; `compare FILE` works them out again and names the first difference above 1e-12 of each. Keep with the program as
 * it was (a worktree of that commit, with node_modules linked in), compare with the program as it is.
 */
const [, , word, file, share = '1000'] = process.argv;

const isElectric = ({ id }: ApplianceFamily) => id.startsWith('electric-storage');

const platesOf: Readonly<Record<string, readonly Pick<JobFile, 'unit' | 'site'>[]>> = {
  'electric-storage-two-element': [
    plates('electric-storage-two-element', 240, { upper: 4500, lower: 4500 }, 'split-phase', 240),
    plates('electric-storage-two-element', 240, { upper: 3800, lower: 5500 }, 'split-phase', 208, {
      wiring: 'simultaneous',
    }),
    plates('electric-storage-two-element', 230, { upper: 3000, lower: 3000 }, 'single-phase', 230),
  ],
  'electric-storage-one-element': [
    plates('electric-storage-one-element', 230, { only: 2000 }, 'single-phase', 230),
    plates('electric-storage-one-element', 120, { only: 1500 }, 'split-phase', 120),
  ],
};

function plates(
  family: string,
  volt: number,
  watts: Record<string, number>,
  system: 'split-phase' | 'single-phase',
  nominal: number,
  rest: object = {},
): Pick<JobFile, 'unit' | 'site'> {
  const elements = Object.fromEntries(Object.entries(watts).map(([id, watt]) => [id, { watt }]));
  return {
    unit: { family, plate: { rated: { volt }, elements, ...rest } },
    site: { supply: { system, nominal: { volt: nominal } } },
  };
}

/** Logbooks of a family with a complaint and answers, always the same ones. */
function jobs(family: ApplianceFamily, count: number): JobFile[] {
  const entries = fc.oneof(
    { weight: 1, arbitrary: results(family, 8) },
    { weight: 2, arbitrary: logbook(family, 14) },
  );
  const answers = fc.record(
    Object.fromEntries(
      family.questionIds
        .filter((each) => each !== 'complaint')
        .map((each) => [each, fc.constantFrom(...family.questions[each]!.values)]),
    ),
    { requiredKeys: [] },
  );
  const made = fc.record({
    entries,
    kind: fc.constantFrom(...family.questions.complaint!.values),
    answers,
    plate: fc.constantFrom(...platesOf[family.id]!),
  });
  return fc
    .sample(made, { numRuns: count, seed: 20261126 })
    .map(({ entries: entered, kind, answers: said, plate }) =>
      emptyJob({
        ...plate,
        complaint: { kind, answers: said } as JobFile['complaint'],
        entries: entered,
      }),
    );
}

function answerTo(job: JobFile, index: number): unknown {
  const open = diagnoseJob(job, { depth: index % 4 === 0 ? 'rollout' : 'one-step' });
  const check =
    open.answer.next?.check ?? open.family.checkIds[index % open.family.checkIds.length]!;
  return JSON.parse(
    JSON.stringify({
      answer: open.answer,
      judged: judgeLogbook(open, job),
      proof: proofOf(open, job),
      expected: expectCheck(open, check),
      minutes: open.family.minutesOf(check, open.state),
    }),
  ) as unknown;
}

/** Where two answers differ, as a path; undefined where they are equal. */
function difference(one: unknown, other: unknown, path = ''): string | undefined {
  if (typeof one === 'number' && typeof other === 'number') {
    const isNear = Math.abs(one - other) <= 1e-12 * Math.max(1, Math.abs(one));
    return isNear ? undefined : `${path}: ${one} was, ${other} is`;
  }
  if (one === null || other === null || typeof one !== 'object' || typeof other !== 'object') {
    return one === other ? undefined : `${path}: ${String(one)} was, ${String(other)} is`;
  }
  const [was, is] = [one as Record<string, unknown>, other as Record<string, unknown>];
  for (const key of new Set([...Object.keys(was), ...Object.keys(is)])) {
    const found = difference(was[key], is[key], `${path}/${key}`);
    if (found) return found;
  }
  return undefined;
}

const started = performance.now();
const seconds = () => `${((performance.now() - started) / 1000).toFixed(0)} s`;
if (word === 'keep' && file) {
  const kept = families
    .filter(isElectric)
    .flatMap((family) => jobs(family, Number(share)))
    .map((job, index) => ({ job, answer: answerTo(job, index) }));
  writeFileSync(file, gzipSync(kept.map((each) => JSON.stringify(each)).join('\n')));
  console.log(`${kept.length} answers kept in ${seconds()}`);
} else if (word === 'compare' && file) {
  // What reads nearly the same shares a class with what came first: the same logbooks in the same order give the same digits.
  const most = Number(process.argv[4] ?? Infinity);
  const lines = gunzipSync(readFileSync(file)).toString().split('\n');
  let [compared, differing] = [0, 0];
  lines.forEach((line, index) => {
    if (index >= most) return;
    const { job, answer } = JSON.parse(line) as { job: JobFile; answer: unknown };
    compared += 1;
    const found = difference(answer, answerTo(job, index));
    if (!found) return;
    differing += 1;
    if (differing <= 10) console.log(`${index}${found}`);
  });
  console.log(`${compared} answers compared in ${seconds()}, ${differing} differ`);
  process.exitCode = differing === 0 ? 0 : 1;
} else {
  console.error('usage: keep-answers.ts keep FILE [COUNT] | compare FILE [FIRST]');
  process.exitCode = 2;
}
