import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seededRandom } from '../simulation';
import { drawHouse, houseFlows, settledHouse, thermometerFor } from '../simulation/house';
import type { Entry } from '../job-file';
import {
  balancingAdvice,
  balancingSession,
  branchFlows,
  branchFlowSlopes,
  excessOut,
  fitHouse,
  houseSlopes,
  kvAt,
  nextMoves,
  openTurns,
  outputWatt,
  predictChanges,
  ratedBySize,
  returnCelsius,
  runHouse,
  strengthOf,
  usualBandKelvin,
  valueCount,
  type HouseValues,
  type ReadRound,
} from '.';

/** EN 442-1: output over rated at an excess of 30, 40 and 60 K; this form takes the water's own fall, so within 1 %. */
describe('a radiator', () => {
  it('gives its rated output at 75 in, 65 out, 20 in the room', () => {
    const flow = 1500 / (1163 * 10);
    expect(outputWatt(55, flow, strengthOf(1500))).toBeCloseTo(1500, 0);
    expect(excessOut(55, flow, strengthOf(1500))).toBeCloseTo(45, 3);
  });

  it.each([
    [30, 0.515],
    [40, 0.748],
    [60, 1.267],
  ])('gives at %i K over the room what EN 442 says', (excess, share) => {
    // A drop of ten kelvin about the mean excess.
    let flow = 0.1;
    for (let k = 0; k < 60; k++) {
      const drop = excess + 5 - excessOut(excess + 5, flow, strengthOf(1000));
      flow *= (drop / 10) ** 0.7;
    }
    expect(outputWatt(excess + 5, flow, strengthOf(1000)) / 1000 / share).toBeGreaterThan(0.989);
    expect(outputWatt(excess + 5, flow, strengthOf(1000)) / 1000 / share).toBeLessThan(1.011);
  });

  it('is rated by its size within what makers differ by', () => {
    // Common practice: two panels with two rows of fins, 600 by 1000, are about 1700 W.
    expect(ratedBySize('22', 0.6, 1)).toBeGreaterThan(1500);
    expect(ratedBySize('22', 0.6, 1)).toBeLessThan(1900);
  });
});

describe('a lockshield', () => {
  it('lets by what it should, and hardly more past two turns', () => {
    for (const [turns, kv] of [
      [0.125, 0.03],
      [0.25, 0.1],
      [0.5, 0.24],
      [1, 0.47],
      [2, 0.81],
      [4, 1.22],
    ] as const) {
      expect(Math.abs(kvAt(turns) - kv)).toBeLessThan(0.035);
    }
    expect(kvAt(0)).toBeGreaterThan(0);
  });
});

const random = (seed: number) => seededRandom(seed);
const listedOf = (house: ReturnType<typeof drawHouse>) =>
  house.radiators.map(({ id, ratedWatt, widthMetre }) => ({
    id,
    ratedWatt,
    widthMetre,
    roomCelsius: 20,
  }));

describe('slopes', () => {
  it('of flows are those of small differences', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 1, max: 40, noNaN: true }), { minLength: 2, maxLength: 8 }),
        fc.double({ min: 0.1, max: 3, noNaN: true }),
        (branches, shared) => {
          const house = { headBar: 0.4, shared, branches };
          const { byHead, byShared, byBranch } = branchFlowSlopes(house);
          const step = 1e-5;
          const off = (other: typeof house) =>
            branchFlows(other).map((each, k) => (each - branchFlows(house)[k]!) / step);
          const grown = (value: number) => value * Math.exp(step);
          off({ ...house, headBar: grown(0.4) }).forEach((each, k) =>
            expect(each).toBeCloseTo(byHead[k]!, 4),
          );
          off({ ...house, shared: grown(shared) }).forEach((each, k) =>
            expect(each).toBeCloseTo(byShared[k]!, 4),
          );
          const moved = branches.map((each, k) => (k === 0 ? grown(each) : each));
          off({ ...house, branches: moved }).forEach((each, k) =>
            expect(each).toBeCloseTo(byBranch(k, 0), 4),
          );
        },
      ),
      { numRuns: 40, seed: 5 },
    );
  });

  it('of the water are those of small differences, by every value of a house', () => {
    const house = drawHouse(random(4));
    const listed = listedOf(house);
    const count = listed.length;
    const values = (at: number, step: number): HouseValues => {
      const grown = (value: number, place: number) => value * (place === at ? Math.exp(step) : 1);
      return {
        headBar: grown(0.42, 0),
        shared: grown(0.8, 1),
        radiators: listed.map((_, k) => ({
          resistance: grown(9 + k, 2 + k),
          turnsToOpen: grown(2.4, 2 + count + k),
          outputShare: grown(1.02, 2 + 2 * count + k),
        })),
      };
    };
    const setting = { flowCelsius: 70, turns: listed.map((_, k) => 0.4 + 0.4 * k) };
    const slopes = houseSlopes(listed, values(-1, 0), setting);
    const step = 1e-5;
    for (let v = 0; v < valueCount(count); v++) {
      const [low, high] = [-step, step].map((by) => runHouse(listed, values(v, by), setting));
      low!.forEach((each, k) => {
        const other = high![k]!;
        expect((other.inCelsius - each.inCelsius) / (2 * step)).toBeCloseTo(slopes[k]!.byIn[v]!, 3);
        expect((other.outCelsius - each.outCelsius) / (2 * step)).toBeCloseTo(
          slopes[k]!.byOut[v]!,
          3,
        );
      });
    }
  });
});

