/**
 * How well temperatures tell: the power of 200 simulated logs, what a log makes of the suspects, and how long it all takes.
 * `node --import tsx scripts/measure-logs.ts` prints what stands in docs/benchmarks/temperature-logs.md; under a minute.
 */
import '../tests/all-families';
import { familyOf } from '../src/core/appliances/all';
import { diagnoseJob } from '../src/core/job-diagnosis';
import type { JobFile } from '../src/core/job-file';
import { guessColumns, readChannels } from '../src/core/logger-file';
import { seededRandom, simulatedFamilyOf, type Random } from '../src/core/simulation';
import { tankNumbers } from '../src/core/simulation/tank/numbers';
import { simulatedTank } from '../src/core/simulation/tank/simulated-tank';
import { powerFromRise, runTank, usualLossWattPerKelvin } from '../src/core/thermal';
import { emptyJob } from '../tests/plates';
import { watch, watchedUnit } from '../tests/simulated-log';

const kinds = [
  'lower element, whole tank',
  'upper element, top only',
  'burner',
  'below hot water',
] as const;
type Kind = (typeof kinds)[number];

/** Never looked at while the estimator's spreads were set. */
const unseenSeed = 515_000;

interface Tried {
  readonly kind: Kind;
  readonly off: number;
  readonly isCovered: boolean;
}

/** A log of 20 minutes with probes at top and bottom and no draw, of a tank whose heights and volume are its own. */
function tried(kind: Kind, random: Random, knowsVolume: boolean): Tried {
  const plate = random.pick([
    [114, 1],
    [151, 2],
    [189, 3],
    [303, 1],
  ]);
  const isGas = kind === 'burner';
  const upper = random.between(tankNumbers.upperElement);
  const lower = isGas ? 0 : random.between(tankNumbers.lowerElement);
  const watt = isGas
    ? random.between({ least: 6000, most: 11_000 })
    : random.between({ least: 1500, most: 5600 });
  const tank = simulatedTank(
    {
      plateLitre: plate,
      heaters: [{ height: upper }, { height: lower }],
      hasDipTube: true,
      coldCelsius: 12,
      startCelsius:
        kind === 'below hot water'
          ? {
              top: random.between({ least: 45, most: 55 }),
              bottom: random.between({ least: 10, most: 25 }),
              split: random.between({ least: 0.4, most: upper }),
            }
          : random.between({ least: 10, most: 40 }),
    },
    random,
  );
  const watts = kind === 'upper element, top only' ? [watt, 0] : [0, watt];
  const every = random.pick([
    [10, 1],
    [30, 1],
    [60, 1],
  ]);
  const offs = [random.between(tankNumbers.probeOff), random.between(tankNumbers.probeOff)];
  const read = (height: number, off: number) =>
    Math.round((tank.celsiusAt(height) + off + tankNumbers.probeNoise * random.normal()) * 10) / 10;
  tank.advance(120, watts, 0);
  const top: { second: number; celsius: number }[] = [];
  const bottom: typeof top = [];
  for (let second = 0; second <= 1200; second += every) {
    top.push({ second, celsius: read(0.93, offs[0]!) });
    bottom.push({ second, celsius: read(lower + 0.06, offs[1]!) });
    for (let left = every; left > 0; left -= 5) tank.advance(5, watts, 0);
  }
  const found = powerFromRise(
    { top, bottom },
    {
      litre: knowsVolume ? tank.litre : plate,
      ...(knowsVolume ? { volumeSpread: 0.005 } : {}),
      heaterHeights: isGas ? [0] : [0.66, 0.105],
      lossWattPerKelvin: usualLossWattPerKelvin(plate),
      roomCelsius: 19,
    },
  );
  return {
    kind,
    off: Math.abs(found.watt / watt - 1),
    isCovered: watt >= found.lowWatt && watt <= found.highWatt,
  };
}

const middle = (values: readonly number[]) =>
  [...values].sort((one, other) => one - other)[values.length >> 1]!;
const percent = (share: number) => `${(100 * share).toFixed(1)} %`;

function power(): void {
  for (const knowsVolume of [true, false]) {
    const all: Tried[] = [];
    for (const kind of kinds) {
      const some = Array.from({ length: 200 }, (_, k) =>
        tried(kind, seededRandom(unseenSeed + 31 * k + (knowsVolume ? 0 : 77_777)), knowsVolume),
      );
      all.push(...some);
      console.log(
        `| ${kind}, ${knowsVolume ? 'volume known' : 'volume of the plate'} | ${percent(middle(some.map(({ off }) => off)))} | ${percent(some.filter(({ isCovered }) => isCovered).length / some.length)} |`,
      );
    }
    // 200 logs as they come: the four kinds in turn.
    const mixed = Array.from({ length: 200 }, (_, k) => all[(k % 3) * 200 + k]!);
    console.log(
      `| 200 logs of the first three kinds in turn | ${percent(middle(mixed.map(({ off }) => off)))} | ${percent(all.filter(({ isCovered }) => isCovered).length / all.length)} of all four |`,
    );
  }
}

