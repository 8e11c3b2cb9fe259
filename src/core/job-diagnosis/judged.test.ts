import { describe, expect, it } from 'vitest';
import { sampleUnit } from '../../../tests/sample-unit';
import { emptyJob, stamp } from '../../../tests/plates';
import { gasStoragePilot as family } from '../appliances/gas-storage-pilot';
import type { Entry } from '../job-file';
import { diagnoseJob, judgeLogbook, openDiagnosis } from '.';

const judged = (...entries: Entry[]) => {
  const job = emptyJob({ ...sampleUnit(family, { input: '11700', volume: '151' }), entries });
  const all = judgeLogbook(openDiagnosis(job), job);
  return entries.map(({ id }) => all[id]);
};
const pilot = (value: string): Entry => ({
  ...stamp(),
  kind: 'observation',
  check: 'pilot-look',
  value,
});
const outlet = (celsius: number): Entry => ({
  ...stamp(),
  kind: 'reading',
  check: 'outlet-first',
  value: { celsius },
});

describe('how a gas heater was found', () => {
  it('is good as a good one would have stood: a pilot that is out and cold water are not', () => {
    const [out, cold] = judged(pilot('out'), outlet(14));
    expect(out).toMatchObject({ isGood: false, good: { kind: 'outcome', outcome: 'lit' } });
    expect(cold).toMatchObject({ isGood: false });
    const [lit, hot] = judged(pilot('lit'), outlet(50));
    expect(lit).toMatchObject({ isGood: true });
    expect(hot).toMatchObject({ isGood: true });
  });
});

describe('millivolts that fit nothing', () => {
  const warningsOf = (volt: number) => {
    const entry: Entry = {
      ...stamp(),
      kind: 'reading',
      check: 'open-circuit-millivolts',
      value: { volt },
    };
    const job = emptyJob({
      ...sampleUnit(family, { input: '11700', volume: '151' }),
      entries: [pilot('lit'), entry],
    });
    return diagnoseJob(job).answer.warnings.map((each) => each.text);
  };

  it.each([
    [-0.028, 'the probes were the other way round'],
    [28, 'volts were entered for millivolts'],
  ])('%s V are told with the slip of the hand that made them', (volt, words) => {
    expect(warningsOf(volt)).toEqual([expect.stringContaining(words)]);
  });

  it('a good one is told of nothing', () => {
    expect(warningsOf(0.028)).toEqual([]);
  });
});
