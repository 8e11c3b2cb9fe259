import { execFileSync } from 'node:child_process';
import { mkdirSync, writeFileSync } from 'node:fs';
import { availableParallelism, cpus } from 'node:os';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { isMainThread, parentPort, Worker, workerData } from 'node:worker_threads';
import {
  at90,
  balanceHouse,
  balancingReportOf,
  benchedFamilies,
  bestPossible,
  countContradictions,
  gasParts,
  gasReportOf,
  measureSpeed,
  parts,
  plannersCost,
  reduce,
  reportOf,
  familyParts,
  familyReportOf,
  type Part,
  type UnitOutcome,
} from '../core/benchmark';
import { seededRandom } from '../core/simulation';

/** `bench`: the table of figures of the diagnosis, on units that the engine has never seen, as a page in docs. */

/** Never used while weights, tables or the planner were set. */
const unseenSeeds = [901, 902, 903, 904, 905];

const gasId = 'gas-storage-pilot';
const balancingId = 'balancing';
/** Houses of each seed; by feel takes long and is no news. */
const housesPerSeed = 40;

const triple = {
  ohms: 'upper-element-ohms',
  volts: 'upper-element-volts',
  amps: 'upper-element-amps',
};

interface Chunk {
  readonly part: string;
  readonly seed: number;
  readonly from: number;
  readonly to: number;
}

const unitsInChunk = 50;

/**
 * `bench [SHARE]` measures the electric families, `bench FAMILY [SHARE]` another one. A share below 1 takes so much of the
 * units and prints the page instead of writing it.
 */
export async function bench(root: string, words: readonly string[]): Promise<number> {
  const [first, second] = words;
  const tap =
    first !== undefined && Object.hasOwn(benchedFamilies, first)
      ? benchedFamilies[first]
      : undefined;
  const isNamed = first === gasId || first === balancingId || tap !== undefined;
  const argument = isNamed ? second : first;
  const share = argument === undefined ? 1 : Number(argument);
  if (!(share > 0 && share <= 1) || words.length > (isNamed ? 2 : 1)) {
    const named = [gasId, ...Object.keys(benchedFamilies), balancingId].join(', ');
    console.error(
      `A share of the units is a number above 0, up to 1; what is named is one of ${named}.`,
    );
    return 2;
  }
  const random = seededRandom(unseenSeeds[0]!);
  const circumstances = {
    date: new Date().toISOString().slice(0, 10),
    commit: commitOf(root),
    machine: `${cpus()[0]?.model ?? 'unknown processor'}, ${availableParallelism()} threads, Node.js ${process.version}`,
    command: ['./ohmmeter bench', ...words].join(' '),
    seeds: unseenSeeds,
    random: () => random.next(),
  };
  const name = isNamed ? first! : 'diagnosis';
  const page = tap
    ? familyReportOf(tap, await runChunks(chunksOf(familyParts(tap), share)), circumstances)
    : first === balancingId
      ? balancingReportOf(balancedHouses(share), circumstances)
      : isNamed
        ? gasReportOf(await runChunks(chunksOf(gasParts, share)), circumstances)
        : await electricPage(share, circumstances);
  const file = path.join(root, `docs/benchmarks/${name}.md`);
  if (share === 1) {
    mkdirSync(path.dirname(file), { recursive: true });
    writeFileSync(file, page);
    console.error(`ohmmeter: written to ${file}`);
  }
  console.log(page);
  return 0;
}

function balancedHouses(share: number) {
  const count = Math.max(1, Math.round(housesPerSeed * share));
  const seeds = unseenSeeds.flatMap((seed) =>
    Array.from({ length: count }, (_, k) => seed * 1000 + k),
  );
  return {
    model: seeds.map((seed) => balanceHouse(seed, 'model')),
    byFeel: seeds.map((seed) => balanceHouse(seed, 'by-feel')),
  };
}

function chunksOf(measured: readonly Part[], share: number): Chunk[] {
  return measured.flatMap(({ name, unitsPerSeed }) =>
    unseenSeeds.flatMap((seed): Chunk[] => {
      const count = Math.max(1, Math.round(unitsPerSeed * share));
      return Array.from({ length: Math.ceil(count / unitsInChunk) }, (_, k) => ({
        part: name,
        seed,
        from: k * unitsInChunk,
        to: Math.min(count, (k + 1) * unitsInChunk),
      }));
    }),
  );
}