/** Faults that warm water alike are one to a thermometer. */
const thermal: readonly (readonly [name: string, faults: readonly string[], repairs: RegExp])[] = [
  [
    'no heat below',
    ['lower-element.open', 'lower-thermostat.never-closes', 'upper-thermostat.never-changes-over'],
    /lower-element|lower-thermostat|upper-thermostat|wiring/,
  ],
  ['dip tube', ['dip-tube.gone'], /dip-tube/],
  ['sediment', ['sediment'], /flush/],
  ['nothing wrong', ['no-fault'], /none-in-unit|dials/],
  ['weak', ['lower-element.high', 'splice-1.resistive'], /element|splice|wiring|further/],
];

function evidence(): void {
  const family = familyOf('electric-storage-two-element')!;
  for (const [name, faults, repairs] of thermal) {
    let [before, after, count] = [0, 0, 0];
    for (const fault of faults) {
      for (let seed = 0; seed < 12; seed++) {
        const start: JobFile = emptyJob({ complaint: { kind: 'runs-out', answers: {} } });
        const unit = watchedUnit(family.id, family.plateOf(start), [fault], unseenSeed + seed);
        const entries = watch(unit, {
          seconds: 5400,
          everySecond: 60,
          tap: { from: 300, until: 1200, litrePerMinute: 9 },
        });
        const leads = (job: JobFile) => repairs.test(diagnoseJob(job).answer.suspects[0]!.repair);
        before += leads(start) ? 1 : 0;
        after += leads({ ...start, entries }) ? 1 : 0;
        count += 1;
      }
    }
    console.log(`| ${name} | ${count} | ${before} | ${after} |`);
  }
}

function speed(): void {
  const time = (work: () => void, times: number) => {
    work();
    const from = performance.now();
    for (let k = 0; k < times; k++) work();
    return (performance.now() - from) / times;
  };
  const day = time(
    () =>
      runTank(
        {
          volumeLitre: 189,
          heaters: [{ height: 0.66 }, { height: 0.12 }],
          thermostats: [
            { height: 0.7, cutOutCelsius: 52, differentialKelvin: 6 },
            { height: 0.17, cutOutCelsius: 50, differentialKelvin: 6 },
          ],
          lossWattPerKelvin: 1.7,
          inlet: 'bottom',
        },
        {
          seconds: 86_400,
          startCelsius: 50,
          coldCelsius: 15,
          roomCelsius: 20,
          draws: Array.from({ length: 40 }, (_, k) => ({
            atSecond: 21_600 + k * 1300,
            durationSecond: k % 8 === 0 ? 480 : 60,
            litrePerMinute: 8,
            wantedCelsius: 40,
          })),
          power: (calling) => (calling & 1 ? [4500, 0] : calling & 2 ? [0, 4500] : [0, 0]),
        },
      ),
    20,
  );
  const rows = [
    ['Zeit', 'Oben °C', 'Unten °C'],
    ...Array.from({ length: 100_000 }, (_, k) => [
      new Date(Date.UTC(2026, 2, 2) + k * 1000).toISOString().slice(0, 19).replace('T', ' '),
      (50 + Math.sin(k / 900)).toFixed(1).replace('.', ','),
      '15,2',
    ]),
  ];
  const read = time(() => void readChannels(rows, guessColumns(rows, 'metric')!), 3);
  const unit = simulatedFamilyOf('electric-storage-two-element');
  const family = familyOf(unit.names.family)!;
  const start = emptyJob({ complaint: { kind: 'runs-out', answers: {} } });
  const entries = watch(
    watchedUnit(family.id, family.plateOf(start), ['lower-element.open'], unseenSeed),
    { seconds: 5400, tap: { from: 300, until: 1200, litrePerMinute: 9 } },
  );
  let k = 0;
  const weighed = time(() => {
    // Another log every time: nothing of it is known yet.
    const moved = entries.map((each) =>
      each.kind === 'log' && each.track
        ? {
            ...each,
            track: { ...each.track, celsius: each.track.celsius.map((c) => c + ++k * 1e-4) },
          }
        : each,
    );
    diagnoseJob({ ...start, entries: moved }, { depth: 'one-step', brief: true });
  }, 5);
  console.log(`| a day of a household | ${day.toFixed(1)} ms |`);
  console.log(`| 100,000 rows of a logger, guessed and read | ${read.toFixed(0)} ms |`);
  console.log(`| a log of 90 minutes weighed for every hypothesis | ${weighed.toFixed(0)} ms |`);
}

power();
evidence();
speed();
