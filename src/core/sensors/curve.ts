/** How the ohms of a temperature sensor go with its temperature. */
export type SensorCurve =
  | { readonly kind: 'beta'; readonly ohm25: number; readonly betaKelvin: number }
  /** Points from cold to hot; between them ln R goes straight with 1/T, as a thermistor's does. */
  | {
      readonly kind: 'table';
      readonly points: readonly (readonly [celsius: number, ohm: number])[];
    }
  /** Platinum, by IEC 60751. */
  | { readonly kind: 'platinum'; readonly ohm0: number };

const kelvinOf = (celsius: number) => celsius + 273.15;
const platinum = { a: 3.9083e-3, b: -5.775e-7, c: -4.183e-12 } as const;

/** Ohms at a temperature, in °C. @throws RangeError below absolute zero, or outside a table by more than its end steps. */
export function ohmAt(curve: SensorCurve, celsius: number): number {
  if (!(celsius > -273.15)) throw new RangeError('a temperature stands above absolute zero');
  switch (curve.kind) {
    case 'beta':
      return curve.ohm25 * Math.exp(curve.betaKelvin * (1 / kelvinOf(celsius) - 1 / kelvinOf(25)));
    case 'platinum': {
      const { a, b, c } = platinum;
      const cubic = celsius < 0 ? c * (celsius - 100) * celsius ** 3 : 0;
      return curve.ohm0 * (1 + a * celsius + b * celsius ** 2 + cubic);
    }
    case 'table': {
      const [one, other] = stepOf(curve.points, ([at]) => at >= celsius);
      const [x, x1, x2] = [celsius, one[0], other[0]].map((each) => 1 / kelvinOf(each));
      const [y1, y2] = [Math.log(one[1]), Math.log(other[1])];
      return Math.exp(y1 + ((y2 - y1) * (x! - x1!)) / (x2! - x1!));
    }
  }
}

/** Temperature that ohms show, in °C. @throws RangeError for ohms that no such sensor has. */
export function celsiusAt(curve: SensorCurve, ohm: number): number {
  if (!(ohm > 0 && Number.isFinite(ohm))) throw new RangeError('a sensor has ohms above nought');
  switch (curve.kind) {
    case 'beta':
      return 1 / (Math.log(ohm / curve.ohm25) / curve.betaKelvin + 1 / kelvinOf(25)) - kelvinOf(0);
    case 'platinum': {
      // Newton, from the root of the quadratic: below freezing a little is left over.
      const { a, b } = platinum;
      const square = a ** 2 - 4 * b * (1 - ohm / curve.ohm0);
      if (square < 0) throw new RangeError('no platinum sensor has so many ohms');
      let celsius = (-a + Math.sqrt(square)) / (2 * b);
      for (let k = 0; k < 4; k++) {
        const slope = (ohmAt(curve, celsius + 0.01) - ohmAt(curve, celsius - 0.01)) / 0.02;
        celsius -= (ohmAt(curve, celsius) - ohm) / slope;
      }
      return celsius;
    }
    case 'table': {
      const falls = curve.points[0]![1] > curve.points.at(-1)![1];
      const [one, other] = stepOf(curve.points, ([, at]) => (falls ? at <= ohm : at >= ohm));
      const [y, y1, y2] = [ohm, one[1], other[1]].map(Math.log);
      const [x1, x2] = [1 / kelvinOf(one[0]), 1 / kelvinOf(other[0])];
      return 1 / (x1 + ((x2 - x1) * (y! - y1!)) / (y2! - y1!)) - kelvinOf(0);
    }
  }
}

type Point = readonly [celsius: number, ohm: number];

/** The two points that something lies between; the end ones for what lies outside. */
function stepOf(points: readonly Point[], isPast: (point: Point) => boolean): [Point, Point] {
  if (points.length < 2) throw new RangeError('a table has two points at least');
  const found = points.findIndex(isPast);
  const k = found === -1 ? points.length - 1 : Math.max(1, found);
  return [points[k - 1]!, points[k]!];
}
