import type { Drawing, Point } from '../../core/appliances';
import { pathOf, type Plan } from './plan';
import type { View } from './view';

/** How far a stroke, a screw or a mark reaches beyond the place that it is drawn at. */
const reach = 30;
/** The same of what has its name and state written beside it. */
const labelReach = 170;

/** The part of a drawing that is seen in a view, with what reaches into it from beside it. */
export function partWithin(plan: Plan, view: View): Drawing {
  const { drawing } = plan;
  const has = (points: readonly Point[], by = reach) => touches(widened(view, by), points);
  const boxHas = (box: View) => touches(widened(view, reach), cornersOf(box));
  const placed = <Each extends Point>(each: Each) => has([each]);
  const some = <Each extends Point>(record: Readonly<Record<string, Each>>) =>
    Object.fromEntries(Object.entries(record).filter(([, each]) => placed(each)));
  const { terminals } = drawing;
  return {
    ...drawing,
    terminals: some(terminals),
    points: drawing.points && some(drawing.points),
    routes: Object.fromEntries(
      Object.entries(drawing.routes).filter(([wire]) => has(pathOf(plan, wire))),
    ),
    joints: drawing.joints.filter(placed),
    contacts: drawing.contacts.filter(({ from, to }) => has([terminals[from]!, terminals[to]!])),
    breakers: drawing.breakers.filter(({ to }) => {
      const { x, y } = terminals[to]!;
      return has([
        { x: 0, y },
        { x, y },
      ]);
    }),
    boxes: drawing.boxes.filter(boxHas),
    vessels: drawing.vessels?.filter(boxHas),
    lamps: drawing.lamps?.filter((each) => has([each], labelReach)),
    paths: drawing.paths?.filter(({ corners }) => has(corners.map(([x, y]) => ({ x, y })))),
    symbols: drawing.symbols?.filter((each) => has([each], labelReach)),
  };
}

/** Whether anything of the tank, or of the elements in it, is seen. */
export function isTankWithin({ drawing }: Plan, view: View): boolean {
  const { tank, elements, terminals } = drawing;
  if (!tank) return false;
  const ends = elements.map(({ part }) => terminals[`${part}.a`]!);
  return touches(widened(view, reach), [...cornersOf(tank), ...ends]);
}

const widened = ({ x, y, width, height }: View, by: number): View => {
  // The box on the screen is not quite of a view's shape: a little more than the view is seen.
  const [moreX, moreY] = [by + width / 8, by + height / 8];
  return { x: x - moreX, y: y - moreY, width: width + 2 * moreX, height: height + 2 * moreY };
};

const cornersOf = ({ x, y, width, height }: View): Point[] => [
  { x, y },
  { x: x + width, y: y + height },
];

/** Whether the box round the points and the view have something in common. */
function touches(view: View, points: readonly Point[]): boolean {
  const xs = points.map((each) => each.x);
  const ys = points.map((each) => each.y);
  return (
    Math.min(...xs) <= view.x + view.width &&
    Math.max(...xs) >= view.x &&
    Math.min(...ys) <= view.y + view.height &&
    Math.max(...ys) >= view.y
  );
}
