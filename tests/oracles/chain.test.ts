import { describe, expect, it } from 'vitest';
import { systemBoiler } from '../../src/core/appliances/system-boiler';
import { chainOf, type ChainSetting } from '../../src/core/appliances/system-boiler/chain';
import {
  ends,
  goodElements,
  type Elements,
} from '../../src/core/appliances/system-boiler/elements';
import { faults } from '../../src/core/appliances/system-boiler/faults';
import { settingOf } from '../../src/core/appliances/system-boiler/model';
import { plateOf } from '../../src/core/appliances/system-boiler/plate';
import { changed } from '../../src/core/appliances/kit/change';
import { openOhm, type Netlist } from '../../src/core/circuit';
import { sampleUnit } from '../sample-unit';
import { solveWithNgspice } from './ngspice';

/** ngspice, a circuit simulator of general purpose, judges the volts of both nets with the relays as they have settled. */
const plates = (['aquastat', 'sensor'] as const).map((cylinderControl) =>
  plateOf(sampleUnit(systemBoiler, { input: '24000', cylinderControl })),
);

/** Every state that a check of volts is taken in. */
const states = [
  ...new Map(
    systemBoiler.checkIds
      .map((id) => systemBoiler.check(id))
      .filter(({ quantity }) => quantity === 'voltage-ac')
      .map(({ state }): ChainSetting =>
        settingOf({ controls: state?.controls ?? {}, apart: [], done: [], known: {} }),
      )
      .map((set) => [JSON.stringify(set), set] as const),
  ).values(),
];
const pairs = systemBoiler.checkIds.flatMap((id) => {
  const { between, quantity } = systemBoiler.check(id);
  return between && quantity === 'voltage-ac' ? [between] : [];
});

describe('the chain agrees with ngspice', () => {
  it('in more than one state of its relays', () => {
    expect(states.length).toBeGreaterThan(2);
    expect(pairs.length).toBeGreaterThan(12);
  });

  it.each(plates.map((plate) => [plate.cylinderControl, plate] as const))(
    'cylinder by %s: every fault, every state, every pair of a check',
    (_, plate) => {
      const chain = chainOf(plate);
      const cases = faults(plate).flatMap(({ variants }) =>
        variants.flatMap(({ changes }) =>
          states.map((set) => ({
            set,
            elements: changed(goodElements(plate), changes, ends) as Elements,
          })),
        ),
      );
      const solved = cases.map(({ elements, set }) => {
        const at = chain.solve(elements, set);
        const picked = new Map(
          (['zone-1', 'zone-2', 'zone-dhw'] as const).map((each) => [each, at.isPicked(each)]),
        );
        return {
          emf: at.emfVolt,
          picked,
          volts: pairs.map(([from, to]) => at.volt(from, to)),
        };
      });
      for (const net of ['line', 'low'] as const) {
        const netlists = cases.map(({ elements: e, set }, k): Netlist => {
          const { emf, picked } = solved[k]!;
          return {
            ground: net === 'line' ? 'feed.n' : 'panel.c',
            resistors: chain.branches
              .filter((each) => each.net === net)
              .map(({ id, from, to, ohm }) => ({
                id,
                from,
                to,
                ohm: Math.min(
                  openOhm,
                  ohm({ e, set, isPicked: (relay) => picked.get(relay)!, isDead: false }),
                ),
              })),
            sources: [
              net === 'line'
                ? { id: 'feed', node: 'feed.l', volt: plate.lineVolt * e['feed.share'] }
                : { id: 'emf', node: 'transformer.emf', volt: emf },
            ],
          };
        });
        const own = pairs.filter(([from]) => chain.netOf(from) === net);
        const judged = solveWithNgspice(netlists, () => [...new Set(own.flat())]);
        judged.forEach((nodes, k) => {
          own.forEach(([from, to]) => {
            const found = solved[k]!.volts[pairs.findIndex(([a, b]) => a === from && b === to)];
            const other = Math.abs((nodes.get(from) ?? 0) - (nodes.get(to) ?? 0));
            expect(Math.abs((found ?? NaN) - other)).toBeLessThan(0.01);
          });
        });
      }
    },
    240_000,
  );
});
