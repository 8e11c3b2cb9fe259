import { openOhm, type Netlist, type Resistor } from '../../circuit';

/**
 * The heater as one fixed circuit. Every fault is a change of branch resistances, every dial, breaker or lifted wire a
 * switch: nothing else is special-cased. Names of terminals and conductors are those of names.json.
 */

export interface Plate {
  readonly ratedVolt: number;
  readonly upperWatt: number;
  readonly lowerWatt: number;
  /** Split phase: two live legs. Single phase: leg 2 is the neutral. */
  readonly supply: 'split-phase' | 'single-phase';
  readonly nominalVolt: number;
  readonly volumeLitre: number;
}

export interface Branch {
  readonly id: string;
  readonly from: string;
  readonly to: string;
  /** Ohms of a good part with its switch closed. */
  ohm(plate: Plate): number;
  /** Spread of the true value, natural logarithm. */
  readonly tolerance: number;
  /** A crossed or leaking path: absent on a good unit. */
  readonly normallyOpen?: boolean;
}

const wire = (id: string, from: string, to: string): Branch => ({
  id,
  from,
  to,
  ohm: () => 0.01,
  tolerance: 0.5,
});
const contact = (id: string, from: string, to: string): Branch => ({
  id,
  from,
  to,
  ohm: () => 0.03,
  tolerance: 0.8,
});
const absent = (id: string, from: string, to: string): Branch => ({
  id,
  from,
  to,
  ohm: () => openOhm,
  tolerance: 0,
  normallyOpen: true,
});

export const elementOhm = (ratedVolt: number, watt: number): number => ratedVolt ** 2 / watt;

/** An element is two halves about a middle node, where a burst sheath leaks to the tank. */
function element(id: 'upper-element' | 'lower-element'): Branch[] {
  const half = (plate: Plate) =>
    elementOhm(plate.ratedVolt, id === 'upper-element' ? plate.upperWatt : plate.lowerWatt) / 2;
  return [
    { id: `${id}.a-half`, from: `${id}.a`, to: `${id}.middle`, ohm: half, tolerance: 0.012 },
    { id: `${id}.b-half`, from: `${id}.middle`, to: `${id}.b`, ohm: half, tolerance: 0.012 },
    { id: `${id}.leak`, from: `${id}.middle`, to: 'tank', ohm: () => openOhm, tolerance: 0 },
  ];
}

export const branches: readonly Branch[] = [
  { id: 'breaker-1', from: 'source.1', to: 'feed.1', ohm: () => 0.06, tolerance: 0.4 },
  { id: 'breaker-2', from: 'source.2', to: 'feed.2', ohm: () => 0.06, tolerance: 0.4 },
  wire('splice-1', 'feed.1', 'supply.1'),
  wire('splice-2', 'feed.2', 'supply.2'),
  { id: 'bond', from: 'earth', to: 'tank', ohm: () => 0.05, tolerance: 0.7 },
  wire('w-supply-1', 'supply.1', 'limit.1'),
  wire('w-supply-2', 'supply.2', 'limit.3'),
  contact('limit-pole-1', 'limit.1', 'limit.2'),
  contact('limit-pole-2', 'limit.3', 'limit.4'),
  wire('strap-limit', 'limit.2', 'upper-thermostat.1'),
  contact('upper-contact', 'upper-thermostat.1', 'upper-thermostat.2'),
  contact('changeover-contact', 'upper-thermostat.1', 'upper-thermostat.4'),
  wire('w-upper-a', 'upper-thermostat.2', 'upper-element.a'),
  wire('w-upper-b', 'limit.4', 'upper-element.b'),
  ...element('upper-element'),
  wire('w-lower-feed', 'upper-thermostat.4', 'lower-thermostat.1'),
  contact('lower-contact', 'lower-thermostat.1', 'lower-thermostat.2'),
  wire('w-lower-a', 'lower-thermostat.2', 'lower-element.a'),
  wire('w-lower-b', 'limit.4', 'lower-element.b'),
  ...element('lower-element'),
  absent('crossed-upper-a', 'upper-thermostat.4', 'upper-element.a'),
  absent('crossed-lower-feed', 'upper-thermostat.2', 'lower-thermostat.1'),
];

