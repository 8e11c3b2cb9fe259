import { describe, expect, it } from 'vitest';
import { sampleUnit } from '../../../../tests/sample-unit';
import { emptyJob, stamp } from '../../../../tests/plates';
import { diagnoseJob, pictureOf, probePicture } from '../../job-diagnosis';
import { isGasWork, readJobValue, type Entry, type JobFile } from '../../job-file';
import { drawing } from './drawing';
import { gasStoragePilot as family } from '.';

const job = (...entries: object[]): JobFile =>
  emptyJob({
    ...sampleUnit(family, { valve: 'thermopile', input: '11700', volume: '151' }),
    minor: 2,
    entries: entries.map((each) => ({ ...stamp(), ...each })) as Entry[],
  });
const good = { good: true, controls: { pilot: 'lit', knob: 'on', dial: 'c', gasCock: 'open' } };
const nominal = (answer: ReturnType<typeof probePicture>) =>
  answer?.good.kind === 'range' ? answer.good.nominal : undefined;

describe('the picture of a gas heater', () => {
  const open = diagnoseJob(job(), { depth: 'one-step' });

  it('shows gas on its way and both flames where the pilot is lit and the dial is up', () => {
    const { paths, symbols, readouts } = pictureOf(open, good);
    expect(paths).toMatchObject({ 'gas-in': 'flows', 'gas-main': 'flows', flue: 'flows' });
    expect(symbols).toMatchObject({ pilot: { look: 'on' }, burner: { words: 'burns' } });
    // 4 inches of water at the manifold, 7 at the inlet with everything burning; from memory, the plate wins.
    expect(readouts['manifold-port']!.value / 249.09).toBeCloseTo(4, 1);
    expect(readouts['gas-inlet-port']!.value / 249.09).toBeCloseTo(7, 1);
  });

  it('shows neither with the cock shut', () => {
    const shut = { ...good, controls: { ...good.controls, gasCock: 'closed' } };
    const { paths, symbols, readouts } = pictureOf(open, shut);
    expect(paths).toMatchObject({ 'gas-in': 'empty', 'gas-pilot': 'empty', 'gas-main': 'empty' });
    expect(symbols).toMatchObject({ pilot: { words: 'out' }, light: { look: 'off' } });
    expect(readouts['manifold-port']!.value).toBe(0);
  });

  it('names a state for everything that is drawn, and draws every place that a fault may change', () => {
    const { paths, symbols, readouts, suspected } = pictureOf(open, good);
    expect(Object.keys(paths).sort()).toEqual(drawing.paths!.map(({ id }) => id).sort());
    expect(Object.keys(symbols).sort()).toEqual(drawing.symbols!.map(({ id }) => id).sort());
    expect(Object.keys(readouts).sort()).toEqual(Object.keys(drawing.points!).sort());
    expect(suspected.length).toBeGreaterThan(0);
  });

  it('tells what is read at a point, and what a suspect would show there', () => {
    const answer = probePicture(open, { point: 'manifold-port' }, good);
    expect(answer).toMatchObject({ quantity: 'pressure-difference' });
    expect(nominal(answer)! / 249.09).toBeCloseTo(4, 1);
    expect(probePicture(open, { point: 'draught-hood' }, good)).toBeUndefined();
  });
});

describe('a reading at a named point', () => {
  const low = {
    kind: 'reading',
    point: 'gas-inlet-port',
    quantity: 'pressure-difference',
    value: { pascal: 700 },
    state: { controls: { pilot: 'lit', knob: 'on', dial: 'c' } },
  };
  const chance = (file: JobFile) =>
    diagnoseJob(file, { depth: 'one-step' }).answer.suspects.find(
      ({ repair }) => repair === 'correct-gas-pressure',
    )?.probability ?? 0;

  it('is evidence without any check', () => {
    expect(chance(job(low))).toBeGreaterThan(5 * chance(job()));
  });

  it('is gas work where the gas way is open for it', () => {
    const { catalogue } = family;
    expect(isGasWork({ ...stamp(), ...low } as Entry, catalogue)).toBe(true);
    expect(
      isGasWork(
        {
          ...stamp(),
          ...low,
          point: 'outlet',
          quantity: 'temperature',
          value: { celsius: 40 },
        } as Entry,
        catalogue,
      ),
    ).toBe(false);
  });

  it('is no evidence where the model has nothing to read', () => {
    const draught = { ...low, point: 'draught-hood', value: { pascal: -4 } };
    expect(chance(job(draught))).toBeCloseTo(chance(job()), 9);
  });
});

describe('two outlets that are read together', () => {
  const pair = (values: object) => ({
    kind: 'reading',
    check: 'pair-outlet-temperatures',
    values,
  });
  const pointers = (values: object) => {
    const read = readJobValue(job(pair(values)), () => family.catalogue);
    return read.ok ? [] : read.problems.map(({ pointer }) => pointer);
  };

  it('are refused where one of them is missing, or named otherwise', () => {
    expect(pointers({ nearer: { celsius: 50 }, farther: { celsius: 30 } })).toEqual([]);
    expect(pointers({ nearer: { celsius: 50 } })).toEqual(['/entries/0/values/farther']);
    expect(pointers({ nearer: { celsius: 50 }, toString: { celsius: 30 } })).toEqual([
      '/entries/0/values/toString',
      '/entries/0/values/farther',
    ]);
  });
});
