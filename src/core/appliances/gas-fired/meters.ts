import type { MeterModel } from '../../diagnosis/model';
import type { Quantity } from '../../quantities';
import { meterOf, meters } from '../kit/meters';

/** One reading in twenty that goes wrong shows over range. Common practice. */
const meter = meterOf(0.05);

/** How instruments err on water, gas and flue gas. Common practice. */
const fireMeters: Partial<Record<Quantity, MeterModel>> = {
  ...meters,
  temperature: { ...meters.temperature, most: 110 },
  'temperature-difference': meter('temperature-difference', 0.02, 1, 90, -90),
  'temperature-rate': meter('temperature-rate', 0.06, 4, 200, -60),
  'voltage-dc': meter('voltage-dc', 0.02, 0.3, 60),
  'current-dc': meter('current-dc', 0.07, 0.15e-6, 50e-6),
  'pressure-difference': meter('pressure-difference', 0.02, 25, 6000),
  pressure: meter('pressure', 0.02, 8e3, 1.5e6),
  flow: meter('flow', 0.05, 0.15, 40),
  'volume-flow': meter('volume-flow', 0.035, 0.02, 12),
  percent: meter('percent', 0.02, 0.15, 100),
  ratio: meter('ratio', 0.12, 0.0002, 0.2),
  time: meter('time', 0.08, 2, 600),
  length: meter('length', 0.01, 0.8, 60),
  power: meter('power', 0.03, 2, 300),
};

/** A flow that is read off a display is as good as its last digit; one from a bucket and a watch is not. */
const ofDisplay = meter('shown-flow', 0.01, 0.15, 40);
const shownFlows = new Set(['display-flow', 'display-flow-service-port', 'display-tap-flow']);

export const fireMeterOf = (check: string | undefined, quantity: Quantity): MeterModel =>
  check !== undefined && shownFlows.has(check)
    ? ofDisplay
    : check === 'fan-speed-percent'
      ? meter('fan-speed', 0.03, 4, 110)
      : (fireMeters[quantity] ?? meter(quantity, 0.05, 1, 1e5));
