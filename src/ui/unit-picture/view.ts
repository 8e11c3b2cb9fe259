import type { Point } from '../../core/appliances';

/** The part of a drawing that is seen, in its own units. */
export interface View extends Point {
  readonly width: number;
  readonly height: number;
}

/** How many times closer than the whole a picture may come. */
const closest = 6;

/** What is seen after coming `times` closer, with what is under `at` left where it is. */
export function closer(view: View, whole: View, times: number, at: Point): View {
  const width = Math.min(whole.width, Math.max(whole.width / closest, view.width / times));
  const ratio = width / view.width;
  return within(
    {
      x: at.x - (at.x - view.x) * ratio,
      y: at.y - (at.y - view.y) * ratio,
      width,
      height: (whole.height * width) / whole.width,
    },
    whole,
  );
}

/** The same view moved. */
export const moved = (view: View, whole: View, by: Point): View =>
  within({ ...view, x: view.x + by.x, y: view.y + by.y }, whole);

/** The same view with a point in its middle, where it was not seen. */
export function showing(view: View, whole: View, { x, y }: Point): View {
  const isSeen =
    x >= view.x && x <= view.x + view.width && y >= view.y && y <= view.y + view.height;
  return isSeen ? view : within({ ...view, x: x - view.width / 2, y: y - view.height / 2 }, whole);
}

/** Never beyond the edge of the drawing. */
function within(view: View, whole: View): View {
  const clamp = (value: number, least: number, most: number) =>
    Math.min(most, Math.max(least, value));
  return {
    ...view,
    x: clamp(view.x, whole.x, whole.x + whole.width - view.width),
    y: clamp(view.y, whole.y, whole.y + whole.height - view.height),
  };
}

/** Where a place on the screen is in the drawing, that is fitted into a box as large as it goes. */
export function placeIn(view: View, box: View, on: Point): Point {
  const scale = unitsPerPixel(view, box);
  return {
    x: view.x + view.width / 2 + (on.x - box.x - box.width / 2) * scale,
    y: view.y + view.height / 2 + (on.y - box.y - box.height / 2) * scale,
  };
}

export const unitsPerPixel = (view: View, box: View): number =>
  Math.max(view.width / box.width, view.height / box.height);