/** A house that is read by its own thermometer, with water and paint of its own. */
function readHouse(seed: number, turnsOf?: (count: number) => number[]) {
  const own = random(seed);
  const house = drawHouse(own);
  const read = thermometerFor(house, own);
  const listed = listedOf(house);
  const turns = turnsOf?.(listed.length) ?? listed.map(() => openTurns);
  const seen = settledHouse(house, turns).map(read);
  const round: ReadRound = {
    flowCelsius: house.flowCelsius,
    turns,
    topCelsius: seen.map(({ topCelsius }) => topCelsius),
    bottomCelsius: seen.map(({ bottomCelsius }) => bottomCelsius),
  };
  return { house, listed, round };
}

describe('a fit', () => {
  it('shows what was read of a simulated house, within its readings', () => {
    for (let seed = 20; seed < 30; seed++) {
      const { listed, round } = readHouse(seed);
      const house = fitHouse(listed, [round]);
      const off = runHouse(listed, house.values, round).flatMap((each, k) => [
        each.topCelsius - round.topCelsius[k]!,
        each.bottomCelsius - round.bottomCelsius[k]!,
      ]);
      const rms = Math.sqrt(off.reduce((sum, each) => sum + each ** 2, 0) / off.length);
      expect(rms).toBeLessThan(3);
    }
  });

  it('is not bent by one reading off chrome', () => {
    const { listed, round } = readHouse(31);
    const means = (rounds: readonly ReadRound[]) =>
      runHouse(listed, fitHouse(listed, rounds).values, round).map(
        ({ meanCelsius }) => meanCelsius,
      );
    const right = means([round]);
    const top = [...round.topCelsius];
    top[2] = top[2]! - 25;
    const bent = means([{ ...round, topCelsius: top }]);
    bent.forEach((each, k) => {
      expect(Math.abs(each - right[k]!)).toBeLessThan(k === 2 ? 8 : 1.5);
    });
  });

  it('evens a house, keeps one radiator open, and tells what the others will do', () => {
    const { house, listed, round } = readHouse(33);
    const fitted = fitHouse(listed, [round]);
    const members = listed.map((_, k) => k);
    const next = nextMoves(fitted, round, members);
    expect(next.kind).toBe('moves');
    if (next.kind !== 'moves') return;
    expect(next.setting.turns.some((each) => each >= openTurns)).toBe(true);
    const apart = (turns: readonly number[]) => {
      const means = settledHouse(house, turns).map(
        (each) => (each.inCelsius + each.outCelsius) / 2,
      );
      return Math.max(...means) - Math.min(...means);
    };
    expect(apart(next.setting.turns)).toBeLessThan(0.75 * apart(round.turns));
    const predicted = predictChanges(fitted, round, next.setting);
    const [before, after] = [round.turns, next.setting.turns].map((turns) =>
      settledHouse(house, turns).map((each) => (each.inCelsius + each.outCelsius) / 2),
    );
    predicted.forEach(({ fromCelsius, toCelsius, spread }, k) => {
      const off = after![k]! - before![k]! - (toCelsius - fromCelsius);
      expect(Math.abs(off)).toBeLessThan(3.5 * spread);
    });
  });

  it('stops where everything is even, and where it cannot be bettered', () => {
    const { listed, round } = readHouse(33);
    const fitted = fitHouse(listed, [round]);
    expect(nextMoves(fitted, round, [0])).toMatchObject({ kind: 'stop', why: 'even' });
    expect(nextMoves(fitted, round, [0, 1, 2], 90)).toMatchObject({ kind: 'stop', why: 'even' });
  });
});

describe('a simulated house', () => {
  it('shares its water out without losing any, and gives more where it is opened', () => {
    const house = drawHouse(random(8));
    const open = house.radiators.map(() => openTurns);
    const flows = houseFlows(house, open);
    expect(Math.min(...flows)).toBeGreaterThan(0);
    const shut = open.map((each, k) => (k === 0 ? 0.2 : each));
    const throttled = houseFlows(house, shut);
    expect(throttled[0]!).toBeLessThan(flows[0]!);
    throttled.slice(1).forEach((each, k) => expect(each).toBeGreaterThan(flows[k + 1]!));
    const running = settledHouse(house, open);
    const listed = listedOf(house);
    // Nobody gives off more than the water brings.
    running.forEach((each, k) => {
      expect(each.outCelsius).toBeGreaterThanOrEqual(house.radiators[k]!.roomCelsius);
      expect(each.outCelsius).toBeLessThan(each.inCelsius);
      expect(listed[k]!.ratedWatt).toBeGreaterThan(0);
    });
  });
});

