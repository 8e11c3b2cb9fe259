import { describe, expect, it } from 'vitest';
import { emptyJob } from '../../../tests/plates';
import '../appliances/all';
import type { Entry, JobFile } from '../job-file';
import { diagnoseJob } from '.';

const boiler = {
  family: 'combi-boiler',
  plate: { fuel: 'natural-gas', input: { watt: 26_500 } },
} as unknown as JobFile['unit'];
const heater = {
  family: 'tankless-gas',
  plate: { fuel: 'natural-gas', input: { watt: 44_000 } },
} as unknown as JobFile['unit'];

let minute = 0;
const at = () => new Date(Date.UTC(2026, 2, 4, 9, minute++)).toISOString();
const dark = () =>
  ({
    id: 'dark',
    at: at(),
    kind: 'observation',
    check: 'display-look',
    value: 'dark',
  }) as unknown as Entry;
const read = (check: string, value: object) =>
  ({ id: `r-${check}`, at: at(), kind: 'reading', check, value }) as unknown as Entry;

function chances(unit: JobFile['unit'], ...entries: readonly Entry[]) {
  const { suspects } = diagnoseJob(
    emptyJob({ unit, complaint: { kind: 'dead-display', answers: {} }, entries: [...entries] }),
  ).answer;
  return Object.fromEntries(
    ['restore-supply', 'replace-fuse', 'replace-control'].map((repair) => [
      repair,
      suspects.find((each) => each.repair === repair)!.probability,
    ]),
  );
}

describe('a dark display tells no cause of its darkness from another', () => {
  it.each([
    ['display-tap-flow', boiler, { litrePerMinute: 0 }],
    ['display-pressure', boiler, { pascal: 0 }],
    ['display-flow', heater, { litrePerMinute: 0 }],
    ['display-outlet-temperature', heater, { celsius: 0 }],
  ] as const)('%s that shows nothing', (check, unit, value) => {
    const first = dark();
    const before = chances(unit, first);
    const after = chances(unit, first, read(check, value));
    const ratio = (of: typeof before, repair: string) => of[repair]! / of['restore-supply']!;
    expect(before['restore-supply']).toBeGreaterThan(0.4);
    for (const repair of ['replace-fuse', 'replace-control']) {
      expect(ratio(after, repair) / ratio(before, repair)).toBeGreaterThan(0.8);
      expect(ratio(after, repair) / ratio(before, repair)).toBeLessThan(1.25);
    }
  });
});
