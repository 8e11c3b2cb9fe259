import { describe, expect, it } from 'vitest';
import { emptyJob } from '../../../tests/plates';
import { combiBoiler as family } from '../appliances/combi-boiler';
import { walkEntries, type Entry, type JobFile } from '../job-file';
import { simulatedFamilyOf, simulateUnit } from '../simulation';
import { seededRandom } from '../simulation/random';
import { jointVerdicts } from './joint-verdicts';

const unit = {
  family: 'combi-boiler',
  plate: { fuel: 'natural-gas', input: { watt: 26_500 } },
} as unknown as JobFile['unit'];
const checks = family.joint![0]!.checks;
const plate = family.plateOf(emptyJob({ unit }));

let minute = 0;
const at = () => new Date(Date.UTC(2026, 2, 4, 9, minute++)).toISOString();
const reading = (check: string, kelvin: number): Entry =>
  ({ id: `r-${minute}`, at: at(), kind: 'reading', check, value: { kelvin } }) as unknown as Entry;
const found = (entries: readonly Entry[]) =>
  jointVerdicts(family, walkEntries(entries, family.catalogue));

/** What a simulated boiler shows at three settings: its values are its own. */
function three(faults: readonly string[], seed: number): Entry[] {
  const simulated = simulateUnit(simulatedFamilyOf(family.id), plate, seededRandom(seed), {
    faults,
  });
  return checks.map((check) => {
    const { state } = family.check(check);
    const answer = simulated.answer(check, {
      controls: {},
      apart: [],
      done: [],
      known: {},
      ...state,
    });
    if (answer.kind !== 'number') throw new Error(`no number of ${check}: ${answer.kind}`);
    return reading(check, answer.value);
  });
}

const seeds = Array.from({ length: 20 }, (_, k) => k + 1);

describe('readings that are judged together', () => {
  it.each(seeds)('finds a sensor out of step by all three, %d', (seed) => {
    const [verdict] = found(three(['tap-sensor.drift'], seed));
    expect(verdict!.verdict.words).toMatch(/^Off by the same/);
    expect(Math.abs(verdict!.verdict.kelvin!)).toBeGreaterThan(2);
  });

  it.each(seeds)('never calls a sensor out of step on a sound boiler, %d', (seed) => {
    expect(found(three(['no-fault'], seed))[0]!.verdict.kelvin).toBeUndefined();
  });

  it('says nothing of two points, and takes the last of each', () => {
    const [low, middle, high] = checks as [string, string, string];
    expect(found([reading(low, 0), reading(middle, 0)])).toEqual([]);
    const [again] = found([reading(low, 9), reading(middle, 0), reading(high, 0), reading(low, 1)]);
    expect(again!.verdict.isGood).toBe(true);
  });

  it('keeps what was read before a repair apart from what was read after it', () => {
    const [low, middle, high] = checks as [string, string, string];
    const asFound = [low, middle, high].map((each) => reading(each, -6));
    const repaired = {
      id: 'repaired',
      at: at(),
      kind: 'action',
      action: 'repair',
      repair: 'replace-tap-sensor',
    } as unknown as Entry;
    const entries = [...asFound, repaired, reading(low, 0.5), reading(middle, 0)];
    expect(found(entries)).toHaveLength(1);
    const both = found([...entries, reading(high, 0)]);
    expect(both.map(({ verdict, isAfterRepair }) => [verdict.isGood, isAfterRepair])).toEqual([
      [false, false],
      [true, true],
    ]);
  });
});
