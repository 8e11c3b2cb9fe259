import { describe, expect, it } from 'vitest';
import { families, type ApplianceFamily } from '../../src/core/appliances/all';
import { foldEntries, type Entry, type JobFile } from '../../src/core/job-file';
import { doCheck, practiseJob, type Clock } from '../../src/core/practice/run-job';
import {
  seededRandom,
  simulatedFamilyOf,
  simulateUnit,
  type SimulatedUnit,
} from '../../src/core/simulation';
import { sampleUnit } from '../sample-unit';

/**
 * Whole jobs on simulated units that make it hard: every second one has two faults, one reading in sixteen is a slip, and one
 * new part in four is bad out of its box. Whatever happens, the work goes on and comes to an end.
 */
const unitsOfEach = 24;
const wrongReadings = 1 / 16;
const badParts = 0.25;
/** Of 240 heat pumps with cylinders two took more than eight rounds, and none more than eleven. */
const mostRounds = 12;
/** A result that fits nothing is taken again, and once more where two contradict each other: an eye may say three things. */
const mostTimes = 4;

/** What is typed for each, where the middle of what may be is no usual unit. */
const plates: Readonly<Record<string, Readonly<Record<string, string>>>> = {
  'electric-storage-two-element': { 'watt-upper': '4500', 'watt-lower': '4500' },
  'electric-storage-one-element': { 'watt-only': '2000' },
};

function newClock(): Clock {
  let [second, made] = [0, 0];
  return {
    newId: () => `01a00000-0000-7000-8000-${String(++made).padStart(12, '0')}`,
    after: (minutes) =>
      new Date(Date.UTC(2026, 4, 4, 8) + (second += minutes * 60) * 1000).toISOString(),
  };
}

/** Wires back on, and the repair done; then the first reading that would prove it. */
function mend(
  family: ApplianceFamily,
  job: JobFile,
  repair: string,
  unit: SimulatedUnit,
  clock: Clock,
): JobFile {
  const stamp = () => ({ id: clock.newId(), at: clock.after(1) });
  const { lifted } = foldEntries(job.entries, family.catalogue);
  const entries: Entry[] = [
    ...lifted.map((each) => ({
      ...stamp(),
      kind: 'action' as const,
      action: 'refit-wire' as const,
      ...each,
    })),
    { ...stamp(), kind: 'action', action: 'replace', repair },
  ];
  const mended = { ...job, entries: [...job.entries, ...entries] };
  const [proof] = family.proofChecksFor(repair);
  return proof === undefined ? mended : doCheck(family, mended, unit, proof, clock);
}

/** How often each check was taken between two repairs, at most. */
function mostAlike({ entries }: JobFile): number {
  let counts = new Map<string, number>();
  let most = 0;
  for (const each of entries) {
    if (each.kind === 'action' && each.action === 'replace') counts = new Map();
    if (!('check' in each) || each.check === undefined) continue;
    counts.set(each.check, (counts.get(each.check) ?? 0) + 1);
    most = Math.max(most, counts.get(each.check)!);
  }
  return most;
}

describe.each(families.map((family) => [family.title, family] as const))('%s', (_, family) => {
  it('comes to an end however often a repair does not, and asks for nothing for ever', () => {
    let [solved, rounds, needed] = [0, 0, 0];
    for (let k = 0; k < unitsOfEach; k++) {
      const random = seededRandom(810_000 + k);
      const start: JobFile = {
        format: 'ohmmeter-job',
        version: 1,
        job: { id: `repairs-${k}`, number: String(k) },
        ...sampleUnit(family, plates[family.id]),
        entries: [],
      };
      const unit = simulateUnit(simulatedFamilyOf(family.id), family.plateOf(start), random, {
        twoFaults: 0.5,
        wrongReadings,
      });
      const mended = new Set(['none-in-unit']);
      const clock = newClock();
      let job: JobFile = { ...start, complaint: unit.complaint as JobFile['complaint'] };
      needed += unit.repairs.filter((each) => each !== 'none-in-unit').length;
      for (let round = 0; ; round++) {
        const done = practiseJob(job, unit, clock, { brief: true });
        expect(done.checksTaken, `unit ${k}, round ${round}`).toBeLessThan(40);
        expect(mostAlike(done.job), `unit ${k}, round ${round}`).toBeLessThanOrEqual(mostTimes);
        // Of two that are needed the surer one is done first, as the bench proposes it.
        const { first: repair } = done.verdict;
        if (repair === 'none-in-unit' || repair === 'look-further') break;
        expect(round, `unit ${k}: ${repair}`).toBeLessThan(mostRounds);
        rounds += 1;
        const isBad = family.repairs[repair]!.parts.length > 0 && random.chance(badParts);
        if (!isBad) {
          unit.repair([repair]);
          mended.add(repair);
        }
        job = mend(family, done.job, repair, unit, clock);
      }
      if (unit.repairs.every((each) => mended.has(each))) solved += 1;
    }
    console.info(
      `${family.id}: ${solved} of ${unitsOfEach} left good, ${rounds} repairs for ${needed} needed`,
    );
    // Far harder than real work, where one unit in ten has two faults and one new part in sixty is bad.
    // A boiler with two services hides the second fault behind the first: of 24 units, chance alone is worth 0.1.
    expect(solved / unitsOfEach).toBeGreaterThan(family.tap?.hasFlow ? 0.5 : 0.6);
  });
});
