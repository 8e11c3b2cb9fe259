import type { ZonedUnit } from './unit';

/**
 * The 24 V ladder of a simulated boiler, apart from what the diagnosis solves it with: conductances between named points,
 * eliminated by rows, and relays that are looked at again until they stay.
 */
export interface LadderSetting {
  readonly isPowered: boolean;
  readonly zone1: boolean;
  readonly zone2: boolean;
  readonly cylinder: boolean;
  readonly isFuseOut: boolean;
  readonly jumper: string;
  readonly lifted: readonly string[];
}

export interface Ladder {
  volts(from: string, to: string): number;
  readonly zone1: boolean;
  readonly zone2: boolean;
  readonly cylinder: boolean;
  readonly boardVolt: number;
}

type Link = readonly [from: string, to: string, siemens: number];

const leak = 1e-9;

/** Volts of every point against the common, with one point held. */
function volts(links: readonly Link[], held: string, volt: number): Map<string, number> {
  const names = [...new Set(links.flatMap(([from, to]) => [from, to]))].filter(
    (each) => each !== 'c' && each !== held,
  );
  const index = new Map(names.map((each, k) => [each, k]));
  const rows = names.map(() => new Float64Array(names.length + 1));
  names.forEach((_, k) => (rows[k]![k]! += leak));
  for (const [from, to, siemens] of links) {
    for (const [one, other] of [
      [from, to],
      [to, from],
    ] as const) {
      const k = index.get(one);
      if (k === undefined) continue;
      rows[k]![k]! += siemens;
      const m = index.get(other);
      if (m !== undefined) rows[k]![m]! -= siemens;
      else if (other === held) rows[k]![names.length]! += siemens * volt;
    }
  }
  const size = names.length;
  for (let k = 0; k < size; k++) {
    for (let row = k + 1; row < size; row++) {
      const share = rows[row]![k]! / rows[k]![k]!;
      if (share === 0) continue;
      for (let column = k; column <= size; column++)
        rows[row]![column]! -= share * rows[k]![column]!;
    }
  }
  const found = new Map<string, number>([
    ['c', 0],
    [held, volt],
  ]);
  for (let k = size - 1; k >= 0; k--) {
    let sum = rows[k]![size]!;
    for (let column = k + 1; column < size; column++) {
      sum -= rows[k]![column]! * found.get(names[column]!)!;
    }
    found.set(names[k]!, sum / rows[k]![k]!);
  }
  return found;
}

/** Points of the ladder by the names of the terminals: what is strapped together is one point. */
const pointOf: Readonly<Record<string, string>> = {
  'transformer.s1': 's1',
  'transformer.s2': 'c',
  'panel.r': 'r',
  'panel.c': 'c',
  'panel.bus': 'bus',
  'panel.r-out': 'bus',
  'panel.c-out': 'c',
  'zone-1.r': 'bus',
  'zone-1.w': 'w1',
  'thermostat-1.r': 't1',
  'thermostat-1.w': 'w1',
  'zone-2.w': 'w2',
  'zone-dhw.w': 'wc',
  'end-heat.x1': 'x1',
  'end-heat.x2': 'x2',
  'end-dhw.x1': 'd1',
  'boiler.r': 'br',
  'boiler.c': 'c',
  'boiler.r-fused': 'brf',
  'boiler.tt-1': 'tt',
  'boiler.tt-2': 'c',
  'boiler.dhw-1': 'd1',
  'boiler.dhw-2': 'c',
  'limit.out': 'lim',
  'pressure-switch.out': 'pres',
  'drain-switch.out': 'chain',
};

