import { streamWattPerKelvin } from './properties';

/** What a control does about a tap, in watts to the water. Common practice; makes differ. */
export const tapControl = {
  /** For a kelvin off; and for each second that it stays off, as a share of what a kelvin takes at this flow. */
  wattPerKelvin: 700,
  sharePerSecond: 0.03,
  /** The memory works only this near to the setpoint, and goes no further than a share of the most. */
  nearKelvin: 8,
  mostMemoryShare: 0.35,
  /** Power follows what is asked of it as slowly as this, in seconds. */
  lagSecond: 4,
  /** With its power at its least: off so much over the setpoint, and on again so much over it. */
  overrunKelvin: 9,
  restartOverKelvin: 2,
} as const;

/** How a control keeps its flow temperature below a limit: it eases off ahead of it, or cuts and waits. Both are built. */
export interface FlowLimit {
  readonly celsius: number;
  readonly kind: 'eases' | 'cuts';
}

export const flowLimits = {
  easesOverKelvin: 6,
  cutsAboveKelvin: 1,
  restartBelowKelvin: 13,
  leastPauseSecond: 6,
} as const;

export interface BurnerRange {
  readonly mostWatt: number;
  readonly leastWatt: number;
}

/** A control with its memory; its own state is what makes it swing. */
export class TapControl {
  private memoryWatt = 0;
  private watt = 0;
  private offSince: number | undefined;
  private isWaiting: 'limit' | 'overrun' | undefined;
  cuts = 0;

  constructor(
    private readonly range: BurnerRange,
    private readonly limit: FlowLimit | undefined,
    /** Until the flame burns, after a tap was opened. */
    private readonly startSecond: number,
  ) {}

  /** Heat to the water over the next step, by what its sensors read. */
  step(
    setCelsius: number,
    inletCelsius: number,
    tapReadCelsius: number,
    flowReadCelsius: number,
    litrePerMinuteRead: number,
    second: number,
    stepSecond: number,
  ): number {
    const { mostWatt, leastWatt } = this.range;
    if (second < this.startSecond || !(mostWatt > 0)) return (this.watt = 0);
    const stream = streamWattPerKelvin(litrePerMinuteRead);
    const off = setCelsius - tapReadCelsius;
    const forward = stream * (setCelsius - inletCelsius) + tapControl.wattPerKelvin * off;
    const wanted = forward + this.memoryWatt;
    let target = Math.min(mostWatt, Math.max(leastWatt, wanted));
    const isAtStop = wanted <= leastWatt || wanted >= mostWatt;
    if (Math.abs(off) < tapControl.nearKelvin && !isAtStop) {
      const memory = this.memoryWatt + tapControl.sharePerSecond * stream * off * stepSecond;
      const most = tapControl.mostMemoryShare * mostWatt;
      this.memoryWatt = Math.max(-most, Math.min(most, memory));
    }
    if (this.limit?.kind === 'eases') {
      const left = (this.limit.celsius - flowReadCelsius) / flowLimits.easesOverKelvin;
      target = Math.min(target, Math.max(leastWatt, mostWatt * Math.min(1, left)));
    }
    this.cut(setCelsius, tapReadCelsius, flowReadCelsius, wanted <= leastWatt, second);
    if (this.isWaiting) return (this.watt = 0);
    this.watt = Math.max(
      this.watt === 0 ? leastWatt : 0,
      this.watt + ((target - this.watt) * stepSecond) / tapControl.lagSecond,
    );
    return this.watt;
  }

  /** Goes out over a limit, or where its least is too much; comes back once it may. */
  private cut(
    setCelsius: number,
    tapReadCelsius: number,
    flowReadCelsius: number,
    isAtLeast: boolean,
    second: number,
  ): void {
    const over = this.limit ? flowReadCelsius - this.limit.celsius : -Infinity;
    if (this.isWaiting) {
      const waited = second - this.offSince!;
      const isCool =
        this.isWaiting === 'limit'
          ? over < flowLimits.cutsAboveKelvin - flowLimits.restartBelowKelvin
          : tapReadCelsius < setCelsius + tapControl.restartOverKelvin;
      if (waited >= flowLimits.leastPauseSecond && isCool) this.isWaiting = undefined;
      return;
    }
    const reason =
      over > flowLimits.cutsAboveKelvin
        ? 'limit'
        : isAtLeast && tapReadCelsius > setCelsius + tapControl.overrunKelvin
          ? 'overrun'
          : undefined;
    if (!reason) return;
    this.isWaiting = reason;
    this.offSince = second;
    this.cuts += 1;
  }
}
