/**
 * Layers of water, coldest at the bottom. `mass` in kg, `heat` in J/kg above water at 0 °C. The first and the last layer
 * share the mass of one: as water is drawn the first grows and the last shrinks, so that what is drawn moves as a plug and
 * nothing is smeared by the grid.
 */
export interface Layers {
  readonly mass: Float64Array;
  readonly heat: Float64Array;
}

/** Layers of equal mass with the given heats, from the bottom up. */
export function layersOf(kilogram: number, heats: readonly number[]): Layers {
  const count = heats.length;
  const each = kilogram / count;
  const mass = new Float64Array(count + 1).fill(each);
  mass[0] = 0;
  const heat = new Float64Array(count + 1);
  heat[0] = heats[0]!;
  heats.forEach((value, k) => (heat[k + 1] = value));
  return { mass, heat };
}

/** All heat in the water, in joules. */
export function heatIn({ mass, heat }: Layers): number {
  let sum = 0;
  for (let k = 0; k < mass.length; k++) sum += mass[k]! * heat[k]!;
  return sum;
}

/** Index of the layer at a height, 0 to 1. */
export function layerAt({ mass }: Layers, height: number): number {
  const inner = mass.length - 1;
  return Math.max(1, Math.min(inner, 1 + Math.floor(height * inner * 0.99999)));
}

/** Lets hotter water rise: layers that would lie below colder ones mix with them, until it is hottest at the top. */
export function settle({ mass, heat }: Layers): void {
  const count = heat.length;
  let k = 0;
  while (k < count - 1) {
    if (heat[k]! <= heat[k + 1]! || mass[k]! === 0) {
      k += 1;
      continue;
    }
    // A pool of mixed layers: it takes in what is colder above it and what is hotter below it.
    let [from, to] = [k, k + 1];
    let weight = mass[k]! + mass[k + 1]!;
    let sum = mass[k]! * heat[k]! + mass[k + 1]! * heat[k + 1]!;
    for (;;) {
      const mean = weight > 0 ? sum / weight : heat[k]!;
      if (to + 1 < count && heat[to + 1]! < mean) {
        to += 1;
        weight += mass[to]!;
        sum += mass[to]! * heat[to]!;
      } else if (from > 0 && mass[from - 1]! > 0 && heat[from - 1]! > mean) {
        from -= 1;
        weight += mass[from]!;
        sum += mass[from]! * heat[from]!;
      } else {
        for (let j = from; j <= to; j++) heat[j] = mean;
        break;
      }
    }
    k = to;
  }
}

/**
 * Draws from the top and lets as much in at the bottom; gives the heat that left, in joules. At most what the last layer
 * holds: a longer draw is several.
 */
export function drawUpward(layers: Layers, kilogram: number, coldHeat: number): number {
  const { mass, heat } = layers;
  const last = mass.length - 1;
  const left = kilogram * heat[last]!;
  heat[0] = (mass[0]! * heat[0]! + kilogram * coldHeat) / (mass[0]! + kilogram);
  mass[0]! += kilogram;
  mass[last]! -= kilogram;
  if (mass[last]! <= 1e-9) {
    mass[0]! += Math.max(0, mass[last]!);
    mass.copyWithin(1, 0, last);
    heat.copyWithin(1, 0, last);
    mass[0] = 0;
    heat[0] = heat[1]!;
  }
  return left;
}

/** Mixes the layers from `from` up to `to` by a share: 1 makes them one. */
export function mixZone({ mass, heat }: Layers, from: number, to: number, share: number): void {
  let weight = 0;
  let sum = 0;
  for (let k = from; k <= to; k++) {
    weight += mass[k]!;
    sum += mass[k]! * heat[k]!;
  }
  const mean = sum / weight;
  for (let k = from; k <= to; k++) heat[k]! += share * (mean - heat[k]!);
}
