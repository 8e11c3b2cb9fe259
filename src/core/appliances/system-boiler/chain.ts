import {
  numberNodes,
  openOhm,
  reusedSolver,
  settleRelays,
  type Relay,
  type SolvedCircuit,
} from '../../circuit';
import { goodCoilOhm, type Elements } from './elements';
import type { SystemPlate } from './plate';

/**
 * The low-voltage chain: a line net with transformer, pumps and the line poles of the relays, and a 24 V net with thermostats,
 * coils, end switches and the boiler's own chain. Each has its own ground; the transformer couples them by a number. Relays are
 * settled over both.
 */
export type NetName = 'line' | 'low';
type RelayName = 'zone-1' | 'zone-2' | 'zone-dhw';

/** How the chain stands beside what it is made of. */
export interface ChainSetting {
  readonly isPowered: boolean;
  readonly isZone1Up: boolean;
  readonly isZone2Up: boolean;
  readonly isAquastatUp: boolean;
  readonly isFuseOut: boolean;
  readonly jumper: 'none' | 'zone-1' | 'tt';
  readonly lifted: readonly string[];
}

interface Given {
  readonly e: Elements;
  readonly set: ChainSetting;
  isPicked(relay: RelayName): boolean;
  /** Ohms as a meter sees them with the power off. */
  readonly isDead: boolean;
}

export interface Branch {
  readonly id: string;
  readonly net: NetName;
  readonly from: string;
  readonly to: string;
  /** The conductor that it is, which may be lifted. */
  readonly wire?: string;
  ohm(given: Given): number;
}

const wireOhm = 0.1;
const strapOhm = 0.02;
/** What an ohmmeter sees of a coil, of a pump and of a primary winding, as shares of what they are worth alive. */
const deadShares = { coil: 150 / 350, pump: 30 / 170, primary: 20 / 1500 } as const;
const pumpOhm = 170;
const primaryOhm = 1500;
/** Seen through the board: its own supply floats to an ohmmeter. */
const senseOhm = { call: 1000, chain: 500 } as const;
const leastPascal = 5e4;

const wire = (net: NetName, id: string, from: string, to: string): Branch => ({
  id,
  net,
  from,
  to,
  wire: id,
  ohm: () => wireOhm,
});
const strap = (net: NetName, id: string, from: string, to: string): Branch => ({
  ...wire(net, id, from, to),
  ohm: () => strapOhm,
});
/** A contact with its ohms closed and open. */
const contact = (
  net: NetName,
  id: string,
  from: string,
  to: string,
  isClosed: (given: Given) => boolean,
  closedOhm: (e: Elements) => number = () => 0.05,
  restOhm: (e: Elements) => number = () => openOhm,
): Branch => ({
  id,
  net,
  from,
  to,
  ohm: (given) => (isClosed(given) ? closedOhm(given.e) : restOhm(given.e)),
});
const coil = (id: string, from: string, ohm: (e: Elements) => number): Branch => ({
  id,
  net: 'low',
  from,
  to: 'panel.c',
  ohm: ({ e, isDead }) => (isDead ? deadShares.coil : 1) * ohm(e),
});
const crossed = (id: string, from: string, to: string): Branch => ({
  id,
  net: 'low',
  from,
  to,
  ohm: ({ e }) => (e['wiring.crossed'] > 0.5 ? wireOhm : openOhm),
});
const pump = (id: string, from: string): Branch => ({
  id,
  net: 'line',
  from,
  to: 'panel.n',
  ohm: ({ isDead }) => (isDead ? deadShares.pump : 1) * pumpOhm,
});