async function electricPage(share: number, at: Parameters<typeof reportOf>[1]): Promise<string> {
  // Speed first, while nothing else is at work.
  const now = () => performance.now();
  const speed = measureSpeed(at90, unseenSeeds[0]!, Math.max(30, Math.round(150 * share)), now);
  const outcomes = await runChunks(chunksOf(parts, share));
  const contradictions = countContradictions(
    at90,
    triple,
    unseenSeeds[0]!,
    Math.round(600 * share),
  );
  const reduced = reducedModels.map(({ title, faults, checks }) => {
    const model = reduce(at90, faults, checks);
    return { title, best: bestPossible(model), planned: plannersCost(model) };
  });
  return reportOf({ outcomes, contradictions, reduced, speed }, at);
}

/** Single faults of one path, and of the whole heater, with the checks that a technician would think of. */
const reducedModels = [
  {
    title: 'upper path, 9 faults, 8 checks',
    faults: [
      'upper-element.open',
      'upper-thermostat.never-closes',
      'limit.pole-1-open',
      'limit.pole-2-open',
      'w-upper-a.open',
      'w-upper-b.open',
      'splice-1.open',
      'supply.off',
      'no-fault',
    ],
    checks: [
      'upper-path-ohms',
      'upper-element-ohms',
      'upper-contact-high-ohms',
      'limit-pole-1-ohms',
      'limit-pole-2-ohms',
      'supply-volts',
      'feed-volts',
      'upper-element-volts',
    ],
  },
  {
    title: 'whole heater, 12 faults, 9 checks',
    faults: [
      'upper-element.open',
      'lower-element.open',
      'upper-element.earthed',
      'upper-thermostat.never-closes',
      'upper-thermostat.never-changes-over',
      'lower-thermostat.never-closes',
      'limit.nuisance-trip',
      'supply.off',
      'w-lower-a.open',
      'dials.low',
      'sediment',
      'no-fault',
    ],
    checks: [
      'supply-volts',
      'upper-path-ohms',
      'lower-path-ohms',
      'upper-element-ohms',
      'lower-element-ohms',
      'lower-contact-high-ohms',
      'upper-element-a-to-tank-ohms',
      'outlet-first',
      'dials-look',
    ],
  },
] as const;

async function runChunks(chunks: readonly Chunk[]): Promise<Record<string, UnitOutcome[]>> {
  const results: UnitOutcome[][] = new Array<UnitOutcome[]>(chunks.length);
  let next = 0;
  let done = 0;
  const workers = Array.from({ length: availableParallelism() }, async () => {
    const worker = new Worker(fileURLToPath(import.meta.url), { workerData: 'bench' });
    for (let k = next++; k < chunks.length; k = next++) {
      results[k] = await new Promise<UnitOutcome[]>((resolve, reject) => {
        worker.once('message', resolve);
        worker.once('error', reject);
        worker.postMessage(chunks[k]);
      });
      worker.removeAllListeners('error');
      done += 1;
      if (process.stderr.isTTY) process.stderr.write(`\r${done} of ${chunks.length} `);
    }
    await worker.terminate();
  });
  await Promise.all(workers);
  const byPart: Record<string, UnitOutcome[]> = {};
  chunks.forEach(({ part }, k) => (byPart[part] ??= []).push(...results[k]!));
  return byPart;
}

function commitOf(root: string): string {
  try {
    const git = (...words: string[]) =>
      execFileSync('git', ['-C', root, ...words], { encoding: 'utf8' });
    const changed = git('status', '--porcelain', '--', 'src').trim() !== '';
    return `${git('rev-parse', '--short', 'HEAD').trim()}${changed ? ' with changes' : ''}`;
  } catch {
    return 'unknown';
  }
}

/** In a worker: units as they are asked for. */
export const isBenchWorker = !isMainThread && workerData === 'bench';

export function serveBench(): void {
  parentPort!.on('message', ({ part, seed, from, to }: Chunk) => {
    const { run } = [
      ...parts,
      ...gasParts,
      ...Object.values(benchedFamilies).flatMap(familyParts),
    ].find((each) => each.name === part)!;
    const outcomes = Array.from({ length: to - from }, (_, k) =>
      run(seed, from + k, () => performance.now()),
    );
    parentPort!.postMessage(outcomes);
  });
}
