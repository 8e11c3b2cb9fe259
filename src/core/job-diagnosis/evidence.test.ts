import { describe, expect, it } from 'vitest';
import { emptyJob, stamp } from '../../../tests/plates';
import { sampleUnit } from '../../../tests/sample-unit';
import { families, workLooks } from '../appliances/all';
import { electricStorageTwoElement as family } from '../appliances/electric-storage-two-element';
import { entryProblems, walkEntries, type Entry, type JobFile } from '../job-file';
import { quantityTable } from '../quantities';
import { diagnoseJob } from '.';
import { evidenceOf, plannedKeys } from './evidence';

const made = (rest: object): Entry => ({ ...stamp(), ...rest }) as Entry;
const evidence = (entries: Entry[], overrides: Partial<JobFile> = {}) => {
  const job = emptyJob({ entries, ...overrides });
  return evidenceOf(family, job, walkEntries(job.entries, family.catalogue));
};
const keys = (entries: Entry[]) =>
  evidence(entries)
    .filter((each) => !each.checkId.startsWith('call:'))
    .map((each) => each.observable.key);

describe('what counts as evidence', () => {
  it('is the complaint and every answer that the tables know', () => {
    const call = evidence([], {
      complaint: {
        kind: 'runs-out',
        answers: { onset: 'gradual', allOutlets: true, mood: 'bad', rumble: 'perhaps' },
      },
    });
    expect(call.map((each) => each.entryId)).toEqual([
      'call:complaint',
      'call:onset',
      'call:allOutlets',
    ]);
  });

  it('is every reading and observation, and no action', () => {
    const found = keys([
      made({ kind: 'action', action: 'power-off' }),
      made({ kind: 'reading', check: 'upper-element-ohms', value: { ohm: 13 } }),
      made({ kind: 'observation', check: 'splices-look', value: 'sound' }),
      made({ kind: 'skip', check: 'supply-volts', reason: 'cannot' }),
    ]);
    expect(found).toHaveLength(2);
  });

  it('is both dials as found, as good as a look at them', () => {
    const dial = (which: string, celsius: number) =>
      made({ kind: 'setting', setting: `${which}-dial`, as: 'found', value: { celsius } });
    const outcome = (upper: number, lower: number) =>
      evidence([dial('upper', upper), dial('lower', lower)]).find(
        (each) => each.checkId === 'dials-look',
      )!.result;
    expect(outcome(50, 50)).toEqual({ kind: 'outcome', outcome: 'equal' });
    expect(outcome(52, 40)).toEqual({ kind: 'outcome', outcome: 'unequal' });
    expect(outcome(40, 38)).toEqual({ kind: 'outcome', outcome: 'low' });
    expect(evidence([dial('upper', 50)]).some((each) => each.checkId === 'dials-look')).toBe(false);
  });

  it('is the same check with more wires hanging free than it asks for, where they do no harm', () => {
    const end = (which: string) => ({ wire: `w-${which}`, end: which.replace('-', '-element.') });
    const keyOf = (check: string, ...lifted: string[]) => {
      const entry = made({
        kind: 'reading',
        check,
        value: { overRange: true },
        state: { power: 'off', lifted: lifted.map(end) },
      });
      return plannedKeys(family, walkEntries([entry], family.catalogue), []).get(entry.id);
    };
    const own = ['lower-a', 'lower-b'];
    const alone = keyOf('lower-element-b-to-tank-ohms', ...own);
    expect(keyOf('lower-element-b-to-tank-ohms', ...own, 'upper-a', 'upper-b')).toBe(alone);
    // With a wire of its own still on, it is another reading.
    expect(keyOf('lower-element-b-to-tank-ohms', 'lower-b')).not.toBe(alone);
    // A path through the whole heater is cut by any wire that hangs free.
    expect(keyOf('lower-path-ohms', 'upper-a')).not.toBe(keyOf('lower-path-ohms'));
  });

  it('after a reset is a reading of a unit whose limit is closed', () => {
    const ohms = { kind: 'reading', check: 'limit-pole-1-ohms', value: { ohm: 0.3 } };
    const pressed = made({ kind: 'observation', check: 'limit-reset-press', value: 'clicked' });
    const [before] = keys([made(ohms)]);
    const after = keys([pressed, made(ohms)]).at(-1);
    expect(after).not.toBe(before);
  });

  it('says what the check implies unless the entry says otherwise', () => {
    const plain = made({ kind: 'reading', check: 'upper-element-ohms', value: { ohm: 6.6 } });
    const inCircuit = made({
      kind: 'reading',
      check: 'upper-element-ohms',
      value: { ohm: 6.6 },
      state: { lifted: [] },
    });
    expect(keys([plain])[0]).not.toBe(keys([inCircuit])[0]);
  });
});

