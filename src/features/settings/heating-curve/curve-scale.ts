import type { CurveEnd } from '@/core/settings';

/** Where degrees stand in the drawing of a heating curve, and how far its two ends may be moved. */

export const size = { width: 440, height: 300, left: 46, right: 14, top: 16, bottom: 40 };
export const outdoors = { least: -25, most: 25 };
export const supplies = { least: 20, most: 95 };

/** Round numbers of the scale that is read. */
export const ticks = {
  metric: { supply: [20, 40, 60, 80], outdoor: [-20, -10, 0, 10, 20] },
  us: { supply: [80, 120, 160, 200], outdoor: [0, 20, 40, 60] },
} as const;

export const xOf = (celsius: number) =>
  size.left +
  ((celsius - outdoors.least) / (outdoors.most - outdoors.least)) *
    (size.width - size.left - size.right);
export const yOf = (celsius: number) =>
  size.top +
  ((supplies.most - celsius) / (supplies.most - supplies.least)) *
    (size.height - size.top - size.bottom);
export const outdoorAt = (x: number) =>
  outdoors.least +
  ((x - size.left) / (size.width - size.left - size.right)) * (outdoors.most - outdoors.least);
export const supplyAt = (y: number) =>
  supplies.most -
  ((y - size.top) / (size.height - size.top - size.bottom)) * (supplies.most - supplies.least);

export type Ends = Readonly<Record<CurveEnd, number>>;
export interface Handle {
  readonly words: string;
  readonly outdoor: CurveEnd;
  readonly supply: CurveEnd;
}
export const handles: readonly Handle[] = [
  { words: 'Coldest day', outdoor: 'outdoorDesign', supply: 'supplyAtDesign' },
  { words: 'Mildest day', outdoor: 'outdoorMild', supply: 'supplyAtMild' },
];

/** Where a handle may stand: as the sheet takes it, and never past the other end. */
export const bounds: Readonly<Record<CurveEnd, readonly [number, number]>> = {
  outdoorDesign: [-25, 8],
  outdoorMild: [10, 25],
  supplyAtDesign: [30, 90],
  supplyAtMild: [20, 65],
};
