import type { Evidence, FamilyModel } from '../src/core/diagnosis';
import type { MeterModel } from '../src/core/diagnosis/model';

/** A small family of its own: a lamp that is good, or has one of two faults. The engine knows no heater. */
const meter: MeterModel = {
  id: 'ohms',
  relativeError: 0.02,
  floor: 0.25,
  overRangeAbove: 20e6,
  wrong: { overRange: 0.3, nearZero: 0.25 },
  most: 20e6,
};
export const filamentGrid = {
  points: [
    { logRatio: -0.05, share: 0.25 },
    { logRatio: 0, share: 0.5 },
    { logRatio: 0.05, share: 0.25 },
  ],
  within: 0,
};
export const lamp: FamilyModel = {
  hypotheses: [
    { id: 'good', faults: [], repairs: ['none'], weight: 6, grid: 'fine' },
    {
      id: 'filament',
      faults: ['filament.open'],
      repairs: ['replace-lamp'],
      weight: 3,
      grid: 'fine',
    },
    {
      id: 'socket',
      faults: ['socket.burnt'],
      repairs: ['replace-socket'],
      weight: 1,
      grid: 'fine',
    },
  ],
  unknowns: [
    {
      id: 'filament-ohm',
      fine: filamentGrid,
      coarse: filamentGrid,
    },
  ],
  repairOf: { 'filament.open': 'replace-lamp', 'socket.burnt': 'replace-socket' },
  healthyIndex: 0,
  predictor:
    ({ key }) =>
    (index) => {
      if (key === 'look') {
        const dark = index === 0 ? 0.05 : 0.9;
        return { kind: 'outcomes', probabilities: { lit: 1 - dark, dark } };
      }
      const value = [40, 1e9, 62][index]!;
      return {
        kind: 'quantity',
        meter,
        value,
        gradients: [index === 1 ? 0 : 40],
        variance: index === 2 ? 25 : 0,
        floats: false,
      };
    },
  afterRepairs: (index, repairs) => [
    repairs.includes(['none', 'replace-lamp', 'replace-socket'][index]!) ? 0 : index,
  ],
};

export const ohms = (id: string, value: number | 'over-range'): Evidence => ({
  entryId: id,
  checkId: 'ohms',
  observable: { key: 'ohms' },
  result: value === 'over-range' ? { kind: 'over-range' } : { kind: 'number', value },
  repairsBefore: [],
  errorRate: 0.03,
});
export const look = (id: string, outcome: string): Evidence => ({
  entryId: id,
  checkId: 'look',
  observable: { key: 'look' },
  result: { kind: 'outcome', outcome },
  repairsBefore: [],
  errorRate: 0.04,
});
