import { describe, expect, it } from 'vitest';
import { gasStoragePilot } from '../../src/core/appliances/gas-storage-pilot';
import {
  ends,
  goodElements,
  type Elements,
} from '../../src/core/appliances/gas-storage-pilot/elements';
import { faults } from '../../src/core/appliances/gas-storage-pilot/faults';
import {
  branchesOf,
  millivoltCircuit,
} from '../../src/core/appliances/gas-storage-pilot/millivolts';
import { plateOf } from '../../src/core/appliances/gas-storage-pilot/plate';
import { changed } from '../../src/core/appliances/kit/change';
import { openOhm, type Netlist } from '../../src/core/circuit';
import { sampleUnit } from '../sample-unit';
import { solveWithNgspice } from './ngspice';

/** ngspice, a circuit simulator of general purpose, judges the millivolts that every fault leaves at every pair of a check. */
const emfVolt = 0.0279;

const plates = (['thermocouple', 'thermopile'] as const).flatMap((valve) =>
  (['in-lead', 'own-leads', 'none'] as const).map((rollOut) =>
    plateOf(sampleUnit(gasStoragePilot, { input: '11700', volume: '151', valve, rollOut })),
  ),
);
const lifts = [[], ['joint-plus', 'joint-minus'], ['w-tip'], ['w-tip', 'w-cutout']];
/** What the checks read. */
const pairs = [
  ['generator.plus', 'generator.minus'],
  ['lead.plus', 'lead.minus'],
  ['valve.plus', 'valve.minus'],
] as const;
/**
 * Where a part is cut off from everything ngspice's matrix spans 13 orders of ten, and keeps no more than a sixth of what a
 * meter tells, in volts; where nothing is, both agree to ten nanovolts.
 */
const most = (lifted: readonly string[], elements: Elements): number =>
  lifted.length > 0 ||
  Object.entries(elements).some(([id, each]) => each >= openOhm && !id.includes('leak'))
    ? 5e-5
    : 1e-8;

describe('the millivolt circuit agrees with ngspice', () => {
  it.each(plates.map((plate) => [plate.valve, plate.rollOut, plate] as const))(
    '%s, cutout %s: every fault, every lead lifted that a check lifts',
    (_, __, plate) => {
      const circuit = millivoltCircuit(plate);
      const cases = faults(plate).flatMap(({ id, variants }) =>
        variants.flatMap(({ changes }) =>
          lifts.map((lifted) => ({
            id,
            lifted,
            elements: changed(goodElements(plate), changes, ends) as Elements,
          })),
        ),
      );
      const netlists = cases.map(({ elements, lifted }): Netlist => ({
        ground: 'generator.minus',
        resistors: branchesOf(plate).map(({ id, from, to, ohm }) => ({
          id,
          from,
          to,
          ohm: lifted.includes(id) ? openOhm : Math.min(openOhm, ohm(elements)),
        })),
        sources: [{ id: 'emf', node: 'emf', volt: emfVolt }],
      }));
      const judged = solveWithNgspice(netlists);
      cases.forEach(({ id, elements, lifted }, k) => {
        const solved = circuit.solve(elements, lifted, emfVolt);
        for (const [one, other] of pairs) {
          const own = solved.probeVoltage(one, other).value;
          const volt = Math.abs(judged[k]!.get(one)! - judged[k]!.get(other)!);
          expect(Math.abs(own - volt), `${id} ${lifted.join()} ${one} ${other}`).toBeLessThan(
            most(lifted, elements),
          );
        }
      });
    },
  );
});
