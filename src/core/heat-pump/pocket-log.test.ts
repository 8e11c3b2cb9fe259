import { describe, expect, it } from 'vitest';
import { seededRandom, simulatedFamilyOf } from '../simulation';
import { pocketCourse } from '.';

const plate = {
  lineVolt: 230,
  heatWatt: 8000,
  flowLimitCelsius: 60,
  immersionWatt: 3000,
  cylinderLitre: 200,
  bufferLitre: 50,
};

/** A simulated plant, read once a minute, pushed after so many minutes. */
function watched(seed: number, fault: string, pushedAt: number | undefined, minutes = 30) {
  const unit = simulatedFamilyOf('heat-pump-cylinder').inTime(plate, seededRandom(seed), [fault]);
  const error = seededRandom(seed + 1000);
  const readout: { second: number; celsius: number }[] = [];
  const water: { second: number; celsius: number }[] = [];
  for (let minute = 0; minute < minutes; minute++) {
    if (minute === pushedAt) unit.act({ kind: 'repair', repair: 'push-buffer-sensor-home' });
    readout.push({ second: minute * 60, celsius: unit.celsius('readout-buffer') });
    water.push({
      second: minute * 60 + 20,
      celsius: unit.celsius('buffer') + 0.5 * error.normal(),
    });
    unit.advance(60);
  }
  return pocketCourse(readout, water, 20);
}

describe('a log of a readout beside its water', () => {
  it.each([1, 2, 3, 4, 5, 6])('shows a sensor that was pushed home, and when: plant %i', (seed) => {
    const course = watched(seed, 'buffer-sensor.out-of-pocket', 12)!;
    expect(course.before.share).toBeLessThan(0.85);
    expect(course.after!.share).toBeGreaterThan(0.88);
    expect(course.after!.fromSecond).toBeGreaterThanOrEqual(11 * 60);
    expect(course.after!.fromSecond).toBeLessThanOrEqual(14 * 60);
  });

  it.each([1, 2, 3, 4])('tells no push where nobody pushed: plant %i', (seed) => {
    expect(watched(seed, 'no-fault', undefined)!.after).toBeUndefined();
    expect(watched(seed, 'buffer-sensor.out-of-pocket', undefined)!.after).toBeUndefined();
  });

  it('says nothing of one reading, of readings far apart, or of water as warm as its room', () => {
    const one = [{ second: 0, celsius: 34 }];
    expect(pocketCourse(one, [{ second: 0, celsius: 57 }], 20)).toBeUndefined();
    const many = [0, 60, 120].map((second) => ({ second, celsius: 34 }));
    expect(pocketCourse(many, [{ second: 4000, celsius: 57 }], 20)).toBeUndefined();
    const cool = [0, 60, 120].map((second) => ({ second, celsius: 22 }));
    expect(pocketCourse(cool, cool, 20)).toBeUndefined();
    expect(pocketCourse([], [], 20)).toBeUndefined();
  });
});
