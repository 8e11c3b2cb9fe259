import type { Question } from '../family';
import { blurred } from '../kit/signal/outcome-tables';
import type { Shares } from '../kit/signal/declaration';
import type { Elements } from './elements';
import type { HeatPumpSeen } from './looks';
import { heating, isMachineAble, mixedAt, outputShare, type HeatPumpUnit } from './model';
import namesFile from './names.json' with { type: 'json' };

export const questions: Readonly<Record<string, Question>> = {
  complaint: { ask: 'What is wrong?', values: namesFile.complaints },
  rooms: {
    ask: 'Rooms against the thermostat?',
    values: ['as-set', 'overshoot', 'cold'],
    words: { 'as-set': 'as set', overshoot: 'warmer', cold: 'colder' },
  },
  outlets: {
    ask: 'One outlet or all?',
    values: ['all', 'one'],
    words: { all: 'all', one: 'one' },
  },
  onset: {
    ask: 'Since when?',
    values: ['sudden', 'gradual', 'since-installed', 'cold-weather', 'after-work'],
    words: {
      sudden: 'sudden',
      gradual: 'gradual',
      'since-installed': 'since it was fitted',
      'cold-weather': 'cold weather',
      'after-work': 'after work on it',
    },
  },
  consumption: {
    ask: 'Electricity against last year?',
    values: ['usual', 'high'],
    words: { usual: 'as usual', high: 'much more' },
  },
};

export const askedComplaints = [
  'lukewarm',
  'no-hot-water',
  'runs-out',
  'late',
  'slow',
  'too-hot',
  'heating-only',
  'hot-water-only',
  'code',
  'other',
] as const;

const said = (question: string, row: Shares) => blurred(row, questions[question]!.values, 'said');
const arrival = (seen: HeatPumpSeen): HeatPumpUnit => ({
  ...seen,
  elements: seen.elements as Elements,
  state: { ...seen.state, controls: { power: 'on', request: 'heating' } },
});

/** By what comes out of the tap and by how the rooms are. */
function complaint(seen: HeatPumpSeen): Shares {
  const e = seen.elements as Elements;
  const stored = seen.standing.storedCelsius;
  const { tap } = mixedAt(e, seen.state, stored);
  if (!isMachineAble(e, seen.state)) {
    return said('complaint', { 'no-hot-water': 0.55, lukewarm: 0.15, code: 0.2, other: 0.08 });
  }
  if (stored < 33) {
    return said('complaint', {
      'no-hot-water': 0.55,
      'heating-only': 0.2,
      lukewarm: 0.15,
      code: 0.08,
    });
  }
  if (seen.has('diverter.stuck-cylinder')) {
    return said('complaint', { 'hot-water-only': 0.75, other: 0.2 });
  }
  if (seen.has('demand'))
    return said('complaint', { 'runs-out': 0.75, lukewarm: 0.17, late: 0.05 });
  if (seen.has('schedule.wrong')) {
    return said('complaint', { lukewarm: 0.42, late: 0.35, 'runs-out': 0.2 });
  }
  if (seen.has('season.cold-damp')) {
    return said('complaint', { slow: 0.4, late: 0.35, lukewarm: 0.2 });
  }
  if (seen.has('mixing-valve.passes-hot', 'immersion.relay-welded') && tap > 47.5) {
    return said('complaint', { 'too-hot': 0.65, other: 0.25, lukewarm: 0.05 });
  }
  const { bufferCelsius } = heating(arrival(seen));
  if (tap < 44.5) return said('complaint', { lukewarm: 0.74, 'runs-out': 0.14, other: 0.08 });
  if (outputShare(e) < 0.75 || seen.has('coil.scaled', 'diverter.passing')) {
    return said('complaint', { slow: 0.4, late: 0.25, lukewarm: 0.2, code: 0.1 });
  }
  if (bufferCelsius > 46)
    return said('complaint', { other: 0.62, lukewarm: 0.15, noise: 0.1, code: 0.1 });
  return said('complaint', { lukewarm: 0.3, other: 0.35, late: 0.1, 'runs-out': 0.1, code: 0.12 });
}

function rooms(seen: HeatPumpSeen): Shares {
  const { bufferCelsius } = heating(arrival(seen));
  const isStarved = seen.standing.isStarved || bufferCelsius < 33;
  if (isStarved) return said('rooms', { cold: 0.82, 'as-set': 0.17 });
  if (bufferCelsius > 44 || seen.has('room-sensor.badly-placed')) {
    return said('rooms', { overshoot: 0.78, 'as-set': 0.2 });
  }
  return said('rooms', { 'as-set': 0.92, cold: 0.04, overshoot: 0.04 });
}

function consumption(seen: HeatPumpSeen): Shares {
  const e = seen.elements as Elements;
  const { bufferCelsius } = heating(arrival(seen));
  const isDear =
    bufferCelsius > 44 ||
    seen.standing.storedCelsius > 54 ||
    outputShare(e) < 0.75 ||
    seen.has('circulation.always-on', 'immersion.relay-welded');
  return isDear
    ? said('consumption', { high: 0.72, usual: 0.28 })
    : said('consumption', { usual: 0.88, high: 0.12 });
}

function onset(seen: HeatPumpSeen): Shares {
  const row: Shares = seen.has('season.cold-damp', 'outdoor.iced')
    ? { 'cold-weather': 0.7, gradual: 0.12, sudden: 0.14 }
    : seen.has(
          'strainer.blocked',
          'coil.scaled',
          'refrigerant.short',
          'pump.weak',
          'outdoor.air-blocked',
          'mixing-valve.hot-side-blocked',
        )
      ? { gradual: 0.58, 'cold-weather': 0.22, sudden: 0.16 }
      : seen.has(
            'mixing-valve.set-low',
            'outlet.limit-stop-low',
            'heating-curve.high',
            'heating-curve.low',
          )
        ? { 'since-installed': 0.42, 'cold-weather': 0.28, 'after-work': 0.14, gradual: 0.1 }
        : seen.has('buffer-sensor.out-of-pocket', 'cylinder-sensor.out-of-pocket')
          ? { 'after-work': 0.34, sudden: 0.32, 'since-installed': 0.22, gradual: 0.08 }
          : { sudden: 0.55, gradual: 0.16, 'cold-weather': 0.14, 'after-work': 0.1 };
  return said('onset', row);
}

/** What the household would say. Common practice. */
export const answers: Readonly<Record<string, (seen: HeatPumpSeen) => Shares>> = {
  complaint,
  rooms,
  outlets: (seen) =>
    seen.has('outlet.limit-stop-low')
      ? said('outlets', { one: 0.85, all: 0.15 })
      : seen.has('cross-flow')
        ? said('outlets', { all: 0.65, one: 0.35 })
        : said('outlets', { all: 0.94, one: 0.06 }),
  onset,
  consumption,
};
