import { describe, expect, it } from 'vitest';
import { emptyJob, stamp } from '../../../tests/plates';
import { combiBoiler } from '@/core/appliances/combi-boiler';
import { electricStorageTwoElement } from '@/core/appliances/electric-storage-two-element';
import type { Standing } from '@/core/job-diagnosis/standing';
import type { Entry } from '@/core/job-file';
import { standingHere } from './standings-here';

const before: Standing = {
  stage: 'diagnose',
  entryCount: 1,
  suspects: [{ repair: 'upper-element', probability: 0.4 }],
  decided: false,
  next: { check: 'upper-element-ohms', minutes: 3 },
  stop: 'Gas: make it safe, nothing else',
  liftedWires: 0,
};
const entry = (rest: object) => ({ ...stamp(), ...rest }) as Entry;
const sniffed = (value: string) => entry({ kind: 'observation', check: 'gas-smell-sniff', value });

describe('what a job stands at by the record of a device', () => {
  it('is what is lifted, how far it has come and whom it was thought of, without a next check', () => {
    const lift = entry({
      kind: 'action',
      action: 'lift-wire',
      wire: 'w-upper-a',
      end: 'upper-element.a',
    });
    const job = { ...emptyJob(), entries: [lift] };
    const here = standingHere(electricStorageTwoElement, job, { ...before, stop: undefined });
    expect(here).toMatchObject({ stage: 'diagnose', liftedWires: 1, isSettled: false });
    expect(here.suspects).toEqual(before.suspects);
    expect(here.next).toBeUndefined();
  });

  it('is stopped by gas that was smelled here, and no more once a later sniff found none', () => {
    const job = emptyJob({ unit: { family: combiBoiler.id, plate: {} } });
    const stopOf = (...values: string[]) =>
      standingHere(combiBoiler, { ...job, entries: values.map(sniffed) }, before).stop;
    expect(stopOf('smell')).toBe('Gas: make it safe, nothing else');
    expect(stopOf('smell', 'none')).toBeUndefined();
  });
});
