import { describe, expect, it } from 'vitest';
import { answer, job, reading } from '../../../tests/electric-job';
import { stamp } from '../../../tests/plates';
import type { Entry } from '../job-file';
import { electricStorageTwoElement as family } from '../appliances/electric-storage-two-element';
import { diagnoseJob, expectCheck } from '.';

describe('a diagnosis', () => {
  it('names an open lower element, and why', () => {
    const open = reading('lower-element-ohms', { overRange: true, above: { ohm: 2e6 } });
    const { suspects, decided } = answer([open], { complaint: { kind: 'runs-out', answers: {} } });
    expect(suspects[0]).toMatchObject({ repair: 'replace-lower-element' });
    expect(suspects[0]!.probability).toBeGreaterThan(0.9);
    const weight = suspects[0]!.why.find((each) => each.entry === open.id)!;
    expect(weight.decibans).toBeGreaterThan(10);
    expect(suspects.reduce((sum, each) => sum + each.probability, 0)).toBeCloseTo(1, 9);
    expect(decided).toBe(true);
  });

  it('starts with suspects from the complaint alone, and a check to take', () => {
    const { suspects, next, decided } = answer([]);
    expect(decided).toBe(false);
    expect(next).not.toBeNull();
    expect(suspects[0]!.probability).toBeLessThan(0.8);
  });

  it('never proposes a check that was refused', () => {
    const entries: Entry[] = [];
    for (let round = 0; round < 12; round++) {
      const { next } = answer(entries);
      if (!next) break;
      expect(entries.some((each) => each.kind === 'skip' && each.check === next.check)).toBe(false);
      entries.push({ ...stamp(), kind: 'skip', check: next.check, reason: 'cannot' });
    }
    expect(entries).toHaveLength(12);
  });

  it.each([
    [
      'a beep with the threshold of the meter',
      'upper-element-beep',
      'beeps',
      { threshold: { ohm: 80 } },
    ],
    [
      'a click with the water measured',
      'upper-thermostat-click',
      'clicks',
      { state: { water: { upper: { celsius: 55 } } } },
    ],
    ['a look at the dials, before the power went off', 'dials-look', 'equal', {}],
    ['the other outlets, before the power went off', 'other-outlet', 'same-everywhere', {}],
  ])('does not propose %s again', (_, check, value, rest) => {
    const entries = [
      { ...stamp(), kind: 'observation', check, value, ...rest } as Entry,
      { ...stamp(), kind: 'action', action: 'power-off' } as Entry,
    ];
    for (let round = 0; round < 60; round++) {
      const { next, alternatives } = answer(entries);
      if (!next) return;
      expect([next, ...alternatives].map((each) => each.check)).not.toContain(check);
      entries.push({ ...stamp(), kind: 'skip', check: next.check, reason: 'skipped' });
    }
  });

  it('asks again for a contact that fits nothing, although the water was measured for it', () => {
    const check = 'lower-contact-high-ohms';
    const odd = reading(
      check,
      { overRange: true, above: { ohm: 2e6 } },
      { state: { water: { lower: { celsius: 20 } } } },
    );
    const { next, warnings } = answer([
      reading('lower-element-amps', { ampere: 18.7 }),
      reading('lower-path-ohms', { ohm: 13.1 }),
      odd,
    ]);
    expect(warnings[0]).toMatchObject({ kind: 'fits-nothing', entries: [odd.id] });
    expect(next).toMatchObject({ check, repeat: true });
  });

  it('plans without live work, and without instruments that are not there', () => {
    const entries: Entry[] = [];
    for (let round = 0; round < 20; round++) {
      const { next } = answer(entries, {
        constraints: { liveWork: false, instruments: ['multimeter'] },
      });
      if (!next) break;
      expect(next.check).not.toMatch(/volts|amps|^outlet/);
      entries.push({ ...stamp(), kind: 'skip', check: next.check, reason: 'skipped' });
    }
  });

  it('expects of volts without load that a burnt joint does not pull them down', () => {
    const scorched = { ...stamp(), kind: 'observation', check: 'splices-look', value: 'scorched' };
    const open = diagnoseJob(
      job([scorched as Entry], { complaint: { kind: 'slow', answers: {} } }),
    );
    const lowest = (load?: 'open-circuit') =>
      expectCheck(open, 'upper-element-volts', load)
        .bands.filter((each) => each.repair === 'remake-splice')
        .flatMap(({ reads }) => (reads.kind === 'range' ? [reads] : []))
        // An open splice reads next to nothing either way.
        .filter((each) => each.centre > 50)
        .reduce((least, each) => Math.min(least, each.from), Infinity);
    expect(lowest()).toBeLessThan(200);
    expect(lowest('open-circuit')).toBeGreaterThan(215);
    const { good } = expectCheck(open, 'upper-element-volts', 'open-circuit');
    expect(good).toMatchObject({ kind: 'range', nominal: expect.closeTo(240, -1) as number });
  });

  it('takes volts without load at an element as those of its free wire', () => {
    const noLoad = { state: { load: 'open-circuit' } };
    const at = (volt: number) => answer([reading('upper-element-volts', { volt }, noLoad)]);
    // With the wire off, all the volts stand at its end, and say that everything before it is closed.
    expect(at(239).warnings).toEqual([]);
    const before = (volt: number) =>
      at(volt).suspects.find((each) => each.repair === 'replace-upper-thermostat')!.probability;
    expect(before(239)).toBeLessThan(before(1) / 4);
    // An open element takes nothing off them: they neither clear nor condemn it.
    const element = (entries: Entry[]) =>
      answer(entries).suspects.find((each) => each.repair === 'replace-upper-element')!.probability;
    expect(element([reading('upper-element-volts', { volt: 239 }, noLoad)])).toBeGreaterThan(
      element([]),
    );
  });

  it('takes the lead resistance of the meter off, once', () => {
    const check = (ohm: number, leads: number) =>
      answer([
        reading('upper-contact-high-ohms', { ohm }, { leads: { ohm: leads } }),
      ]).suspects.find((each) => each.repair === 'replace-upper-thermostat')!.probability;
    expect(check(1.1, 1)).toBeCloseTo(check(0.3, 0.2), 6);
  });

  it('reads any two terminals in any state like a planned check', () => {
    const probe = {
      ...stamp(),
      kind: 'reading',
      between: ['upper-element.a', 'upper-element.b'],
      quantity: 'resistance',
      state: { power: 'off', lifted: [{ wire: 'w-upper-a', end: 'upper-element.a' }] },
      value: { overRange: true, above: { ohm: 2e6 } },
    } as Entry;
    expect(answer([probe]).suspects[0]!.repair).toBe('replace-upper-element');
  });

  it('leaves a healthy set alone', () => {
    const { warnings } = answer([
      reading('upper-element-ohms', { ohm: 12.9 }),
      reading('upper-element-volts', { volt: 239 }),
      reading('upper-element-amps', { ampere: 18.4 }),
    ]);
    expect(warnings).toEqual([]);
  });
});

describe('what would change the mind', () => {
  it('is a result of a check that is left, and another suspect', () => {
    const { changesMind, suspects } = answer([reading('upper-path-ohms', { overRange: true })]);
    expect(changesMind).toBeDefined();
    expect(changesMind!.towards).not.toBe(suspects[0]!.repair);
  });
});

describe('the usual order', () => {
  it('is followed where the technician asks for it, with the minutes of both beside', () => {
    const usual = answer([], { constraints: { order: 'usual' } });
    expect(family.usualOrder).toContain(usual.next!.check);
    expect(usual.next!.check).toBe(usual.usual!.check);
    const computed = answer([]);
    expect(computed.next!.toVerdict!.minutes).toBeLessThan(computed.usual!.toVerdictMinutes);
  });
});

describe('the price of a wrong verdict', () => {
  it('makes for more checks before one', () => {
    const stretch = (second: number) => {
      const { next } = answer([], { constraints: { wrongVerdict: { second } } });
      return next!.toVerdict!.minutes;
    };
    expect(stretch(14_400)).toBeGreaterThan(stretch(2400));
  });
});
