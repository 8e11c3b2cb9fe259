import { describe, expect, it } from 'vitest';
import {
  buildNetlist,
  wiresOf,
  type SwitchPositions,
  type ElectricalFamily,
} from '../../src/core/appliances/electrical';
import { electricFamilies as families } from '../electric-families';
import { solveCircuit } from '../../src/core/circuit';
import { solveWithNgspice, type JudgedCircuit } from './ngspice';

/** Judge: ngspice (Debian), on every family: good and with every fault, in every state that a check uses. */

/** The distinct switch positions that checks use: powered and dead, calling and satisfied, with their wires lifted. */
function positionsOf({ checkIds, check, thermostats }: ElectricalFamily): SwitchPositions[] {
  const combinations = thermostats.reduce<Record<string, 'calling' | 'satisfied'>[]>(
    (found, { id }) =>
      found.flatMap((each) => [
        { ...each, [id]: 'calling' as const },
        { ...each, [id]: 'satisfied' as const },
      ]),
    [{}],
  );
  const distinct = new Map<string, SwitchPositions>();
  for (const id of checkIds) {
    const { power = 'off', lifted = [] } = check(id).state ?? {};
    for (const each of combinations) {
      const positions: SwitchPositions = {
        breaker: power,
        limit: 'closed',
        thermostats: each,
        lifted: wiresOf(lifted),
      };
      distinct.set(JSON.stringify(positions), positions);
    }
  }
  return [
    ...distinct.values(),
    { breaker: 'on', limit: 'tripped', thermostats: combinations[0]!, lifted: [] },
  ];
}

/** A plate of the family on one of its supplies. */
function plateOn(family: ElectricalFamily, supply: ElectricalFamily['supplies'][number]) {
  return family.plateOf({
    unit: {
      family: family.id,
      plate: {
        rated: { volt: supply.plateVolt },
        elements: Object.fromEntries(
          family.elements.map(({ id }, k) => [
            id,
            { watt: supply.nominalVolt < 150 ? 1500 : 4500 - 1000 * k },
          ]),
        ),
      },
    },
    site: { supply: { system: supply.system, nominal: { volt: supply.nominalVolt } } },
  });
}

/** The same circuit with an ohmmeter on two terminals: a source in series with a known resistor. */
function withOhmmeter(
  netlist: JudgedCircuit,
  from: string,
  to: string,
  seriesOhm: number,
): JudgedCircuit {
  return {
    ...netlist,
    resistors: [...netlist.resistors, { id: 'meter', from: 'meter', to: from, ohm: seriesOhm }],
    meter: { positive: 'meter', negative: to, volt: 1 },
  };
}

const cases = families.flatMap((family) =>
  family.faultModes.map(({ id, variants, wiring = 'non-simultaneous' }) => ({
    family,
    id,
    variants,
    wiring,
  })),
);

describe('the circuit solver agrees with ngspice', () => {
  it.each(cases)('$family.id ($wiring): $id, in every state that a check uses', (each) => {
    const { family, variants, wiring } = each;
    const plate = { ...plateOn(family, family.supplies[0]!), wiring };
    const positions = positionsOf(family);
    const circuits = variants.flatMap(({ changes }) =>
      positions.map((position) => buildNetlist(family, plate, changes, position)),
    );
    const judged = solveWithNgspice(circuits);
    circuits.forEach((circuit, c) => {
      const solved = solveCircuit(circuit);
      for (const [node, signed] of judged[c]!) {
        const volt = Math.abs(signed);
        if (Math.abs(solved.voltageAt(node) - volt) > 5e-3 + 1e-5 * volt) {
          expect.fail(`${node} in circuit ${c}: ${solved.voltageAt(node)} V, ngspice ${volt} V`);
        }
      }
      for (const { id, from, to, ohm } of circuit.resistors) {
        const ampere = Math.abs(judged[c]!.get(from)! - judged[c]!.get(to)!) / ohm;
        // A wire of 10 mΩ turns the twelve printed digits of its two ends into this much current.
        const tolerance = 1e-6 + 1e-4 * ampere + 1e-9 / ohm;
        if (Math.abs(solved.currentThrough(id) - ampere) > tolerance) {
          expect.fail(`${id} in circuit ${c}: ${solved.currentThrough(id)} A, ngspice ${ampere} A`);
        }
      }
    });
  });

  it.each(families.flatMap((family) => family.supplies.map((supply) => ({ family, supply }))))(
    '$family.id on $supply.id, good, in every state',
    ({ family, supply }) => {
      const plate = plateOn(family, supply);
      const circuits = positionsOf(family).map((each) => buildNetlist(family, plate, {}, each));
      // ngspice solves in direct current: the two phases of a wye are judged one at a time and put together.
      const phases = (['volt', 'quadratureVolt'] as const).map((phase) =>
        solveWithNgspice(
          circuits.map((each) => ({
            ...each,
            sources: each.sources.map((source) => ({ ...source, volt: source[phase] ?? 0 })),
          })),
        ),
      );
      circuits.forEach((circuit, c) => {
        const solved = solveCircuit(circuit);
        for (const [node, inPhase] of phases[0]![c]!) {
          const volt = Math.hypot(inPhase, phases[1]![c]!.get(node)!);
          expect(Math.abs(solved.voltageAt(node) - volt), `${node} in circuit ${c}`).toBeLessThan(
            5e-3 + 1e-5 * volt,
          );
        }
      });
    },
  );

  it.each(families)(
    '$id: reads the same ohms as an ohmmeter put on the terminals of each dead check',
    (family) => {
      const plate = plateOn(family, family.supplies[0]!);
      const dead = family.checkIds.filter((each) => family.check(each).quantity === 'resistance');
      const thermostats = Object.fromEntries(
        family.thermostats.map(({ id }) => [id, 'calling' as const]),
      );
      for (const { id, variants } of family.faultModes) {
        const probed = variants.flatMap(({ changes }) =>
          dead.map((check) => {
            const { between, state } = family.check(check);
            const netlist = buildNetlist(family, plate, changes, {
              breaker: 'off',
              limit: 'closed',
              thermostats,
              lifted: wiresOf(state?.lifted ?? []),
            });
            const [from, to] = between!;
            const ours = solveCircuit(netlist).probeResistance(from, to).value;
            // A series resistor near what is measured keeps the digits of the divider.
            const seriesOhm = Math.min(1e6, Math.max(0.1, ours));
            return { check, netlist, from, to, ours, seriesOhm };
          }),
        );
        const judged = solveWithNgspice(
          probed.map((each) =>
            withOhmmeter(
              {
                ...each.netlist,
                sources: each.netlist.sources.map((source) => ({ ...source, volt: 0 })),
              },
              each.from,
              each.to,
              each.seriesOhm,
            ),
          ),
          (c) => ['meter', probed[c]!.from, probed[c]!.to],
        );
        probed.forEach(({ check, from, to, ours, seriesOhm }, c) => {
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
    },
  );
});
