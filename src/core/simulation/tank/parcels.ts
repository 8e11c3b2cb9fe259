/**
 * Water of a simulated tank as parcels that lie on one another, the coldest at the bottom. It has no grid: what is drawn takes
 * parcels off the top, what comes in is a parcel at the bottom, what is heated rises until it meets hotter water. Written
 * apart from the model that reads logs (core/thermal/tank), with which it shares no line and no number.
 */
export interface Parcel {
  kilogram: number;
  celsius: number;
}

/** Specific heat of water, in J/(kg·K), 10 to 80 °C within half a percent: from a steam table, from memory. */
export const jouleForKelvin = 4184;

export const massOf = (parcels: readonly Parcel[]): number =>
  parcels.reduce((sum, each) => sum + each.kilogram, 0);

/** Index of the parcel in which so many kilograms from the bottom lie. */
export function parcelAt(parcels: readonly Parcel[], kilogram: number): number {
  let below = 0;
  for (let k = 0; k < parcels.length; k++) {
    below += parcels[k]!.kilogram;
    if (kilogram < below) return k;
  }
  return parcels.length - 1;
}

/** Cuts so that a parcel begins at so many kilograms from the bottom; gives its index. */
export function cutAt(parcels: Parcel[], kilogram: number): number {
  let below = 0;
  for (let k = 0; k < parcels.length; k++) {
    const { kilogram: own, celsius } = parcels[k]!;
    if (kilogram <= below + 1e-6) return k;
    if (kilogram < below + own - 1e-6) {
      parcels.splice(
        k,
        1,
        { kilogram: kilogram - below, celsius },
        { kilogram: below + own - kilogram, celsius },
      );
      return k + 1;
    }
    below += own;
  }
  return parcels.length - 1;
}

/** Takes water off the top; gives its mean temperature. */
export function takeTop(parcels: Parcel[], kilogram: number): number {
  let left = kilogram;
  let heat = 0;
  while (left > 0 && parcels.length > 0) {
    const top = parcels.at(-1)!;
    const taken = Math.min(left, top.kilogram);
    heat += taken * top.celsius;
    left -= taken;
    top.kilogram -= taken;
    if (top.kilogram < 1e-7 && parcels.length > 1) parcels.pop();
  }
  return heat / kilogram;
}

/** Joins what is hotter below with what is colder above; and, where there are many, neighbours that hardly differ. */
export function letRise(parcels: Parcel[]): void {
  joinWhere(parcels, (kelvin) => kelvin < 0);
  for (let hardly = 0.01; parcels.length > mostParcels; hardly *= 2) {
    joinWhere(parcels, (kelvin) => kelvin < hardly);
  }
}

const mostParcels = 120;

/** @param joins told by how much warmer the upper of two is. */
function joinWhere(parcels: Parcel[], joins: (kelvin: number) => boolean): void {
  for (let k = 1; k < parcels.length; k++) {
    while (k > 0 && k < parcels.length) {
      const [below, above] = [parcels[k - 1]!, parcels[k]!];
      if (!joins(above.celsius - below.celsius)) break;
      const kilogram = below.kilogram + above.kilogram;
      const celsius = (below.kilogram * below.celsius + above.kilogram * above.celsius) / kilogram;
      parcels.splice(k - 1, 2, { kilogram, celsius });
      k -= 1;
    }
  }
}

/** Heat that neighbours pass on, as a share of what would make them equal: steel and slow stirring. */
export function even(parcels: Parcel[], kilogramPassed: number): void {
  for (let k = 1; k < parcels.length; k++) {
    const [below, above] = [parcels[k - 1]!, parcels[k]!];
    const passed = Math.min(kilogramPassed, below.kilogram / 3, above.kilogram / 3);
    const kelvin = above.celsius - below.celsius;
    below.celsius += (passed * kelvin) / below.kilogram;
    above.celsius -= (passed * kelvin) / above.kilogram;
  }
}