export function ladderOf(unit: ZonedUnit, set: LadderSetting): Ladder {
  const { has } = unit;
  const isFed = set.isPowered && !has('supply.off') && !has('supply.joint-open');
  const emf = isFed ? unit.openVolt * unit.feedShare : 0;
  const lifted = (wire: string) => set.lifted.includes(wire);
  const fuse = set.isFuseOut || has('panel-fuse.blown') || has('w-zone-1.r-to-common');
  const swapped = has('wiring.swapped-after-work');
  const aquastat = unit.facts.cylinderControl === 'aquastat';
  const closed = 1 / unit.contactOhm;
  const wire = 1 / unit.wireOhm;
  let [zone1, zone2, cylinder] = [false, false, false];
  let at = new Map<string, number>();
  for (let tries = 0; tries < 6; tries++) {
    const links: Link[] = [];
    const put = (from: string, to: string, siemens: number, isThere = true) => {
      if (isThere) links.push([from, to, siemens]);
    };
    put('emf', 's1', 1 / unit.windingOhm, !has('transformer.open'));
    put('s1', 'r', 20, !fuse);
    put('r', 'bus', 1 / unit.jointOhm, Number.isFinite(unit.jointOhm));
    put('bus', 't1', wire, !has('w-zone-1.open') && !lifted('w-zone-1-r'));
    const contact1 = (set.zone1 && !has('thermostat-1.never-closes')) || has('thermostat-1.welded');
    put('t1', 'w1', closed, (contact1 || has('w-zone-1.shorted')) && !lifted('w-zone-1-w'));
    put('bus', 'w1', closed, set.jumper === 'zone-1');
    put('bus', 'c', 1, has('w-zone-1.r-to-common'));
    put('w1', 'c', 1 / unit.coilOhm, !has('zone-panel.relay-1-coil'));
    put('bus', 'w2', closed, set.zone2);
    put('w2', 'c', 1 / unit.coilOhm);
    const calls =
      aquastat &&
      ((set.cylinder && !has('cylinder-aquastat.never-closes')) || has('cylinder-aquastat.welded'));
    put('bus', 'wc', closed, calls);
    put('wc', 'c', 1 / unit.coilOhm);
    put('bus', 'br', 1 / unit.supplyWireOhm, Number.isFinite(unit.supplyWireOhm) && !swapped);
    put('br', 'brf', 20, !has('boiler-fuse.blown'));
    put('brf', 'c', 1 / unit.boardOhm);
    put('brf', 'tt', 1 / unit.callOhm);
    const end =
      ((zone1 || zone2) && !has('zone-panel.end-heat-open')) ||
      has('zone-panel.end-heat-welded') ||
      has('zone-panel.relay-1-welded');
    put('x1', 'x2', closed, end);
    put('x1', 'tt', wire, !has('w-call.open') && !swapped);
    put('x2', 'c', wire, true);
    put('x1', 'br', wire, swapped);
    put('bus', 'tt', wire, swapped);
    put('tt', 'c', closed, set.jumper === 'tt');
    put('brf', 'd1', 1 / unit.callOhm, aquastat);
    put('d1', 'c', closed, aquastat && cylinder && !has('zone-panel.end-dhw-open'));
    put('brf', 'lim', closed, !has('limit.tripped'));
    put('lim', 'pres', closed, unit.bar >= 0.5);
    put('pres', 'chain', closed, !has('condensate.blocked'));
    put('chain', 'c', 1 / unit.senseOhm);
    at = volts(links, 'emf', emf);
    const pulls = (point: string) => (at.get(point) ?? 0) > unit.pickUpVolt;
    const next = [
      pulls('w1') && !has('zone-panel.relay-1-coil'),
      pulls('w2'),
      pulls('wc'),
    ] as const;
    const isStill = next[0] === zone1 && next[1] === zone2 && next[2] === cylinder;
    [zone1, zone2, cylinder] = next;
    if (isStill) break;
  }
  return {
    volts(from, to) {
      const [one, other] = [from, to].map((each) => at.get(pointOf[each] ?? each) ?? 0);
      return Math.abs(one! - other!);
    },
    zone1,
    zone2,
    cylinder,
    boardVolt: at.get('brf') ?? 0,
  };
}
