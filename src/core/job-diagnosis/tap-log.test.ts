import { describe, expect, it } from 'vitest';
import { watch, watchedUnit } from '../../../tests/simulated-log';
import { emptyJob } from '../../../tests/plates';
import { familyOf } from '../appliances/all';
import type { JobFile } from '../job-file';
import type { Place } from '../simulation';
import { diagnoseJob } from '.';

/** Simulated units (numbers and physics of their own) whose tap was opened for two minutes, read every four seconds. */
const units: Readonly<Record<string, JobFile['unit']>> = {
  'combi-boiler': {
    family: 'combi-boiler',
    plate: { fuel: 'natural-gas', input: { watt: 26_500 } },
  } as unknown as JobFile['unit'],
  'tankless-gas': {
    family: 'tankless-gas',
    plate: { fuel: 'natural-gas', input: { watt: 44_000 } },
  } as unknown as JobFile['unit'],
};

function followed(
  id: string,
  faults: readonly string[],
  seed: number,
  kind: string,
  places: readonly Place[] = ['flow-pipe', 'return-pipe', 'outlet'],
) {
  const start = emptyJob({ unit: units[id]!, complaint: { kind: kind as 'swings', answers: {} } });
  const family = familyOf(id)!;
  const simulated = watchedUnit(id, family.plateOf(start), faults, seed);
  const entries = watch(simulated, {
    seconds: 148,
    tap: { from: 8, until: 132, litrePerMinute: 8 },
    everySecond: 4,
    places,
  });
  return diagnoseJob({ ...start, entries }).answer;
}

const chanceOf = (answer: ReturnType<typeof followed>, ...repairs: readonly string[]) =>
  answer.suspects
    .filter(({ repair }) => repairs.includes(repair))
    .reduce((sum, { probability }) => sum + probability, 0);

describe('a tap that was followed for two minutes, and no meter', () => {
  it.each([3, 4, 5, 6])(
    'names the plates where the flow races and the return is hot, %d',
    (seed) => {
      const answer = followed('combi-boiler', ['plate.blocked'], seed, 'swings');
      expect(answer.suspects[0]!.repair).toBe('service-plate-exchanger');
      expect(answer.suspects[0]!.probability).toBeGreaterThan(0.5);
    },
  );

  it.each([3, 4, 5])('names the loop where the return is cold, %d', (seed) => {
    const answer = followed('combi-boiler', ['hose.choked'], seed, 'swings');
    const loop = ['replace-primary-hose', 'replace-pump', 'vent-air', 'clean-primary-exchanger'];
    expect(chanceOf(answer, ...loop)).toBeGreaterThan(0.55);
    expect(chanceOf(answer, 'service-plate-exchanger')).toBeLessThan(0.25);
  });

  it.each([3, 4])('clears plates and loop of a good boiler, %d', (seed) => {
    const before = chanceOf(
      diagnoseJob(
        emptyJob({ unit: units['combi-boiler']!, complaint: { kind: 'swings', answers: {} } }),
      ).answer,
      'service-plate-exchanger',
    );
    const answer = followed('combi-boiler', ['no-fault'], seed, 'swings');
    expect(chanceOf(answer, 'service-plate-exchanger')).toBeLessThan(before / 3);
  });

  it('tells little from the tap alone, and never more than from all three', () => {
    const [little, all] = ([['outlet'], ['flow-pipe', 'return-pipe', 'outlet']] as Place[][]).map(
      (places) =>
        chanceOf(
          followed('combi-boiler', ['plate.scaled'], 4, 'lukewarm', places),
          'service-plate-exchanger',
        ),
    );
    expect(all).toBeGreaterThan(little!);
  });

  it('finds cold that crosses, or a draw that is too great, behind a lukewarm tap of an instantaneous heater', () => {
    const answer = followed('tankless-gas', ['cross-connection.mixer'], 3, 'lukewarm', ['outlet']);
    expect(chanceOf(answer, 'repair-fixture', 'fit-check-valve')).toBeGreaterThan(0.3);
  });

  it('of a place that tells nothing of a tap is no evidence', () => {
    const start = emptyJob({
      unit: units['combi-boiler']!,
      complaint: { kind: 'swings', answers: {} },
    });
    const answer = followed('combi-boiler', ['plate.blocked'], 3, 'swings', ['room']);
    expect(chanceOf(answer, 'service-plate-exchanger')).toBeCloseTo(
      chanceOf(diagnoseJob(start).answer, 'service-plate-exchanger'),
      9,
    );
  });
});
