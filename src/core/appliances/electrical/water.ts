import {
  longest,
  runTank,
  showerOf,
  trueOverPlateVolume,
  usualLossWattPerKelvin,
  usualShower,
  type Power,
  type Shower,
  type ShowerWish,
  type TankCourse,
  type TankDesign,
  type TankResult,
} from '../../thermal/tank';
import type { KeyedTank } from '../kit/logged-water';
import { isDone, type UnitState } from '../kit/unit-state';
import type { Plate } from './plate';
import {
  breakerCycled,
  dialOf,
  isPowered,
  readDialOf,
  resetPressed,
  type Thermostat,
} from './state';
import type { TankGeometry } from './tank-geometry';
import type { UnitHypothesis } from './unit-hypothesis';

/** The water of a unit in time, under a hypothesis. */
export interface WaterView {
  /** What somebody has of it who showers, as it stands; with nothing wrong, what they had of it before. */
  shower(hypothesis: UnitHypothesis): Shower;
  usualShower: Shower;
  /** What a course comes to that starts as the hypothesis stands, with everything set as the state says. */
  course(hypothesis: UnitHypothesis, state: UnitState, course: FreeCourse): TankResult;
  /** The tank of a log under a hypothesis; equal keys have equal tanks. */
  logTank(hypothesis: UnitHypothesis, state: UnitState): KeyedTank;
  /** A shower as it stands, every half minute. */
  showerRun(hypothesis: UnitHypothesis, wish: ShowerWish): TankResult;
  /** The tank of a good unit with usual dials. */
  good(): { design: TankDesign; power: Power };
  /** The tank under a hypothesis, and the heat that its circuit gives it. */
  design(hypothesis: UnitHypothesis, state: UnitState): { design: TankDesign; power: Power };
}

export type FreeCourse = Omit<
  TankCourse,
  'power' | 'startCelsius' | 'coldCelsius' | 'roomCelsius'
> &
  Partial<Pick<TankCourse, 'startCelsius' | 'coldCelsius' | 'roomCelsius'>>;

/** Share of the tank that sediment takes, and how late an element tells through it or through scale. Common practice. */
const sediment = { share: 0.13, lagSecond: 700 } as const;
const scale = { share: 0.05, lagSecond: 700 } as const;
/** A household whose use has grown draws so much more. */
const grownUse = 2;
const roomCelsius = 19;
const limitCelsius = 77;

const asFound: UnitState = { controls: { power: 'on' }, apart: [], done: [], known: {} };

interface WaterParts {
  readonly thermostats: readonly Thermostat[];
  readonly tank: TankGeometry;
  readonly coldCelsius: number;
  readonly dialCelsius: { readonly usual: number; readonly high: number; readonly low: number };
}

