import { describe, expect, it } from 'vitest';
import { answer, reading } from '../../../tests/electric-job';
import { stamp } from '../../../tests/plates';
import type { Entry } from '../job-file';
import { electricStorageTwoElement as family } from '../appliances/electric-storage-two-element';
import { emptyState } from '../job-file/state';
import type { GoodReading } from '.';

describe('12.5 Ω, 240 V and 13 A cannot all be true', () => {
  const ohms = reading('upper-element-ohms', { ohm: 12.5 });
  const volts = reading('upper-element-volts', { volt: 240 });
  const amps = reading('upper-element-amps', { ampere: 13 });

  it('the one that fits nothing is named, and asked for again', () => {
    const { warnings, next } = answer([ohms, volts, amps]);
    expect(warnings).toHaveLength(1);
    expect(warnings[0]!.kind).toBe('fits-nothing');
    expect([ohms.id, volts.id, amps.id]).toContain(warnings[0]!.entries[0]);
    expect(next).toMatchObject({ repeat: true });
  });

  it('it is not asked for again of a technician without live work', () => {
    const { next } = answer([ohms, volts, amps], { constraints: { liveWork: false } });
    expect(next?.check ?? '').not.toMatch(/volts$|amps$/);
  });

  it('if it repeats, the reading that would explain it comes next', () => {
    const again = reading('upper-element-amps', { ampere: 13.1 });
    const { warnings, next } = answer([ohms, volts, amps, again]);
    expect(warnings[0]!.kind).toBe('still-fits-nothing');
    expect(['upper-element-b-amps', 'upper-element-a-to-tank-ohms']).toContain(next!.check);
  });

  it('after a repair it was another unit: nothing is asked for again', () => {
    const replaced = {
      ...stamp(),
      kind: 'action',
      action: 'replace',
      repair: 'replace-upper-element',
    } as Entry;
    const after = reading('upper-element-ohms', { ohm: 12.7 });
    const { warnings, next } = answer([ohms, volts, amps, replaced, after]);
    expect(warnings).toEqual([]);
    expect(next?.repeat ?? false).toBe(false);
  });

  it('if the second is as it should be, the first was the slip', () => {
    const right = reading('upper-element-amps', { ampere: 18.6 });
    const { warnings } = answer([ohms, volts, amps, right]);
    expect(warnings.filter((each) => each.kind === 'fits-nothing')).toEqual([]);
  });
});

describe('what may have gone wrong with a reading', () => {
  const good = { kind: 'range', nominal: 19, from: 17, to: 21 } as const;
  const taken = (value: object) =>
    reading('ohm' in value ? 'upper-element-ohms' : 'upper-element-amps', value);
  const mistake = (value: object, expected: GoodReading = good) =>
    family.likelyMistake(taken(value), expected, emptyState);

  it('is a clamp round both wires where it shows next to nothing', () => {
    expect(mistake({ ampere: 0.2 })).toMatch(/both wires/);
  });

  it('is the lone 1 of an old meter where an element should read', () => {
    expect(mistake({ ohm: 1 }, { kind: 'range', nominal: 12.8, from: 12, to: 15 })).toMatch(
      /lone 1/,
    );
  });

  it('is a second path where it reads low with every wire on', () => {
    expect(mistake({ ohm: 6.4 }, { kind: 'range', nominal: 12.8, from: 12, to: 15 })).toMatch(
      /second path/,
    );
  });

  it('is nothing that comes to mind where it reads as it should', () => {
    expect(mistake({ ampere: 19.1 })).toBeUndefined();
  });
});
