import type { ApplianceFamily, Point } from '../../core/appliances';
import type { LiftedEnd } from '../../core/job-file';
import type { View } from './view';

/** Where things are on the drawing of a family. */
export type Plan = Pick<ApplianceFamily, 'drawing' | 'names'>;

/** The whole drawing, as it is seen first. */
export const wholeOf = ({ drawing }: Plan): View => ({
  x: 20,
  y: 0,
  width: drawing.width - 8,
  height: drawing.height,
});

export const endsOf = ({ names }: Plan, wire: string): readonly [string, string] =>
  names.conductors[wire]!;

/** A conductor's corners, end to end. */
export function pathOf(plan: Plan, wire: string): Point[] {
  const { terminals, routes } = plan.drawing;
  const [from, to] = endsOf(plan, wire);
  return [terminals[from]!, ...(routes[wire] ?? []).map(([x, y]) => ({ x, y })), terminals[to]!];
}

/** The middle of a conductor's last stretch, where a clamp or a label finds room. */
export function middleOf(plan: Plan, wire: string): Point {
  const points = pathOf(plan, wire);
  return between(points.at(-2)!, points.at(-1)!);
}

export const between = (one: Point, other: Point): Point => ({
  x: (one.x + other.x) / 2,
  y: (one.y + other.y) / 2,
});

export function lineOf({ drawing }: Plan, wire: string, points: readonly Point[]): string {
  const hop = drawing.hops.find((each) => each.conductor === wire);
  if (hop) {
    const [from, to] = [points[0]!, points.at(-1)!];
    return `M${from.x} ${from.y}H${hop.x - 9}a9 9 0 0 1 18 0H${to.x}`;
  }
  return points.map(({ x, y }, index) => `${index === 0 ? 'M' : 'L'}${x} ${y}`).join('');
}

/** A lifted wire stops short of its screw. */
export function shortened(points: readonly Point[], atStart: boolean): Point[] {
  const ordered = atStart ? [...points].reverse() : [...points];
  const end = ordered.pop()!;
  const before = ordered.at(-1)!;
  const length = Math.hypot(end.x - before.x, end.y - before.y);
  const back = Math.min(length - 4, 36);
  const cut = {
    x: end.x - ((end.x - before.x) / length) * back,
    y: end.y - ((end.y - before.y) / length) * back,
  };
  ordered.push(cut);
  return atStart ? ordered.reverse() : ordered;
}

/** How a lifted wire's free end is told from a terminal where both may be touched. */
export const freeEndId = ({ wire, end }: LiftedEnd): string => `${wire}@${end}`;

/** The free end that an id names, or undefined for a terminal. */
export function freeEndOf(id: string): LiftedEnd | undefined {
  const [wire, end] = id.split('@');
  return wire !== undefined && end !== undefined ? { wire, end } : undefined;
}

/** The free end of a lifted wire. */
export function freeEnd(plan: Plan, { wire, end }: LiftedEnd): Point {
  const points = pathOf(plan, wire);
  return endsOf(plan, wire)[0] === end
    ? shortened(points, true)[0]!
    : shortened(points, false).at(-1)!;
}

function longestStretch(plan: Plan, wire: string): Point {
  const points = pathOf(plan, wire);
  const length = (k: number) =>
    Math.hypot(points[k + 1]!.x - points[k]!.x, points[k + 1]!.y - points[k]!.y);
  let best = 0;
  for (let k = 1; k < points.length - 1; k++) if (length(k) > length(best)) best = k;
  return between(points[best]!, points[best + 1]!);
}

/** Where a branch of the circuit is seen: to mark what a suspect would have broken. */
export function placeOf(plan: Plan, branch: string): Point | undefined {
  const { drawing } = plan;
  if (branch in plan.names.conductors) return longestStretch(plan, branch);
  const contact = drawing.contacts.find((each) => each.branch === branch);
  const { terminals } = drawing;
  if (contact) {
    return { ...between(terminals[contact.from]!, terminals[contact.to]!) };
  }
  const pole = drawing.breakers.find((each) => each.branch === branch);
  if (pole) {
    const { x, y } = terminals[pole.to]!;
    return { x: x - 48, y };
  }
  const part = branch.split('.')[0]!;
  const place = drawing.places?.[branch] ?? drawing.places?.[part];
  if (place) return place;
  const [a, b] = [terminals[`${part}.a`], terminals[`${part}.b`]];
  return a && b ? { x: (drawing.tank?.x ?? 0) + 122, y: (a.y + b.y) / 2 } : undefined;
}

/** A crop round what is to be touched, for a small screen. */
export function cropBox(plan: Plan, probes: readonly string[], clampOn: string | undefined): View {
  const { drawing } = plan;
  const points = (
    clampOn
      ? [middleOf(plan, clampOn)]
      : probes.map((each) => drawing.terminals[each] ?? drawing.points?.[each])
  ).filter((each): each is NonNullable<typeof each> => each !== undefined);
  if (points.length === 0) return { ...wholeOf(plan), x: 0, width: drawing.width };
  const xs = points.map((each) => each.x);
  const ys = points.map((each) => each.y);
  const [width, height] = [230, 160];
  const spanX = Math.max(...xs) - Math.min(...xs);
  const spanY = Math.max(...ys) - Math.min(...ys);
  const scale = Math.max(1, (spanX + 90) / width, (spanY + 90) / height);
  const centreX = (Math.max(...xs) + Math.min(...xs)) / 2 + 14;
  const centreY = (Math.max(...ys) + Math.min(...ys)) / 2;
  return {
    x: centreX - (width * scale) / 2,
    y: centreY - (height * scale) / 2,
    width: width * scale,
    height: height * scale,
  };
}
