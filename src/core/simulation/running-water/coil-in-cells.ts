/** An instantaneous heater at a tap: a coil of small bodies, and a control of its own. */
export interface SimulatedCoil {
  readonly litrePerMinute: number;
  readonly coldCelsius: number;
  readonly setCelsius: number;
  readonly mostWatt: number;
  readonly leastWatt: number;
  readonly ignitionSecond: number;
  readonly bodyJoulePerKelvin: number;
  readonly outletError: number;
  readonly inletError: number;
  /** Its wall is hotter than its water by so much for each kilowatt. */
  readonly scaleKelvinPerKilowatt: number;
  readonly flowGain: number;
}

const count = 5;
const wallLimitCelsius = 97;

export class CoilInCells {
  private readonly coil: number[];
  private watt = 0;
  private off = Infinity;
  private isWaiting = false;
  private sum = 0;
  second = 0;
  cuts = 0;

  constructor(private readonly of: SimulatedCoil) {
    this.coil = new Array<number>(count).fill(of.coldCelsius + 1);
  }

  get outCelsius(): number {
    return this.coil.at(-1)!;
  }
  get burningWatt(): number {
    return this.watt;
  }

  advance(seconds: number): void {
    for (let left = seconds; left > 1e-9; left -= 0.1) this.step(Math.min(0.1, left));
  }

  private step(dt: number): void {
    const { of } = this;
    const stream = (of.litrePerMinute / 60) * 4186;
    this.control(dt, stream);
    const body = of.bodyJoulePerKelvin / count;
    const before = [...this.coil];
    before.forEach((celsius, k) => {
      const from = k === 0 ? of.coldCelsius : before[k - 1]!;
      this.coil[k] = celsius + ((stream * (from - celsius) + this.watt / count) * dt) / body;
    });
    this.second += dt;
  }

  private control(dt: number, stream: number): void {
    const { of } = this;
    if (this.second < of.ignitionSecond) {
      this.watt = 0;
      return;
    }
    const error = of.setCelsius - (this.outCelsius + of.outletError);
    const wall = this.outCelsius + (of.scaleKelvinPerKilowatt * this.watt) / 1000;
    if (this.isWaiting) {
      this.off += dt;
      if (this.off < 6 || error < -1) {
        this.watt = 0;
        return;
      }
      this.isWaiting = false;
    }
    const shown = stream * of.flowGain;
    const asked = shown * (of.setCelsius - of.coldCelsius - of.inletError) + 900 * error + this.sum;
    if (asked > of.leastWatt && asked < of.mostWatt && Math.abs(error) < 12) {
      this.sum = Math.max(-14_000, Math.min(14_000, this.sum + 35 * error * dt));
    }
    const target = Math.max(of.leastWatt, Math.min(of.mostWatt, asked));
    this.watt += ((target - this.watt) * dt) / 2.5;
    if (this.watt < of.leastWatt) this.watt = of.leastWatt;
    if (wall > wallLimitCelsius || (asked <= of.leastWatt && error < -9)) {
      this.isWaiting = true;
      this.off = 0;
      this.watt = 0;
      this.cuts += 1;
    }
  }
}

export interface AtTheTap {
  readonly tap: number;
  readonly swing: number;
  readonly cuts: number;
  readonly meanWatt: number;
}

export function watchCoil(of: SimulatedCoil): AtTheTap {
  const coil = new CoilInCells(of);
  const taps: number[] = [];
  let watts = 0;
  for (let second = 0; second < 120; second++) {
    coil.advance(1);
    taps.push(coil.outCelsius);
    watts += coil.burningWatt / 120;
  }
  let top = -Infinity;
  let swing = 0;
  for (const celsius of taps.slice(40)) {
    top = Math.max(top, celsius);
    swing = Math.max(swing, top - celsius);
  }
  return {
    tap: taps.slice(80).reduce((sum, each) => sum + each / 40, 0),
    swing,
    cuts: coil.cuts,
    meanWatt: watts,
  };
}
