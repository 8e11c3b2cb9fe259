import { describe, expect, it } from 'vitest';
import { familyList, loadFamily } from '../../core/appliances';
import { cropBox, pathOf } from './plan';
import type { View } from './view';
import { isTankWithin, partWithin } from './within-view';

const families = (await Promise.all(familyList.map(({ id }) => loadFamily(id)))).filter(
  (each) => each !== undefined,
);

const isIn = (view: View, { x, y }: { x: number; y: number }) =>
  x >= view.x && x <= view.x + view.width && y >= view.y && y <= view.y + view.height;

describe.each(families)('a crop of the drawing of $id', (family) => {
  const { drawing } = family;
  const probed = Object.keys(family.checks)
    .map((each) => family.check(each).between ?? [family.check(each).point ?? ''])
    .filter((each) => each.every((id) => drawing.terminals[id] ?? drawing.points?.[id]));

  it('has every screw, point, joint, lamp and symbol that lies in it, and every wire that ends or bends there', () => {
    expect(probed.length).toBeGreaterThan(1);
    for (const probes of probed) {
      const view = cropBox(family, probes, undefined);
      const part = partWithin(family, view);
      const leftOut = [
        ...Object.entries(drawing.terminals).filter(([id]) => !part.terminals[id]),
        ...Object.entries(drawing.points ?? {}).filter(([id]) => !part.points?.[id]),
      ].map(([, each]) => each);
      const others = [
        ...drawing.joints.filter((each) => !part.joints.includes(each)),
        ...(drawing.lamps ?? []).filter((each) => !part.lamps?.includes(each)),
        ...(drawing.symbols ?? []).filter((each) => !part.symbols?.includes(each)),
      ];
      const corners = Object.keys(drawing.routes)
        .filter((wire) => !part.routes[wire])
        .flatMap((wire) => pathOf(family, wire));
      expect([...leftOut, ...others, ...corners].filter((each) => isIn(view, each))).toEqual([]);
    }
  });

  it('leaves out the most of it', () => {
    const whole = Object.keys(drawing.terminals).length + Object.keys(drawing.routes).length;
    const least = probed.map((probes) => {
      const { terminals, routes } = partWithin(family, cropBox(family, probes, undefined));
      return Object.keys(terminals).length + Object.keys(routes).length;
    });
    expect(Math.min(...least)).toBeLessThan(whole / 2);
  });
});

describe('the tank in a crop', () => {
  const heater = families.find((each) => each.id === 'electric-storage-two-element')!;
  const { tank } = heater.drawing;

  it('is there where its edge or the screws of an element are seen, and not beside the supply', () => {
    expect(isTankWithin(heater, { ...tank!, width: 10, height: 10 })).toBe(true);
    expect(isTankWithin(heater, cropBox(heater, ['lower-element.a'], undefined))).toBe(true);
    expect(isTankWithin(heater, { x: -400, y: 0, width: 100, height: 100 })).toBe(false);
  });

  it('is none where a family has none', () => {
    for (const family of families.filter((each) => !each.drawing.tank)) {
      expect(isTankWithin(family, { x: 0, y: 0, width: 5000, height: 5000 })).toBe(false);
    }
  });
});
