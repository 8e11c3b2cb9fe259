import { describe, expect, it } from 'vitest';
import { emptyJob, provedDead, stamp } from '../../../tests/plates';
import { electricStorageTwoElement } from '../appliances/electric-storage-two-element';
import type { Entry } from '../job-file';
import { diagnoseJob, pictureOf, probePicture, type PictureState, type TerminalState } from '.';

const opened = (...entries: object[]) =>
  diagnoseJob(emptyJob({ entries: entries.map((each) => ({ ...stamp(), ...each })) as Entry[] }));
const terminalsOf = ({ terminals }: PictureState, live: TerminalState['live']) =>
  Object.keys(terminals).filter((each) => terminals[each]!.live === live);
const pictured = (...entries: object[]) => {
  const picture = pictureOf(opened(...entries));
  return {
    ...picture,
    live: terminalsOf(picture, 'live'),
    fedBack: terminalsOf(picture, 'fed-back'),
  };
};
const openReading = {
  kind: 'reading',
  check: 'upper-element-ohms',
  value: { overRange: true, above: { ohm: 2e6 } },
};
const powerOn = { kind: 'action', action: 'power-on' };
const proved = provedDead(electricStorageTwoElement);

describe('the wiring picture', () => {
  it('shows nothing live beyond an open breaker', () => {
    const { live, fedBack, open } = pictured(proved);
    expect(live.filter((each) => !each.startsWith('source'))).toEqual([]);
    expect(fedBack).toEqual([]);
    expect(open).toContain('breaker-1');
  });

  it('has a strap where both elements are fed at once, and a contact where one at a time is', () => {
    const { unit } = emptyJob();
    const both = emptyJob({
      unit: { ...unit, plate: { ...unit.plate, wiring: 'simultaneous' } },
    });
    expect(pictureOf(diagnoseJob(both)).strapped).toEqual(['changeover-contact']);
    expect(pictured().strapped).toEqual([]);
  });

  it('shows both legs live up to an open element, and what lies behind it fed by the other leg', () => {
    const { live } = pictured(openReading, powerOn);
    expect(live).toEqual(
      expect.arrayContaining(['limit.1', 'limit.3', 'upper-element.a', 'upper-element.b']),
    );
  });

  it('shows a leg that is missing as fed back through an element', () => {
    const volts = (check: string, volt: number) => ({ kind: 'reading', check, value: { volt } });
    const picture = pictured(
      volts('supply-volts', 1),
      volts('supply-leg-1-to-earth-volts', 119),
      volts('supply-leg-2-to-earth-volts', 120),
      volts('feed-volts', 240),
      { kind: 'observation', check: 'splices-look', value: 'loose' },
      powerOn,
    );
    expect(picture.suspected[0]!.fault).toMatch(/splice|supply/);
    expect(picture.fedBack.length).toBeGreaterThan(0);
  });

  it('shows the lower circuit dead behind a lifted wire', () => {
    const { live, fedBack } = pictured(powerOn, {
      kind: 'action',
      action: 'lift-wire',
      wire: 'w-upper-a',
      end: 'upper-element.a',
    });
    expect(live).not.toContain('lower-thermostat.1');
    expect([...live, ...fedBack]).toContain('upper-thermostat.2');
  });

  it('draws a limit closed whose button did not click', () => {
    const clicked = { kind: 'observation', check: 'limit-reset-press', value: 'no-click' };
    expect(pictured(clicked).open).not.toContain('limit-pole-1');
  });

  it('shows current where a dial is turned to call, and none where the water satisfies it', () => {
    const open = opened(powerOn);
    const cold = pictureOf(open, { good: true, known: { 'water.upper': 15, 'water.lower': 15 } });
    expect(cold.ampere['w-upper-a']).toBeGreaterThan(17);
    expect(cold.watt['upper-element']).toBeGreaterThan(4000);
    expect(cold.ampere['w-lower-a']).toBeUndefined();
    const warmAbove = pictureOf(open, {
      good: true,
      known: { 'water.upper': 80, 'water.lower': 15 },
    });
    expect(warmAbove.watt['upper-element']).toBeLessThan(1);
    expect(warmAbove.ampere['w-lower-a']).toBeGreaterThan(17);
    const tripped = pictureOf(open, { good: true, controls: { limit: 'tripped' } });
    expect(Object.values(tripped.watt).every((each) => each < 1)).toBe(true);
  });

  it('says of any two terminals what a good unit shows and what each suspect would', () => {
    const open = opened(proved, openReading);
    const ohms = probePicture(
      open,
      { between: ['limit.1', 'upper-element.a'] },
      {
        controls: { power: 'off', limit: 'closed' },
        known: { 'water.upper': 15, 'water.lower': 15 },
      },
    );
    expect(ohms).toMatchObject({ quantity: 'resistance', good: { kind: 'range' } });
    expect(ohms?.good.kind === 'range' && ohms.good.nominal).toBeLessThan(0.5);
    const [likeliest] = probePicture(
      open,
      { between: ['upper-element.a', 'upper-element.b'] },
      {
        apart: [{ wire: 'w-upper-a', end: 'upper-element.a' }],
      },
    )!.bands;
    expect(likeliest).toMatchObject({
      repair: 'replace-upper-element',
      reads: { kind: 'over-range' },
    });
    const volts = probePicture(
      open,
      { between: ['limit.1', 'limit.3'] },
      { controls: { power: 'on' } },
    );
    expect(volts?.quantity).toBe('voltage-ac');
    // Under load the supply wires take about one percent.
    expect(volts?.good.kind === 'range' && volts.good.nominal).toBeGreaterThan(235);
  });

  it('shows a terminal that hangs free as dead, whatever it picks up', () => {
    const { terminals } = pictured(proved);
    for (const { volt, live } of Object.values(terminals)) {
      expect(live).toBe('dead');
      expect(volt).toBeLessThan(5);
    }
  });
});
