import { describe, expect, it } from 'vitest';
import { electricStorageOneElement } from '@/core/appliances/electric-storage-one-element';
import { electricStorageTwoElement } from '@/core/appliances/electric-storage-two-element';
import { callOf, problemsOf, readDraft, voltText, wattText } from './call-draft';

const family = electricStorageTwoElement;
const draft = (change: object = {}) => ({
  ...readDraft(''),
  kind: 'no-hot-water',
  customer: 'A. Customer',
  address: 'A street',
  watts: { upper: '4500' },
  ...change,
});
const problems = (change: object, system: 'us' | 'metric' = 'us') =>
  problemsOf(family, draft(change), false, system);

describe('a call as it is typed', () => {
  it('survives a reload, and anything that a store may hold', () => {
    expect(readDraft(JSON.stringify(draft())).customer).toBe('A. Customer');
    expect(readDraft('{half')).toEqual(readDraft(''));
    expect(readDraft(JSON.stringify({ family: 'steam' }))).toEqual(readDraft(''));
  });

  it('takes the volts of the supply and the watts of the element above where none are typed', () => {
    expect(voltText(family, draft())).toBe('240');
    expect(voltText(family, draft({ volt: '208' }))).toBe('208');
    expect(wattText(family, draft(), 'lower')).toBe('4500');
    expect(wattText(family, draft({ watts: { upper: '4500', lower: '3800' } }), 'lower')).toBe(
      '3800',
    );
  });

  it.each<[object, string, RegExp]>([
    [{ kind: undefined }, 'kind', /what is wrong/],
    [{ customer: ' ' }, 'customer', /Who/],
    [{ address: '' }, 'address', /Where/],
    [{ watts: { upper: '45OO' } }, 'watt-upper', /no unit/],
    [{ watts: { upper: '45' } }, 'watt-upper', /200 to 20000/],
    [{ watts: { upper: '' } }, 'watt-upper', /./],
    [{ volt: '12' }, 'volt', /100 to 600/],
    [{ volume: '1' }, 'volume', /5 to 2000/],
  ])('says at the field what is wrong with %o', (change, field, message) => {
    expect(problems(change)[field]).toMatch(message);
    expect(problems({})).toEqual({});
  });

  it('asks nothing of the plate where the unit is known', () => {
    expect(problemsOf(family, draft({ customer: '', watts: {} }), true, 'us')).toEqual({});
  });

  it('goes to the server in kept units, with only what was said', () => {
    const { newUnit } = callOf(family, draft({ volume: '50' }), 't', false, 'us') as {
      newUnit: { plate: { volume: { litre: number } }; residualCurrentDevice?: boolean };
    };
    // 1 gal (US) = 3.785412 L, NIST SP 811.
    expect(newUnit.plate.volume.litre).toBeCloseTo(50 * 3.785412, 3);
    expect(newUnit).not.toHaveProperty('residualCurrentDevice');
    expect(newUnit.plate).not.toHaveProperty('wiring');
    const said = callOf(
      family,
      draft({ wiring: 'simultaneous', residualCurrentDevice: 'no' }),
      't',
      false,
      'us',
    );
    expect(said).toMatchObject({
      newUnit: { residualCurrentDevice: false, plate: { wiring: 'simultaneous' } },
    });
  });

  it('of a heater with one element says nothing of how two are wired', () => {
    const one = draft({
      family: electricStorageOneElement.id,
      watts: { only: '2000' },
      wiring: 'simultaneous',
    });
    expect(callOf(electricStorageOneElement, one, 't', false, 'metric')).toMatchObject({
      newUnit: { plate: { elements: { only: { watt: 2000 } } } },
    });
    expect(
      JSON.stringify(callOf(electricStorageOneElement, one, 't', false, 'metric')),
    ).not.toContain('wiring');
  });
});