const line: readonly Branch[] = [
  {
    id: 'line-switch',
    net: 'line',
    from: 'feed.l',
    to: 'switch.out',
    ohm: ({ e, set }) => (set.isPowered ? e['line-switch.ohm'] : openOhm),
  },
  { ...wire('line', 'w-line', 'switch.out', 'panel.l'), ohm: ({ e }) => e['w-line.ohm'] },
  wire('line', 'w-neutral', 'feed.n', 'panel.n'),
  wire('line', 'w-primary-1', 'panel.l', 'transformer.p1'),
  wire('line', 'w-primary-2', 'panel.n', 'transformer.p2'),
  {
    id: 'transformer-primary',
    net: 'line',
    from: 'transformer.p1',
    to: 'transformer.p2',
    ohm: ({ isDead }) => (isDead ? deadShares.primary : 1) * primaryOhm,
  },
  contact(
    'line',
    'priority',
    'panel.l',
    'panel.l-heat',
    ({ isPicked }) => !isPicked('zone-dhw'),
    (e) => e['priority.closed-ohm'],
  ),
  contact(
    'line',
    'pump-contact-1',
    'panel.l-heat',
    'zone-1.pump',
    ({ isPicked }) => isPicked('zone-1'),
    (e) => e['pump-contact-1.closed-ohm'],
    (e) => e['pump-contact-1.open-ohm'],
  ),
  contact('line', 'pump-contact-2', 'panel.l-heat', 'zone-2.pump', ({ isPicked }) =>
    isPicked('zone-2'),
  ),
  contact('line', 'pump-contact-dhw', 'panel.l', 'zone-dhw.pump', ({ isPicked }) =>
    isPicked('zone-dhw'),
  ),
  pump('zone-pump-1', 'zone-1.pump'),
  pump('zone-pump-2', 'zone-2.pump'),
  pump('cylinder-pump', 'zone-dhw.pump'),
  wire('line', 'bond', 'earth', 'feed.earth'),
  strap('line', 'service-bond', 'feed.earth', 'feed.n'),
];

const low: readonly Branch[] = [
  {
    id: 'transformer-secondary',
    net: 'low',
    from: 'transformer.emf',
    to: 'transformer.s1',
    ohm: ({ e }) => e['transformer-secondary.ohm'],
  },
  strap('low', 'strap-common', 'transformer.s2', 'panel.c'),
  {
    id: 'panel-fuse',
    net: 'low',
    from: 'transformer.s1',
    to: 'panel.r',
    ohm: ({ e, set }) => (set.isFuseOut ? openOhm : e['panel-fuse.ohm']),
  },
  {
    id: 'panel-joint',
    net: 'low',
    from: 'panel.r',
    to: 'panel.bus',
    ohm: ({ e }) => e['panel-joint.ohm'],
  },
  strap('low', 'strap-1', 'panel.bus', 'zone-1.r'),
  strap('low', 'strap-2', 'panel.bus', 'zone-2.r'),
  strap('low', 'strap-dhw', 'panel.bus', 'zone-dhw.r'),
  {
    ...wire('low', 'w-zone-1-r', 'zone-1.r', 'thermostat-1.r'),
    ohm: ({ e }) => e['w-zone-1.ohm'],
  },
  contact(
    'low',
    'thermostat-1',
    'thermostat-1.r',
    'thermostat-1.w',
    ({ set }) => set.isZone1Up,
    (e) => e['thermostat-1.closed-ohm'],
    (e) => e['thermostat-1.open-ohm'],
  ),
  wire('low', 'w-zone-1-w', 'thermostat-1.w', 'zone-1.w'),
  wire('low', 'w-zone-2-r', 'zone-2.r', 'thermostat-2.r'),
  contact('low', 'thermostat-2', 'thermostat-2.r', 'thermostat-2.w', ({ set }) => set.isZone2Up),
  wire('low', 'w-zone-2-w', 'thermostat-2.w', 'zone-2.w'),
  {
    id: 'zone-1-pair',
    net: 'low',
    from: 'thermostat-1.r',
    to: 'thermostat-1.w',
    ohm: ({ e }) => e['zone-1-pair.ohm'],
  },
  {
    id: 'zone-1-to-common',
    net: 'low',
    from: 'zone-1.r',
    to: 'panel.c',
    ohm: ({ e }) => e['zone-1-to-common.ohm'],
  },
  {
    id: 'jumper-zone-1',
    net: 'low',
    from: 'zone-1.r',
    to: 'zone-1.w',
    ohm: ({ set }) => (set.jumper === 'zone-1' ? wireOhm : openOhm),
  },
  coil('coil-1', 'zone-1.w', (e) => e['coil-1.ohm']),
  coil('coil-2', 'zone-2.w', () => goodCoilOhm),
  strap('low', 'strap-out', 'panel.bus', 'panel.r-out'),
  strap('low', 'strap-out-common', 'panel.c', 'panel.c-out'),
  { ...wire('low', 'w-24v', 'panel.r-out', 'boiler.r'), ohm: ({ e }) => e['w-24v.ohm'] },
  wire('low', 'w-24v-common', 'panel.c-out', 'boiler.c'),
  contact(
    'low',
    'end-heat',
    'end-heat.x1',
    'end-heat.x2',
    ({ isPicked }) => isPicked('zone-1') || isPicked('zone-2'),
    (e) => e['end-heat.closed-ohm'],
    (e) => e['end-heat.open-ohm'],
  ),
  { ...wire('low', 'w-call-1', 'end-heat.x1', 'boiler.tt-1'), ohm: ({ e }) => e['w-call-1.ohm'] },
  { ...wire('low', 'w-call-2', 'end-heat.x2', 'boiler.tt-2'), ohm: ({ e }) => e['w-call-2.ohm'] },
  strap('low', 'strap-tt', 'boiler.tt-2', 'boiler.c'),
  {
    id: 'jumper-tt',
    net: 'low',
    from: 'boiler.tt-1',
    to: 'boiler.tt-2',
    ohm: ({ set }) => (set.jumper === 'tt' ? wireOhm : openOhm),
  },
  {
    ...wire('low', 'boiler-fuse', 'boiler.r', 'boiler.r-fused'),
    ohm: ({ e }) => e['boiler-fuse.ohm'],
  },
  {
    id: 'board-load',
    net: 'low',
    from: 'boiler.r-fused',
    to: 'boiler.c',
    ohm: ({ e, isDead }) => (isDead ? openOhm : e['board.ohm']),
  },
  {
    id: 'tt-source',
    net: 'low',
    from: 'boiler.r-fused',
    to: 'boiler.tt-1',
    ohm: () => senseOhm.call,
  },
  {
    id: 'limit',
    net: 'low',
    from: 'boiler.r-fused',
    to: 'limit.out',
    ohm: ({ e }) => e['limit.ohm'],
  },
  contact(
    'low',
    'pressure-switch',
    'limit.out',
    'pressure-switch.out',
    ({ e }) => e['system.pascal'] >= leastPascal,
  ),
  contact(
    'low',
    'drain-switch',
    'pressure-switch.out',
    'drain-switch.out',
    ({ e }) => e['drain.runs'] > 0.5,
  ),
  {
    id: 'chain-sense',
    net: 'low',
    from: 'drain-switch.out',
    to: 'boiler.c',
    ohm: () => senseOhm.chain,
  },
  crossed('cross-out-tt', 'panel.r-out', 'boiler.tt-1'),
  crossed('cross-x1-r', 'end-heat.x1', 'boiler.r'),
  crossed('cross-x2-c', 'end-heat.x2', 'boiler.c'),
];