/** @param wattsOf heat of each element with thermostats calling by bits, of the circuit alone: breaker on, limit closed. */
export function waterView(
  declaration: WaterParts,
  plate: Plate,
  wattsOf: (hypothesis: UnitHypothesis, calling: number) => readonly number[],
): WaterView {
  const { tank: geometry, thermostats, coldCelsius } = declaration;
  const none = thermostats.map(() => 0);
  const showers = new Map<string, Shower>();
  const results = new Map<string, TankResult>();

  const dialsOf = (hypothesis: UnitHypothesis, state: UnitState): number[] =>
    thermostats.map((each) => {
      const dial = dialOf(state, each);
      if (dial !== 'found') return declaration.dialCelsius[dial];
      return (
        state.known[readDialOf(each.id)] ??
        hypothesis.dialCelsius[each.id] ??
        declaration.dialCelsius.usual
      );
    });

  const isFed = ({ supply, situation }: UnitHypothesis, state: UnitState): boolean =>
    isPowered(state) &&
    situation.trips === undefined &&
    (supply === undefined || (supply === 'breaker-open' && isDone(state, breakerCycled)));

  const isOpen = ({ situation }: UnitHypothesis, state: UnitState): boolean =>
    situation.limitTripped && !isDone(state, resetPressed);

  function powerOf(hypothesis: UnitHypothesis, state: UnitState): Power {
    if (!isFed(hypothesis, state) || isOpen(hypothesis, state)) return () => none;
    const known: (readonly number[] | undefined)[] = [];
    return (calling) => (known[calling] ??= wattsOf(hypothesis, calling));
  }

  /** The same to a quarter of a kilowatt: units that differ by less are worked out once, and whoever comes first makes no difference. */
  function roundPowerOf(hypothesis: UnitHypothesis, state: UnitState): Power {
    const power = powerOf(hypothesis, state);
    const known: (readonly number[] | undefined)[] = [];
    return (calling) =>
      (known[calling] ??= power(calling).map((watt) => Math.round(watt / wattStep) * wattStep));
  }

  function designOf(hypothesis: UnitHypothesis, state: UnitState): TankDesign {
    const has = (fault: string) => hypothesis.faults.includes(fault);
    const cover = has('sediment') ? sediment : has('scale') ? scale : undefined;
    const dials = dialsOf(hypothesis, state);
    const lowest = Math.min(...geometry.heaters);
    return {
      volumeLitre: plate.volumeLitre * trueOverPlateVolume,
      layers,
      ...(cover ? { sedimentShare: cover.share } : {}),
      heaters: geometry.heaters.map((height) => ({
        height,
        ...(cover && height === lowest ? { lagSecond: cover.lagSecond } : {}),
      })),
      thermostats: geometry.thermostats.map((height, k) => ({
        height,
        // A heated tank is found a little above its dial: there it opens.
        cutOutCelsius: dials[k]! + 2,
        differentialKelvin: geometry.differentialKelvin,
      })),
      ...(limitWorks(hypothesis)
        ? { limit: { height: geometry.limit, celsius: limitCelsius } }
        : {}),
      lossWattPerKelvin: usualLossWattPerKelvin(plate.volumeLitre),
      inlet: has('dip-tube.gone') ? 'top' : 'bottom',
    };
  }

  /** Equal where the water does the same: two hypotheses of one heat, dials, standing and tank. */
  function keyOf(hypothesis: UnitHypothesis, state: UnitState): string {
    const { topCelsius, bottomCelsius, limitTripped } = hypothesis.situation;
    const power = roundPowerOf(hypothesis, state);
    const watts = Array.from({ length: 1 << thermostats.length }, (_, calling) =>
      power(calling).join('+'),
    );
    const water = ['sediment', 'scale', 'dip-tube.gone', 'demand'].filter((each) =>
      hypothesis.faults.includes(each),
    );
    return [
      watts.join(','),
      dialsOf(hypothesis, state).join(),
      Math.round(topCelsius),
      Math.round(bottomCelsius),
      limitTripped ? 'tripped' : limitWorks(hypothesis) ? '' : 'no limit',
      ...water,
    ].join(' ');
  }

  function standing({ situation }: UnitHypothesis): number[] {
    const topCelsius = Math.round(situation.topCelsius);
    const bottomCelsius = Math.round(situation.bottomCelsius);
    // The upper element's third of the tank has its own temperature.
    const split = geometry.heaters.length > 1 ? Math.max(...geometry.heaters) : 0;
    const count = 30;
    return Array.from({ length: count }, (_, k) =>
      (k + 0.5) / count < split ? Math.min(bottomCelsius, topCelsius) : topCelsius,
    );
  }

  function course(hypothesis: UnitHypothesis, state: UnitState, free: FreeCourse): TankResult {
    const key = `${keyOf(hypothesis, state)} | ${JSON.stringify(free)}`;
    let found = results.get(key);
    if (!found) {
      if (results.size >= mostKept) results.clear();
      found = runTank(designOf(hypothesis, state), {
        startCelsius: standing(hypothesis),
        coldCelsius,
        roomCelsius,
        ...free,
        power: roundPowerOf(hypothesis, state),
      });
      results.set(key, found);
    }
    return found;
  }

  const usual: UnitHypothesis = {
    id: 'usual',
    faults: [],
    repairs: [],
    weight: 1,
    grid: 'fine',
    changes: {},
    spread: {},
    dialCelsius: {},
    situation: {
      share: 1,
      topCelsius: declaration.dialCelsius.usual,
      bottomCelsius: declaration.dialCelsius.usual,
      limitTripped: false,
    },
    circuit: -1,
  };

  function shower(hypothesis: UnitHypothesis): Shower {
    const { topCelsius } = hypothesis.situation;
    // Nobody showers cold: how long that lasts is not asked.
    if (topCelsius < 28) {
      return { firstCelsius: topCelsius, hotMinutes: 0, againMinutes: longest.waitMinutes };
    }
    const key = keyOf(hypothesis, asFound);
    let found = showers.get(key);
    if (!found) {
      const { litrePerMinute, wantedCelsius } = usualShower;
      found = showerOf(
        designOf(hypothesis, asFound),
        {
          startCelsius: standing(hypothesis),
          coldCelsius,
          roomCelsius,
          power: roundPowerOf(hypothesis, asFound),
        },
        {
          wantedCelsius,
          litrePerMinute: litrePerMinute * (hypothesis.faults.includes('demand') ? grownUse : 1),
        },
      );
      showers.set(key, found);
    }
    return found;
  }

  function logTank(hypothesis: UnitHypothesis, state: UnitState): KeyedTank {
    const lived = standing(hypothesis);
    return {
      // Where the log begins it may have been drawn or heated since it was found: its own readings say how it stands.
      key: keyOf(hypothesis, state),
      tank: {
        design: designOf(hypothesis, state),
        power: roundPowerOf(hypothesis, { ...state, done: [...state.done, resetPressed] }),
        limitTripped: isOpen(hypothesis, state),
        standing: lived,
        coldCelsius,
      },
    };
  }

  return {
    logTank,
    showerRun: (hypothesis, { litrePerMinute, wantedCelsius }) =>
      runTank(designOf(hypothesis, asFound), {
        seconds: longest.showerMinutes * 60,
        startCelsius: standing(hypothesis),
        coldCelsius,
        roomCelsius,
        draws: [
          {
            atSecond: 0,
            durationSecond: longest.showerMinutes * 60 + 1,
            litrePerMinute: litrePerMinute * (hypothesis.faults.includes('demand') ? grownUse : 1),
            wantedCelsius,
          },
        ],
        power: powerOf(hypothesis, asFound),
        sampleEverySecond: 30,
      }),
    shower,
    get usualShower() {
      return shower(usual);
    },
    course,
    good: () => ({ design: designOf(usual, asFound), power: powerOf(usual, asFound) }),
    design: (hypothesis, state) => ({
      design: designOf(hypothesis, state),
      power: powerOf(hypothesis, state),
    }),
  };
}

/** Fewer layers than a fit of a log has: the same for words and looks to a degree, in half the time. */
const layers = 18;
const limitWorks = ({ faults }: UnitHypothesis): boolean =>
  !faults.some((each) => each.endsWith('never-trips'));

/** Heats that differ by less are one heat to the water, in watts. */
const wattStep = 250;
const mostKept = 4000;
