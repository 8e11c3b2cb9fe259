import { describe, expect, it } from 'vitest';
import { electricStorageOneElement } from '@/core/appliances/electric-storage-one-element';
import { electricStorageTwoElement } from '@/core/appliances/electric-storage-two-element';
import { systemBoiler } from '@/core/appliances/system-boiler';
import { textOf } from '@/core/appliances/all';
import { callOf, complaintOf, problemsOf, readDraft, withFamily } from './call-draft';

const family = electricStorageTwoElement;
const draft = (change: object = {}) => ({
  ...readDraft(''),
  kind: 'no-hot-water',
  customer: 'A. Customer',
  address: 'A street',
  plate: { 'watt-upper': '4500' },
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
    const text = (plate: Record<string, string>, key: string) =>
      textOf(family.plateFields, plate, key);
    expect(text({}, 'volt')).toBe('240');
    expect(text({ supply: 'single-230' }, 'volt')).toBe('230');
    expect(text({ volt: '208' }, 'volt')).toBe('208');
    expect(text({ 'watt-upper': '4500' }, 'watt-lower')).toBe('4500');
    expect(text({ 'watt-upper': '4500', 'watt-lower': '3800' }, 'watt-lower')).toBe('3800');
  });

  it.each<[object, string, RegExp]>([
    [{ kind: undefined }, 'kind', /what is wrong/],
    [{ customer: ' ' }, 'customer', /Who/],
    [{ address: '' }, 'address', /Where/],
    [{ plate: { 'watt-upper': '45OO' } }, 'watt-upper', /no unit/],
    [{ plate: { 'watt-upper': '45' } }, 'watt-upper', /200 to 20000/],
    [{ plate: {} }, 'watt-upper', /./],
    [{ plate: { 'watt-upper': '4500', volt: '12' } }, 'volt', /100 to 600/],
    [{ plate: { 'watt-upper': '4500', volume: '1' } }, 'volume', /2 to 528/],
  ])('says at the field what is wrong with %o', (change, field, message) => {
    expect(problems(change)[field]).toMatch(message);
    expect(problems({})).toEqual({});
  });

  it('asks nothing of the plate where the unit is known', () => {
    expect(problemsOf(family, draft({ customer: '', plate: {} }), true, 'us')).toEqual({});
  });

  it('goes to the server in kept units, with only what was said', () => {
    const { newUnit } = callOf(
      family,
      draft({ plate: { 'watt-upper': '4500', volume: '50' } }),
      't',
      false,
      'us',
    ) as {
      newUnit: { plate: { volume: { litre: number } }; services: { supply: object } };
    };
    // 1 gal (US) = 3.785412 L, NIST SP 811.
    expect(newUnit.plate.volume.litre).toBeCloseTo(50 * 3.785412, 3);
    expect(newUnit.services.supply).not.toHaveProperty('residualCurrentDevice');
    expect(newUnit.plate).not.toHaveProperty('wiring');
    const said = callOf(
      family,
      draft({
        plate: { 'watt-upper': '4500', wiring: 'simultaneous', residualCurrentDevice: 'no' },
      }),
      't',
      false,
      'us',
    );
    expect(said).toMatchObject({
      newUnit: {
        services: { supply: { residualCurrentDevice: false } },
        plate: { wiring: 'simultaneous' },
      },
    });
  });

  it('says of another kind of unit only what that one is asked, and keeps the rest for who changes back', () => {
    const asked = draft({
      kind: 'trips-breaker',
      answers: { onset: 'sudden', reset: 'clicked', toString: 'x', complaint: 'leak' },
    });
    expect(complaintOf(family, asked)).toEqual({
      kind: 'trips-breaker',
      words: '',
      answers: { onset: 'sudden', reset: 'clicked' },
    });
    const boiler = { ...asked, family: systemBoiler.id, plate: {} };
    expect(complaintOf(systemBoiler, boiler)).toMatchObject({ kind: undefined, answers: {} });
    expect(callOf(systemBoiler, boiler, 't', false, 'us').complaint.answers).toEqual({});
    expect(problemsOf(systemBoiler, boiler, false, 'us').kind).toMatch(/what is wrong/);
    // A question that both are asked, with answers of their own.
    const dark = draft({ kind: 'no-hot-water', answers: { display: 'dark', onset: 'sudden' } });
    expect(complaintOf(systemBoiler, dark).answers).toEqual({ display: 'dark' });
  });

  it('has what was typed of a plate again where somebody tries another kind of unit and changes back', () => {
    const typed = draft();
    const tried = { ...typed, ...withFamily(typed, systemBoiler.id) };
    expect(tried).toMatchObject({ family: systemBoiler.id, plate: {} });
    const filled = { ...tried, plate: { input: '102000' } };
    const back = { ...filled, ...withFamily(filled, family.id) };
    expect(back).toMatchObject({ family: family.id, plate: typed.plate });
    expect(withFamily(back, systemBoiler.id).plate).toEqual({ input: '102000' });
    expect(withFamily(back, family.id).plate).toEqual(typed.plate);
  });

  it('of a heater with one element says nothing of how two are wired', () => {
    const one = draft({
      family: electricStorageOneElement.id,
      plate: { 'watt-only': '2000', wiring: 'simultaneous' },
    });
    expect(callOf(electricStorageOneElement, one, 't', false, 'metric')).toMatchObject({
      newUnit: { plate: { elements: { only: { watt: 2000 } } } },
    });
    expect(
      JSON.stringify(callOf(electricStorageOneElement, one, 't', false, 'metric')),
    ).not.toContain('wiring');
  });
});
