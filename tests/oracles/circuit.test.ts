import { describe, expect, it } from 'vitest';
import {
  checkIds,
  checkNames,
  faultModes,
  wiresOf,
} from '../../src/core/appliances/electric-storage-two-element';
import {
  buildNetlist,
  type SwitchPositions,
} from '../../src/core/appliances/electric-storage-two-element/topology';
import { solveCircuit, type Netlist } from '../../src/core/circuit';
import { solveWithNgspice } from './ngspice';
import { plate4500 } from '../plates';

/** Judge: ngspice (Debian), on the heater itself: healthy and every fault, in every state that a check uses. */

/** The distinct switch positions that checks use: powered and dead, calling and satisfied, with their wires lifted. */
const positions: SwitchPositions[] = [
  ...new Map(
    checkIds.flatMap((check) => {
      const { power = 'off', lifted = [] } = checkNames[check].state;
      return (['calling', 'satisfied'] as const).flatMap((upperThermostat) =>
        (['calling', 'satisfied'] as const).map((lowerThermostat) => {
          const each: SwitchPositions = {
            breaker: power,
            limit: 'closed',
            upperThermostat,
            lowerThermostat,
            lifted: wiresOf(lifted),
          };
          return [JSON.stringify(each), each] as const;
        }),
      );
    }),
  ).values(),
  {
    breaker: 'on',
    limit: 'tripped',
    upperThermostat: 'calling',
    lowerThermostat: 'calling',
    lifted: [],
  },
];

/** The same circuit with an ohmmeter on two terminals: a source in series with a known resistor. */
function withOhmmeter(netlist: Netlist, from: string, to: string, seriesOhm: number): Netlist {
  return {
    ...netlist,
    resistors: [...netlist.resistors, { id: 'meter', from: 'meter', to: from, ohm: seriesOhm }],
    sources: [...netlist.sources, { id: 'meter', positive: 'meter', negative: to, volt: 1 }],
  };
}

describe('the circuit solver agrees with ngspice', () => {
  it.each(faultModes.map((mode) => [mode.id, mode.variants] as const))(
    '%s, in every state that a check uses',
    (_, variants) => {
      const circuits = variants.flatMap(({ changes }) =>
        positions.map((each) => buildNetlist(plate4500, changes, each)),
      );
      const judged = solveWithNgspice(circuits);
      circuits.forEach((circuit, c) => {
        const solved = solveCircuit(circuit);
        for (const [node, volt] of judged[c]!) {
          expect(Math.abs(solved.voltageAt(node) - volt), `${node} in circuit ${c}`).toBeLessThan(
            5e-3 + 1e-5 * Math.abs(volt),
          );
        }
        for (const { id, from, to, ohm } of circuit.resistors) {
          const ampere = (judged[c]!.get(from)! - judged[c]!.get(to)!) / ohm;
          // A wire of 10 mΩ turns the twelve printed digits of its two ends into this much current.
          const tolerance = 1e-6 + 1e-4 * Math.abs(ampere) + 1e-9 / ohm;
          expect(Math.abs(solved.currentThrough(id) - ampere), id).toBeLessThan(tolerance);
        }
      });
    },
  );

  it('reads the same ohms as an ohmmeter put on the terminals of each dead check', () => {
    const dead = checkIds.filter((check) => checkNames[check].quantity === 'resistance');
    for (const { id, variants } of faultModes) {
      const cases = variants.flatMap(({ changes }) =>
        dead.map((check) => {
          const { between, state } = checkNames[check];
          const netlist = buildNetlist(plate4500, changes, {
            breaker: 'off',
            limit: 'closed',
            upperThermostat: 'calling',
            lowerThermostat: 'calling',
            lifted: wiresOf(state.lifted ?? []),
          });
          const [from, to] = [between![0]!, between![1]!];
          const ours = solveCircuit(netlist).probeResistance(from, to).value;
          // A series resistor near what is measured keeps the digits of the divider.
          const seriesOhm = Math.min(1e6, Math.max(0.1, ours));
          return { check, netlist, from, to, ours, seriesOhm };
        }),
      );
      const judged = solveWithNgspice(
        cases.map((each) => withOhmmeter(each.netlist, each.from, each.to, each.seriesOhm)),
        (c) => ['meter', cases[c]!.from, cases[c]!.to],
      );
      cases.forEach(({ check, from, to, ours, seriesOhm }, c) => {
        const volts = judged[c]!;
        const seen = volts.get(from)! - volts.get(to)!;
        const ohm = (seen / (1 - seen)) * seriesOhm;
        // Open paths carry less than what the digits of a volt can tell: there, both only have to say open.
        if (ours > 1e8) expect(Math.abs(ohm), `${id} ${check}`).toBeGreaterThan(5e6);
        else
          expect(Math.abs(ohm - ours), `${id} ${check}`).toBeLessThan(
            1e-3 + (ours > 1e5 ? 5e-3 : 1e-3) * ours,
          );
      });
    }
  });
});
