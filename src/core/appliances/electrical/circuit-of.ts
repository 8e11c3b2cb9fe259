import { openOhm, type Netlist } from '../../circuit';
import { legVolts, type Plate } from './plate';

/**
 * An electric heater as one fixed circuit. Every fault is a change of branch resistances, every dial, breaker or lifted
 * wire a switch: nothing else is special-cased. Names of terminals and conductors are those of the family's names.json.
 */
export interface Branch {
  readonly id: string;
  readonly from: string;
  readonly to: string;
  /** Ohms of a good part with its switch closed. */
  ohm(plate: Plate): number;
  /** Spread of the true value, natural logarithm. */
  readonly tolerance: number;
  /** What opens this contact, if anything does. */
  readonly openedBy?: Opener;
  /** The element whose true ohms this branch is half of. */
  readonly element?: string;
}

export type Opener =
  | 'breaker'
  | 'limit'
  | {
      readonly thermostat: string;
      readonly when: 'calling' | 'satisfied';
      /** A contact that a simultaneous heater replaces by a strap. */
      readonly strappedIfSimultaneous?: boolean;
    };

/** Spreads that practice meets, natural logarithm. */
export const wire = (id: string, from: string, to: string): Branch => ({
  id,
  from,
  to,
  ohm: () => 0.01,
  tolerance: 0.5,
});

export const contact = (id: string, from: string, to: string, openedBy: Opener): Branch => ({
  id,
  from,
  to,
  ohm: () => 0.03,
  tolerance: 0.8,
  openedBy,
});

export const breakerPole = (id: string, from: string, to: string): Branch => ({
  id,
  from,
  to,
  ohm: () => 0.06,
  tolerance: 0.4,
  openedBy: 'breaker',
});

/** A path that a good unit does not have: it is there for a fault to close. */
export const absent = (id: string, from: string, to: string): Branch => ({
  id,
  from,
  to,
  ohm: () => openOhm,
  tolerance: 0,
});

/** An element is two halves about a middle node, where a burst sheath leaks to the tank. */
export function elementBranches(element: string, part: string): Branch[] {
  const half = ({ ratedVolt, elementWatt }: Plate) => ratedVolt ** 2 / elementWatt[element]! / 2;
  return [
    {
      id: `${part}.a-half`,
      from: `${part}.a`,
      to: `${part}.middle`,
      ohm: half,
      tolerance: 0.012,
      element,
    },
    {
      id: `${part}.b-half`,
      from: `${part}.middle`,
      to: `${part}.b`,
      ohm: half,
      tolerance: 0.012,
      element,
    },
    absent(`${part}.leak`, `${part}.middle`, 'tank'),
  ];
}

/** What a fault does to a branch: a value of its own, a factor on its good value, or a contact that no longer moves. */
export type BranchChange =
  { readonly ohm: number } | { readonly factor: number } | 'open' | 'closed';

export type BranchChanges = Readonly<Record<string, BranchChange>>;

export interface SwitchPositions {
  readonly breaker: 'on' | 'off';
  readonly limit: 'closed' | 'tripped';
  /** By thermostat. */
  readonly thermostats: Readonly<Record<string, 'calling' | 'satisfied'>>;
  /** Conductors with an end off its terminal. */
  readonly lifted: readonly string[];
}

export interface Topology {
  readonly branches: readonly Branch[];
  /** A crossed wire is lifted and clamped together with the one whose place it took: branch by conductor. */
  readonly twins: Readonly<Record<string, string>>;
}

/** Ohms of every branch with its contacts closed, and what overrules a contact: open for good, or welded. */
export interface BranchOhms {
  readonly closed: Float64Array;
  /** 1 where a welded contact no longer opens. */
  readonly welded: Uint8Array;
}

export function branchOhms(
  { branches }: Topology,
  plate: Plate,
  changes: BranchChanges,
): BranchOhms {
  const welded = new Uint8Array(branches.length);
  const closed = Float64Array.from(branches, ({ id, ohm }, index) => {
    const change = changes[id];
    const good = ohm(plate);
    if (change === undefined) return good;
    if (change === 'open') return openOhm;
    if (change === 'closed') {
      welded[index] = 1;
      return Math.min(good, 0.03);
    }
    return 'ohm' in change ? change.ohm : good * change.factor;
  });
  return { closed, welded };
}

/** Whether a unit of this plate has a strap in place of a contact. */
export const isStrapped = (openedBy: Branch['openedBy'], { wiring }: Plate): boolean =>
  typeof openedBy === 'object' &&
  openedBy.strappedIfSimultaneous === true &&
  wiring === 'simultaneous';

/** Indexes of the branches that stand open: contacts by what moves them, and gaps that nothing overrules. */
export interface OpenBranches {
  readonly contacts: readonly number[];
  readonly gaps: readonly number[];
}

export function openBranches(
  { branches, twins }: Topology,
  plate: Plate,
  { breaker, limit, thermostats, lifted }: SwitchPositions,
): OpenBranches {
  const gone = new Set(lifted.flatMap((each) => (twins[each] ? [each, twins[each]] : [each])));
  const contacts: number[] = [];
  const gaps: number[] = [];
  branches.forEach(({ id, openedBy }, index) => {
    if (gone.has(id) || (openedBy === 'breaker' && breaker === 'off')) gaps.push(index);
    else if (openedBy === 'limit' && limit === 'tripped') contacts.push(index);
    else if (
      typeof openedBy === 'object' &&
      thermostats[openedBy.thermostat] === openedBy.when &&
      !isStrapped(openedBy, plate)
    )
      contacts.push(index);
  });
  return { contacts, gaps };
}

/** The ohms of the circuit with some branches open, in the room given. */
export function ohmsWith(
  { closed, welded }: BranchOhms,
  { contacts, gaps }: OpenBranches,
  room = new Float64Array(closed.length),
): Float64Array {
  room.set(closed);
  for (const index of contacts) if (welded[index] === 0) room[index] = openOhm;
  for (const index of gaps) room[index] = openOhm;
  return room;
}

export function sourcesOf(plate: Plate): Netlist['sources'] {
  return legVolts(plate).map((leg, index) => ({
    id: `leg-${index + 1}`,
    node: `source.${index + 1}`,
    ...leg,
  }));
}

/** The circuit of a heater with the given faults in the given switch positions. */
export function buildNetlist(
  topology: Topology,
  plate: Plate,
  changes: BranchChanges,
  positions: SwitchPositions,
): Netlist {
  const ohms = ohmsWith(
    branchOhms(topology, plate, changes),
    openBranches(topology, plate, positions),
  );
  return {
    ground: 'earth',
    resistors: topology.branches.map(({ id, from, to }, index) => ({
      id,
      from,
      to,
      ohm: ohms[index]!,
    })),
    sources: sourcesOf(plate),
  };
}