let clock = 0;
const entry = (fields: object): Entry =>
  ({
    id: `00000000-0000-4000-8000-${String(++clock).padStart(12, '0')}`,
    at: new Date(Date.UTC(2026, 2, 2, 8, 0, clock)).toISOString(),
    kind: 'balancing',
    ...fields,
  }) as Entry;
const listedAs = (radiator: string, millimetre: number) =>
  entry({
    phase: 'radiator',
    radiator,
    room: `room ${radiator}`,
    radiatorKind: '22',
    height: { millimetre: 600 },
    width: { millimetre },
  });
const read = (radiator: string, top: number, bottom: number) =>
  entry({ phase: 'surface', radiator, top: { celsius: top }, bottom: { celsius: bottom } });
const valve = (radiator: string, turnsFromShut: number, as: 'found' | 'left' = 'left') =>
  entry({ phase: 'valve', radiator, turnsFromShut, as });

describe('a session', () => {
  const three = ['a', 'b', 'toString'].map((id, k) => listedAs(id, 800 + 200 * k));
  const boiler = (flow: number) => entry({ phase: 'boiler', flow: { celsius: flow } });

  it('is rounds of readings, each with the turns they were taken at', () => {
    const session = balancingSession([
      ...three,
      valve('a', 1.5, 'found'),
      boiler(70),
      read('a', 66, 60),
      read('b', 60, 48),
      read('toString', 50, 35),
      valve('a', 0.5),
      boiler(70),
      read('a', 62, 50),
    ]);
    expect(session.rounds.map(({ turns }) => turns)).toEqual([
      [4, 4, 4],
      [0.5, 4, 4],
    ]);
    expect(session.rounds[1]!.topCelsius).toEqual([62, undefined, undefined]);
    expect(session.radiators[0]).toMatchObject({ turnsFound: 1.5, turns: 0.5, isRated: false });
    expect(session.radiators[2]!.id).toBe('toString');
  });

  it('counts nothing of a radiator that nobody listed, and says so', () => {
    const session = balancingSession([...three, read('constructor', 60, 50)]);
    expect(session.rounds).toEqual([]);
    expect(session.unlisted).toEqual(['constructor']);
  });

  it('advises nothing before two are read and the flow is known, and leaves out what is set aside', () => {
    const entries = [...three, read('a', 66, 60), read('b', 60, 48)];
    expect(balancingAdvice(balancingSession(entries), usualBandKelvin)).toBe(undefined);
    const known = [...entries, boiler(70), read('toString', 45, 30)];
    const advice = balancingAdvice(balancingSession(known), usualBandKelvin)!;
    expect(advice.members).toEqual([0, 1, 2]);
    expect(advice.moves.length).toBeGreaterThan(0);
    const aside = entry({ phase: 'set-aside', radiator: 'toString', aside: 'sludge' });
    expect(balancingAdvice(balancingSession([...known, aside]), usualBandKelvin)!.members).toEqual([
      0, 1,
    ]);
  });

  it('forgets what was read before a pump was changed, and a struck entry', () => {
    const before = [...three, boiler(70), read('a', 66, 60), read('b', 60, 48)];
    expect(balancingSession([...before, entry({ phase: 'changed' })]).rounds).toEqual([]);
    const struck = before.at(-1)!;
    const correction = {
      id: '00000000-0000-4000-9000-000000000001',
      at: '2026-03-02T09:00:00.000Z',
      kind: 'correction',
      replaces: struck.id,
      entry: null,
    } as Entry;
    expect(balancingSession([...before, correction]).rounds[0]!.topCelsius).toEqual([
      66,
      undefined,
      undefined,
    ]);
  });

  it('by feel takes the hottest a quarter turn, and says nothing of the others', () => {
    const known = [
      ...three,
      boiler(70),
      read('a', 66, 62),
      read('b', 60, 48),
      read('toString', 45, 30),
    ];
    const advice = balancingAdvice(balancingSession(known), usualBandKelvin, 'by-feel')!;
    expect(advice.moves).toEqual([{ radiator: 0, fromTurns: 4, toTurns: 1.5 }]);
  });
});

describe('what comes back', () => {
  it('is the flows’ own mean', () => {
    expect(
      returnCelsius([
        { cubicMetrePerHour: 1, outCelsius: 40 },
        { cubicMetrePerHour: 3, outCelsius: 60 },
      ] as unknown as Parameters<typeof returnCelsius>[0]),
    ).toBeCloseTo(55, 9);
  });
});