/** The cylinder's own thermostat calls by a zone of the panel. */
const withAquastat: readonly Branch[] = [
  wire('low', 'w-dhw-r', 'zone-dhw.r', 'aquastat.r'),
  contact(
    'low',
    'aquastat',
    'aquastat.r',
    'aquastat.w',
    ({ set }) => set.isAquastatUp,
    (e) => e['aquastat.closed-ohm'],
    (e) => e['aquastat.open-ohm'],
  ),
  wire('low', 'w-dhw-w', 'aquastat.w', 'zone-dhw.w'),
  contact(
    'low',
    'end-dhw',
    'end-dhw.x1',
    'end-dhw.x2',
    ({ isPicked }) => isPicked('zone-dhw'),
    (e) => e['end-dhw.closed-ohm'],
  ),
  wire('low', 'w-dhw-call-1', 'end-dhw.x1', 'boiler.dhw-1'),
  wire('low', 'w-dhw-call-2', 'end-dhw.x2', 'boiler.dhw-2'),
  strap('low', 'strap-dhw-call', 'boiler.dhw-2', 'boiler.c'),
  {
    id: 'dhw-source',
    net: 'low',
    from: 'boiler.r-fused',
    to: 'boiler.dhw-1',
    ohm: () => senseOhm.call,
  },
];

export const branchesOf = ({ cylinderControl }: Pick<SystemPlate, 'cylinderControl'>) => [
  ...line,
  ...low,
  coil('coil-dhw', 'zone-dhw.w', () => goodCoilOhm),
  ...(cylinderControl === 'aquastat' ? withAquastat : []),
];

const relayNames: readonly RelayName[] = ['zone-1', 'zone-2', 'zone-dhw'];
/** 24 V coils: common practice. */
const relays: readonly Relay[] = relayNames.map((id) => ({ id, pickUpVolt: 18, dropOutVolt: 8 }));
/** Current of a coil beside that of a good one at the same volts. */
const pullOf = (relay: RelayName, e: Elements): number =>
  relay === 'zone-1' ? goodCoilOhm / e['coil-1.ohm'] : 1;
