/**
 * A boiler at a tap, cell by cell: the heat cell, the plates and the pipes between are rows of small bodies that water moves
 * through. No effectiveness, no lumped loop: nothing is shared with the model that is judged by it.
 */
export interface SimulatedLoop {
  readonly loopLitrePerMinute: number;
  /** Share that goes into the heating pipes instead of the plates. */
  readonly strays: number;
  /** Of all the plates together, W/K. */
  readonly transfer: number;
  readonly mostWatt: number;
  readonly leastWatt: number;
  readonly ignitionSecond: number;
  readonly setCelsius: number;
  readonly tapError: number;
  readonly flowError: number;
  readonly limitCelsius: number;
  readonly limitEases: boolean;
  readonly tapLitrePerMinute: number;
  readonly coldCelsius: number;
  readonly startCelsius: number;
}

const cellCount = 2;
const plateCount = 6;
const pipeCount = 3;
const wattSecondPerLitre = 4186;
/** Heat of the cell, of the plates' primary and tap water with their metal, and of the pipes, J/K. */
const bodies = { cell: 11_200, primary: 1700, tap: 2600, pipe: 3900 } as const;
const boilsCelsius = 102;

/** A boiler that goes on in time with its tap open. */
export class LoopInCells {
  private readonly cell: number[];
  private readonly primary: number[];
  private readonly tap: number[];
  private readonly pipe: number[];
  private watt = 0;
  private off = Infinity;
  private wait: 'limit' | 'tap' | undefined;
  private sum = 0;
  second = 0;
  cuts = 0;
  boils = false;

  constructor(private readonly of: SimulatedLoop) {
    this.cell = new Array<number>(cellCount).fill(of.startCelsius);
    this.primary = new Array<number>(plateCount).fill(of.startCelsius - 3);
    this.tap = new Array<number>(plateCount).fill(of.coldCelsius + 2);
    this.pipe = new Array<number>(pipeCount).fill(of.startCelsius - 2);
  }

  get flowCelsius(): number {
    return this.cell.at(-1)!;
  }
  get returnCelsius(): number {
    return this.pipe.at(-1)!;
  }
  get tapCelsius(): number {
    return this.tap.at(-1)!;
  }
  get burningWatt(): number {
    return this.watt;
  }

  advance(seconds: number): void {
    const step = 0.1;
    for (let left = seconds; left > 1e-9; left -= step) this.step(Math.min(step, left));
  }

  private step(dt: number): void {
    const { of } = this;
    this.control(dt);
    const loop = (of.loopLitrePerMinute / 60) * wattSecondPerLitre;
    const plates = loop * (1 - of.strays);
    const tapStream = (of.tapLitrePerMinute / 60) * wattSecondPerLitre;
    const each = this.of.transfer / plateCount;
    const move = (
      row: number[],
      inlet: number,
      stream: number,
      body: number,
      gain: (k: number) => number,
    ) => {
      const next = row.map((celsius, k) => {
        const from = k === 0 ? inlet : row[k - 1]!;
        return celsius + ((stream * (from - celsius) + gain(k)) * dt) / (body / row.length);
      });
      next.forEach((celsius, k) => (row[k] = celsius));
    };
    const flow = this.flowCelsius;
    const back = this.returnCelsius;
    // Counterflow: the first plate of the primary meets the last of the tap.
    const over = (k: number) => each * (this.primary[k]! - this.tap[plateCount - 1 - k]!);
    const handed = Array.from({ length: plateCount }, (_, k) => over(k));
    const out = this.primary.at(-1)!;
    move(this.primary, flow, plates, bodies.primary, (k) => -handed[k]!);
    move(this.tap, of.coldCelsius, tapStream, bodies.tap, (k) => handed[plateCount - 1 - k]!);
    const joined = out * (1 - of.strays) + 31 * of.strays;
    move(this.pipe, joined, loop, bodies.pipe, () => 0);
    move(this.cell, back, loop, bodies.cell, () => this.watt / cellCount);
    for (let k = 0; k < cellCount; k++) {
      if (this.cell[k]! > boilsCelsius) {
        this.cell[k] = boilsCelsius;
        this.boils = true;
      }
    }
    this.second += dt;
  }

  private control(dt: number): void {
    const { of } = this;
    if (this.second < of.ignitionSecond || !(of.mostWatt > 0)) {
      this.watt = 0;
      return;
    }
    const flow = this.flowCelsius + of.flowError;
    const error = of.setCelsius - (this.tapCelsius + of.tapError);
    if (this.wait) {
      this.off += dt;
      const isBack =
        this.wait === 'limit'
          ? flow < of.limitCelsius - 11 && this.off > 7
          : error > -1 && this.off > 5;
      if (!isBack) {
        this.watt = 0;
        return;
      }
      this.wait = undefined;
    }
    const stream = (of.tapLitrePerMinute / 60) * wattSecondPerLitre;
    let asked = stream * (of.setCelsius - of.coldCelsius) + 550 * error + this.sum;
    if (asked > of.leastWatt && asked < of.mostWatt && Math.abs(error) < 9) {
      this.sum = Math.max(-7000, Math.min(7000, this.sum + 15 * error * dt));
    }
    const isLeast = asked <= of.leastWatt;
    if (of.limitEases && flow > of.limitCelsius - 7) {
      asked = Math.min(
        asked,
        of.leastWatt + ((of.mostWatt - of.leastWatt) * (of.limitCelsius - flow)) / 7,
      );
    }
    const target = Math.max(of.leastWatt, Math.min(of.mostWatt, asked));
    this.watt += ((target - this.watt) * dt) / 3.5;
    if (this.watt < of.leastWatt) this.watt = of.leastWatt;
    if (flow > of.limitCelsius + 0.5) this.cut('limit');
    else if (isLeast && error < -8) this.cut('tap');
  }

  private cut(why: 'limit' | 'tap'): void {
    this.wait = why;
    this.off = 0;
    this.watt = 0;
    this.cuts += 1;
  }
}

/** What two minutes at a tap come to. */
export interface TwoMinutes {
  readonly rise: number;
  readonly peak: number;
  readonly cuts: number;
  readonly boils: boolean;
  readonly flow: number;
  readonly back: number;
  readonly tap: number;
  readonly swing: number;
  readonly meanWatt: number;
}

export function watchTwoMinutes(of: SimulatedLoop): TwoMinutes {
  const loop = new LoopInCells(of);
  const flows: number[] = [];
  const taps: number[] = [];
  const backs: number[] = [];
  let watts = 0;
  for (let second = 0; second < 120; second++) {
    loop.advance(1);
    flows.push(loop.flowCelsius + of.flowError);
    taps.push(loop.tapCelsius);
    backs.push(loop.returnCelsius);
    watts += loop.burningWatt / 120;
  }
  const late = (row: readonly number[]) => row.slice(80).reduce((sum, each) => sum + each / 40, 0);
  let rise = 0;
  for (let k = 10; k < 70; k++) rise = Math.max(rise, (flows[k]! - flows[k - 10]!) / 10);
  let top = -Infinity;
  let swing = 0;
  for (const celsius of taps.slice(40)) {
    top = Math.max(top, celsius);
    swing = Math.max(swing, top - celsius);
  }
  return {
    rise,
    peak: Math.max(...flows),
    cuts: loop.cuts,
    boils: loop.boils,
    flow: late(flows) - of.flowError,
    back: late(backs),
    tap: late(taps),
    swing,
    meanWatt: watts,
  };
}
