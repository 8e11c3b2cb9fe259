import { numberNodes, openOhm, reusedSolver, type SolvedCircuit } from '../../circuit';
import type { Elements } from './elements';
import type { GasPlate } from './plate';

/**
 * The millivolt circuit: a generator behind its own resistance, two leads, the roll-out cutout where the plate has it, two
 * joints at the valve, and the magnet (or the electronics) behind the energy cutoff. Direct current in a resistive net: the
 * solver of the heaters' mains serves it as it is.
 */
interface Branch {
  readonly id: string;
  readonly from: string;
  readonly to: string;
  ohm(elements: Elements): number;
}

const leadOhm = 1e-4;

const wire = (id: string, from: string, to: string): Branch => ({
  id,
  from,
  to,
  ohm: () => leadOhm,
});

export function branchesOf({ rollOut }: GasPlate): readonly Branch[] {
  const inLead = rollOut === 'in-lead';
  const atValve = rollOut === 'own-leads';
  return [
    { id: 'generator', from: 'emf', to: 'generator.plus', ohm: (e) => e['generator.ohm'] },
    wire('w-tip', 'generator.plus', 'cutout.1'),
    {
      id: 'roll-out-cutout',
      from: 'cutout.1',
      to: 'cutout.2',
      ohm: (e) => (inLead ? e['cutout.ohm'] : leadOhm),
    },
    wire('w-cutout', 'cutout.2', 'lead.plus'),
    wire('w-return', 'generator.minus', 'lead.minus'),
    { id: 'joint-plus', from: 'lead.plus', to: 'valve.plus', ohm: (e) => e['joint.ohm'] / 2 },
    { id: 'joint-minus', from: 'lead.minus', to: 'valve.minus', ohm: (e) => e['joint.ohm'] / 2 },
    {
      id: 'valve-cutouts',
      from: 'valve.plus',
      to: 'holder',
      ohm: (e) => e['energy-cutoff.ohm'] + (atValve ? e['cutout.ohm'] : 0),
    },
    { id: 'magnet', from: 'holder', to: 'valve.minus', ohm: (e) => e['holder.ohm'] },
    { id: 'lead-leak', from: 'lead.plus', to: 'lead.minus', ohm: (e) => e['lead.leak-ohm'] },
    { id: 'sheath-leak', from: 'lead.plus', to: 'sheath', ohm: (e) => e['sheath.leak-ohm'] },
    wire('shield', 'sheath', 'lead.minus'),
  ];
}

export interface MillivoltCircuit {
  /**
   * Solves it with these ohms, some conductors lifted, for the given volts of the generator. Good until it is solved again.
   */
  solve(elements: Elements, lifted: readonly string[], emfVolt: number): SolvedCircuit;
}

/** The circuit of a plate, to be solved again and again. The generator's minus counts as ground. */
export function millivoltCircuit(plate: GasPlate): MillivoltCircuit {
  const branches = branchesOf(plate);
  const resistors = branches.map(({ id, from, to }) => ({ id, from, to, ohm: leadOhm }));
  const numbering = numberNodes({
    ground: 'generator.minus',
    resistors,
    sources: [{ id: 'emf', node: 'emf', volt: 1 }],
  });
  const source = { id: 'emf', node: 'emf', volt: 0 };
  const solver = reusedSolver([source], numbering);
  const room = new Float64Array(branches.length);
  return {
    solve(elements, lifted, emfVolt) {
      branches.forEach(({ id, ohm }, index) => {
        room[index] = lifted.includes(id) ? openOhm : Math.min(openOhm, ohm(elements));
      });
      source.volt = emfVolt;
      return solver(room);
    },
  };
}