/** Unloaded a transformer gives more than its plate: from memory. */
const unloadedShare = 1.08;
const grounds: Readonly<Record<NetName, string>> = { line: 'feed.n', low: 'panel.c' };

export interface SolvedChain {
  /** Volts between two points; undefined where they lie in different nets: the reading floats. */
  volt(from: string, to: string): number | undefined;
  isPicked(relay: RelayName): boolean;
  readonly chatters: boolean;
  /** What the transformer is given for. */
  readonly emfVolt: number;
}

export interface Chain {
  readonly branches: readonly Branch[];
  /** The net that a point is in; undefined for one that hangs in none. */
  netOf(point: string): NetName | undefined;
  /** With its relays settled. Good until it is solved again. */
  solve(e: Elements, set: ChainSetting): SolvedChain;
  /** What an ohmmeter shows with the power off; undefined between nets. */
  ohm(e: Elements, set: ChainSetting, from: string, to: string): number | undefined;
}

/** The chain of a plate, to be solved again and again. */
export function chainOf(plate: Pick<SystemPlate, 'cylinderControl' | 'lineVolt'>): Chain {
  const branches = branchesOf(plate);
  const feeds = {
    line: { id: 'feed', node: 'feed.l', volt: 0 },
    low: { id: 'emf', node: 'transformer.emf', volt: 0 },
  };
  const nets = (['line', 'low'] as const).map((net) => {
    const own = branches.filter((each) => each.net === net);
    const numbering = numberNodes({
      ground: grounds[net],
      resistors: own.map(({ id, from, to }) => ({ id, from, to, ohm: wireOhm })),
      sources: [feeds[net]],
    });
    return {
      net,
      own,
      nodes: numbering.indexOf,
      solver: reusedSolver([feeds[net]], numbering),
      room: new Float64Array(own.length),
    };
  });
  const [lineNet, lowNet] = nets as [(typeof nets)[0], (typeof nets)[0]];
  const solveNet = ({ own, room, solver, net }: typeof lineNet, given: Given, volt: number) => {
    own.forEach(({ wire: id, ohm }, k) => {
      const isLifted = id !== undefined && given.set.lifted.includes(id);
      room[k] = isLifted ? openOhm : Math.min(openOhm, ohm(given));
    });
    feeds[net].volt = volt;
    return solver(room);
  };
  const netOf = (from: string, to: string) =>
    nets.find(({ nodes }) => nodes.has(from) && nodes.has(to));
  const pickedBy = (picked: readonly boolean[]) => (relay: RelayName) =>
    picked[relayNames.indexOf(relay)] ?? false;

  return {
    branches,
    netOf: (point) => nets.find(({ nodes }) => nodes.has(point))?.net,
    solve(e, set) {
      const feedVolt = plate.lineVolt * e['feed.share'];
      const settled = settleRelays(
        relays,
        relays.map(() => false),
        (picked) => {
          const given: Given = { e, set, isPicked: pickedBy(picked), isDead: false };
          const ofLine = solveNet(lineNet, given, feedVolt);
          const primary = ofLine.probeVoltage('transformer.p1', 'transformer.p2').value;
          const emf = (primary * 24 * unloadedShare) / plate.lineVolt;
          return { line: ofLine, low: solveNet(lowNet, given, emf), emf };
        },
        // What pulls is the current: an open coil has the volts over it, and stands still.
        ({ low: ofLow }) =>
          relayNames.map(
            (each) => ofLow.probeVoltage(`${each}.w`, 'panel.c').value * pullOf(each, e),
          ),
      );
      const { solved, picked, chatters } = settled;
      return {
        volt: (from, to) => {
          const net = netOf(from, to);
          return net && solved[net.net].probeVoltage(from, to).value;
        },
        isPicked: pickedBy(picked),
        chatters,
        emfVolt: solved.emf,
      };
    },
    ohm(e, set, from, to) {
      const net = netOf(from, to);
      if (!net) return undefined;
      const given: Given = {
        e,
        set: { ...set, isPowered: false },
        isPicked: () => false,
        isDead: true,
      };
      const solved: SolvedCircuit = solveNet(net, given, 0);
      return solved.probeResistance(from, to).value;
    },
  };
}