const branchIndex = new Map(branches.map((each, index) => [each.id, index]));

export function indexOfBranch(id: string): number {
  const index = branchIndex.get(id);
  if (index === undefined) throw new RangeError(`the heater has no branch "${id}"`);
  return index;
}

/** A crossed wire is lifted and clamped together with the one whose place it took. */
export const crossedTwin: Readonly<Record<string, string>> = {
  'w-upper-a': 'crossed-upper-a',
  'w-lower-feed': 'crossed-lower-feed',
};

export interface SwitchPositions {
  readonly breaker: 'on' | 'off';
  readonly limit: 'closed' | 'tripped';
  readonly upperThermostat: 'calling' | 'satisfied';
  readonly lowerThermostat: 'calling' | 'satisfied';
  /** Conductors with an end off its terminal. */
  readonly lifted: readonly string[];
}

/** What a fault does to a branch: a value of its own, a factor on its good value, or a contact that no longer moves. */
export type BranchChange =
  { readonly ohm: number } | { readonly factor: number } | 'open' | 'closed';

export type BranchChanges = Readonly<Record<string, BranchChange>>;

/** The circuit of a heater with the given faults in the given switch positions. */
export function buildNetlist(
  plate: Plate,
  changes: BranchChanges,
  switches: SwitchPositions,
): Netlist {
  const openBySwitch = branchesOpenedBy(switches);
  const resistors: Resistor[] = branches.map(({ id, from, to, ohm }) => ({
    id,
    from,
    to,
    ohm: branchOhm(ohm(plate), changes[id], openBySwitch.get(id)),
  }));
  const legVolt = plate.supply === 'split-phase' ? splitLegVolt(plate) : plate.nominalVolt;
  return {
    ground: 'earth',
    resistors,
    sources: [
      { id: 'leg-1', positive: 'source.1', negative: 'earth', volt: legVolt },
      {
        id: 'leg-2',
        positive: 'source.2',
        negative: 'earth',
        volt: plate.supply === 'split-phase' ? -legVolt : 0,
      },
    ],
  };
}

/** 240 V between the legs is 120 V on each. */
function splitLegVolt({ nominalVolt }: Plate): number {
  return nominalVolt / 2;
}

function branchOhm(
  good: number,
  change: BranchChange | undefined,
  openedBy: 'contact' | 'gap' | undefined,
): number {
  if (openedBy === 'gap') return openOhm;
  if (change === 'open') return openOhm;
  if (change === 'closed') return Math.min(good, 0.03);
  if (openedBy === 'contact') return openOhm;
  if (change === undefined) return good;
  return 'ohm' in change ? change.ohm : good * change.factor;
}

/**
 * Contacts are opened by what moves them, and a welded one overrules that. A breaker that is off, and the gap of a
 * lifted wire, nothing overrules.
 */
function branchesOpenedBy(switches: SwitchPositions): Map<string, 'contact' | 'gap'> {
  const opened = new Map<string, 'contact' | 'gap'>();
  if (switches.breaker === 'off') {
    opened.set('breaker-1', 'gap');
    opened.set('breaker-2', 'gap');
  }
  if (switches.limit === 'tripped') {
    opened.set('limit-pole-1', 'contact');
    opened.set('limit-pole-2', 'contact');
  }
  opened.set(
    switches.upperThermostat === 'calling' ? 'changeover-contact' : 'upper-contact',
    'contact',
  );
  if (switches.lowerThermostat === 'satisfied') opened.set('lower-contact', 'contact');
  for (const wireId of switches.lifted) {
    opened.set(wireId, 'gap');
    const twin = crossedTwin[wireId];
    if (twin) opened.set(twin, 'gap');
  }
  return opened;
}
