import { describe, expect, it } from 'vitest';
import { emptyJob, stamp } from '../../../tests/plates';
import type { Entry } from '../job-file';
import { diagnoseJob, pictureOf } from '.';

const pictured = (...entries: object[]) =>
  pictureOf(
    diagnoseJob(emptyJob({ entries: entries.map((each) => ({ ...stamp(), ...each })) as Entry[] })),
  );
const openReading = {
  kind: 'reading',
  check: 'upper-element-ohms',
  value: { overRange: true, above: { ohm: 2e6 } },
};
const powerOn = { kind: 'action', action: 'power-on' };
const proved = { kind: 'action', action: 'proved-dead' };

describe('the wiring picture', () => {
  it('shows nothing live beyond an open breaker', () => {
    const { live, fedBack, open } = pictured(proved);
    expect(live.filter((each) => !each.startsWith('source'))).toEqual([]);
    expect(fedBack).toEqual([]);
    expect(open).toContain('breaker-1');
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
    );
    expect(picture.suspected).toMatch(/splice|supply/);
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
});