describe('a limit that tripped', () => {
  it('is shown by the click, and what follows is read with it closed', () => {
    const clicked = made({ kind: 'observation', check: 'limit-reset-press', value: 'clicked' });
    const { suspects } = diagnoseJob(emptyJob({ entries: [clicked] })).answer;
    const top = suspects.slice(0, 3).map((each) => each.repair);
    expect(top).toContain('reset-limit');
    expect(top.some((each) => each.includes('thermostat'))).toBe(true);
  });
});

describe('over range', () => {
  it('on a stated range says more against a high leak than without one', () => {
    const chance = (value: object) =>
      diagnoseJob(
        emptyJob({
          complaint: { kind: 'trips-rcd', answers: {} },
          entries: [
            made({ kind: 'reading', check: 'upper-element-a-to-tank-ohms', value }),
            made({ kind: 'reading', check: 'upper-element-b-to-tank-ohms', value }),
          ],
        }),
      )
        .answer.suspects.find((each) => each.repair === 'replace-upper-element')!
        .faults.find((each) => each.id === 'upper-element.leaky')?.probability ?? 0;
    expect(chance({ overRange: true, above: { ohm: 20e6 } })).toBeLessThan(
      chance({ overRange: true }),
    );
    expect(chance({ overRange: true })).toBeLessThanOrEqual(
      chance({ overRange: true, above: { ohm: 2000 } }),
    );
  });
});

describe('the same look again', () => {
  it('is a repeat, and no second witness, whatever the power does meanwhile', () => {
    const look = () => made({ kind: 'observation', check: 'dials-look', value: 'low' });
    const once = [look()];
    const twice = [...once, made({ kind: 'action', action: 'power-off' }), look()];
    expect(new Set(keys(twice)).size).toBe(1);
    const leading = (entries: Entry[]) =>
      diagnoseJob(emptyJob({ entries, complaint: { kind: 'lukewarm', answers: {} } })).answer
        .suspects[0]!;
    const [first, again] = [leading(once), leading(twice)];
    expect(again.repair).toBe(first.repair);
    // A repeat vouches for the look; two witnesses would multiply the odds by its whole weight again.
    const odds = ({ probability }: typeof first) => probability / (1 - probability);
    expect(odds(again) / odds(first)).toBeLessThan(1.4);
  });

  it('is another one where the state decides what is heard', () => {
    const beep = (rest: object) =>
      made({ kind: 'observation', check: 'upper-element-beep', value: 'beeps', ...rest });
    const press = () => made({ kind: 'observation', check: 'limit-reset-press', value: 'clicked' });
    const click = (celsius: number) =>
      made({
        kind: 'observation',
        check: 'upper-thermostat-click',
        value: 'stays-closed',
        state: { water: { upper: { celsius } } },
      });
    const distinct = (...entries: Entry[]) => new Set(keys(entries)).size;
    expect(distinct(beep({}), beep({ state: { lifted: [] } }))).toBe(2);
    expect(distinct(beep({}), beep({ threshold: { ohm: 500 } }))).toBe(2);
    expect(distinct(press(), press())).toBe(2);
    expect(distinct(click(60), click(18))).toBe(2);
    expect(distinct(click(60), click(60))).toBe(1);
  });

  it('tells a click by the water that was there in this job, not in the one before', () => {
    const stuck = (celsius: number) =>
      diagnoseJob(
        emptyJob({
          entries: [
            made({
              kind: 'observation',
              check: 'lower-thermostat-click',
              value: 'stays-closed',
              state: { water: { lower: { celsius } } },
            }),
          ],
        }),
      ).answer.suspects.find((each) => each.repair === 'replace-lower-thermostat')!.probability;
    const inHotWater = stuck(60);
    // Below the lowest mark a good contact stays closed too.
    expect(stuck(18)).toBeLessThan(inHotWater / 3);
    expect(stuck(60)).toBeCloseTo(inHotWater, 9);
  });
});

describe.each(families.map((each) => [each.id, each] as const))('work on %s', (_, worked) => {
  it('is looked at, and tells nothing of the faults that a family has no such check of', () => {
    const { catalogue } = worked;
    const entries = Object.entries(workLooks).flatMap(([check, { quantity, words }]) => {
      if (catalogue.check(check) === undefined || worked.isCheckId(check)) return [];
      return quantity
        ? [made({ kind: 'reading', check, value: { [quantityTable[quantity].key]: 100_000 } })]
        : Object.keys(words.answers!).map((value) => made({ kind: 'observation', check, value }));
    });
    expect(entries.length).toBeGreaterThan(10);
    expect(entryProblems(entries, catalogue)).toEqual([]);
    const job = emptyJob({ ...sampleUnit(worked), complaint: undefined, entries });
    const walked = walkEntries(entries, catalogue);
    expect(evidenceOf(worked, job, walked)).toEqual([]);
    expect([...plannedKeys(worked, walked, [])]).toEqual([]);
  });
});
