import {
  fromKept,
  quantityTable,
  shownUnit,
  toKept,
  type Quantity,
  type UnitSystem,
} from '../core/quantities';

/** How a check's values are laid along its ruler: linear where good parts read, then a break, then wide. */
export interface RulerScale {
  /** 0 at the left end, 1 at the right end of the base line; values beyond an end stay at it. */
  place(value: number): number;
  readonly ticks: readonly RulerTick[];
  /** Where the linear part ends, or undefined without a break. */
  readonly breakAt?: number;
  /** Ohms have a cell of their own for over range. */
  readonly hasOverRange: boolean;
}

export interface RulerTick {
  readonly at: number;
  readonly size: 'unit' | 'five' | 'ten';
  readonly label?: string;
}

/** Share of the base line that the linear part takes where a wide part follows. */
const linearShare = 0.74;

/**
 * @param expected what a good part reads, in kept units; undefined where it reads over range.
 * @param system whose units the numbers under the ticks are in.
 */
export function rulerScale(
  quantity: Quantity,
  expected: number | undefined,
  system: UnitSystem,
): RulerScale {
  switch (quantity) {
    case 'resistance':
      if (expected === undefined) return insulationScale();
      return expected < 2 ? ohmScale(3) : ohmScale(niceEnd(expected * 2));
    case 'voltage-ac':
      return linearScale(0, niceEnd(Math.max(40, (expected ?? 240) * 1.25)));
    case 'current-ac':
      return linearScale(0, niceEnd(Math.max(10, (expected ?? 19) * 1.6)));
    case 'temperature':
      return temperatureScale(system);
    case 'temperature-difference':
      return differenceScale(system);
    default:
      return shownScale(quantity, expected, system);
  }
}

function niceEnd(value: number): number {
  const step = value <= 12 ? 2 : value <= 60 ? 5 : value <= 1000 ? 50 : 500;
  return Math.ceil(value / step) * step;
}

/** From cold to past the limit, with ticks at whole degrees of the reader's own scale. */
function temperatureScale(system: UnitSystem): RulerScale {
  const unit = shownUnit('temperature', system);
  const [from, to] = system === 'us' ? [30, 200] : [0, 90];
  const place = (kept: number) => clampUnit((fromKept(kept, unit) - from) / (to - from));
  const step = system === 'us' ? 5 : 2;
  return {
    place,
    hasOverRange: false,
    ticks: Array.from({ length: Math.floor((to - from) / step) + 1 }, (_, index): RulerTick => {
      const shown = from + index * step;
      const size = shown % (step * 10) === 0 ? 'ten' : shown % (step * 5) === 0 ? 'five' : 'unit';
      const isLabelled = shown % (step * (system === 'us' ? 4 : 5)) === 0;
      return {
        at: place(toKept(shown, unit)),
        size,
        label: isLabelled ? String(shown) : undefined,
      };
    }),
  };
}

/** Of anything else: from nothing to somewhat past what a good part reads, in the reader's own unit. */
function shownScale(
  quantity: Quantity,
  expected: number | undefined,
  system: UnitSystem,
): RulerScale {
  const unit = shownUnit(quantity, system);
  const most = niceEnd(Math.max(1, fromKept(expected ?? toKept(10, unit), unit) * 1.8));
  const place = (kept: number) => clampUnit(fromKept(kept, unit) / most);
  return {
    place,
    ticks: linearTicks(0, most, (shown) => place(toKept(shown, unit))),
    hasOverRange: quantityTable[quantity].goesOver,
  };
}

/** Either may be the warmer: nought stands in the middle. */
function differenceScale(system: UnitSystem): RulerScale {
  const unit = shownUnit('temperature-difference', system);
  const most = system === 'us' ? 50 : 25;
  const place = (kept: number) => clampUnit((fromKept(kept, unit) / most + 1) / 2);
  return {
    place,
    ticks: linearTicks(-most, most, (shown) => place(toKept(shown, unit))),
    hasOverRange: false,
  };
}

function linearScale(from: number, to: number): RulerScale {
  const place = (value: number) => clampUnit((value - from) / (to - from));
  return { place, ticks: linearTicks(from, to, place), hasOverRange: false };
}

function ohmScale(linearTo: number): RulerScale {
  const most = 1000;
  const wideFrom = linearTo * 1.2;
  const place = (value: number) => {
    if (value <= linearTo) return clampUnit((value / linearTo) * linearShare);
    const wide = Math.log(Math.max(value, wideFrom) / wideFrom) / Math.log(most / wideFrom);
    return clampUnit(linearShare + 0.03 + wide * (1 - linearShare - 0.03));
  };
  const decades = [10, 100, 1000].filter((each) => each > linearTo * 2);
  return {
    place,
    breakAt: linearShare + 0.012,
    ticks: [
      ...linearTicks(0, linearTo, place),
      ...decades.map((each): RulerTick => ({
        at: place(each),
        size: 'ten',
        label: each === 1000 ? '1 k' : String(each),
      })),
    ],
    hasOverRange: true,
  };
}

/** To the tank a good element reads over range: the scale runs from 1 Ω to 20 MΩ by decades. */
function insulationScale(): RulerScale {
  const place = (value: number) => clampUnit(Math.log10(Math.max(1, value)) / Math.log10(20e6));
  const labels: Readonly<Record<number, string>> = {
    0: '1',
    2: '100',
    3: '1 k',
    5: '100 k',
    6: '1 M',
  };
  return {
    place,
    ticks: Array.from({ length: 8 }, (_, decade): RulerTick => ({
      at: place(10 ** decade),
      size: labels[decade] === undefined ? 'unit' : 'ten',
      label: labels[decade],
    })),
    hasOverRange: true,
  };
}

function linearTicks(from: number, to: number, place: (value: number) => number): RulerTick[] {
  const span = to - from;
  const unit = span <= 3 ? 0.1 : span <= 12 ? 0.5 : span <= 70 ? 1 : span <= 1000 ? 10 : 100;
  return Array.from({ length: Math.round(span / unit) + 1 }, (_, index): RulerTick => {
    const value = from + index * unit;
    const size = index % 10 === 0 ? 'ten' : index % 5 === 0 ? 'five' : 'unit';
    const labelled = index % (span / unit > 45 ? 10 : 5) === 0;
    return {
      at: place(value),
      size,
      label: labelled ? String(Math.round(value * 10) / 10) : undefined,
    };
  });
}

const clampUnit = (share: number) => Math.min(1, Math.max(0, share));
