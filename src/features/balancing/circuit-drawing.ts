import type { ApplianceFamily, Drawing } from '@/core/appliances';
import {
  openTurns,
  runFitted,
  type BalancedRadiator,
  type BalancingAdvice,
} from '@/core/balancing';
import type { PictureState } from '@/core/job-diagnosis';
import { turnsWords } from '@/features/record/balancing-words';

const rowHeight = 76;
const head = 44;
const at = { flow: 30, return: 58, lockshield: 128, radiator: 196, points: 396 } as const;
const radiatorSize = { width: 186, height: 44 } as const;

/** The circuit in the kit that units are drawn with: flow and return, each radiator with its lockshield, what was read at it. */
export interface CircuitDrawn {
  readonly plan: Pick<ApplianceFamily, 'drawing' | 'names'>;
  readonly picture: PictureState;
  /** What was read, by point; elsewhere the model's own. */
  readonly known: Readonly<Record<string, number>>;
}

export function circuitDrawn(
  radiators: readonly BalancedRadiator[],
  { house, round }: BalancingAdvice,
): CircuitDrawn {
  const running = runFitted(house, { ...round, turns: radiators.map(({ turns }) => turns) });
  const y = (k: number) => head + k * rowHeight + rowHeight / 2;
  const last = y(radiators.length - 1);
  const drawing: Drawing = {
    title: 'Picture of the circuit',
    width: 520,
    height: head + radiators.length * rowHeight + 10,
    terminals: {},
    routes: {},
    hops: [],
    joints: [],
    contacts: [],
    breakers: [],
    elements: [],
    boxes: radiators.map(({ id, room }, k) => ({
      part: id,
      label: room.length > 22 ? `${room.slice(0, 21)}…` : room,
      labelAt: 'top',
      x: at.radiator,
      y: y(k) - radiatorSize.height / 2,
      ...radiatorSize,
    })),
    paths: [
      {
        id: 'flow',
        name: 'flow',
        medium: 'hot-water',
        corners: [
          [at.flow, 20],
          [at.flow, last - 12],
        ],
      },
      {
        id: 'return',
        name: 'return',
        medium: 'cold-water',
        corners: [
          [at.return, last + 12],
          [at.return, 20],
        ],
      },
      ...radiators.flatMap(({ id, room }, k) => [
        {
          id: `${id} in`,
          name: `flow to ${room}`,
          medium: 'hot-water' as const,
          corners: [
            [at.flow, y(k) - 12],
            [at.radiator, y(k) - 12],
          ] as const,
        },
        {
          id: `${id} out`,
          name: `return of ${room}`,
          medium: 'cold-water' as const,
          corners: [
            [at.radiator, y(k) + 12],
            [at.return, y(k) + 12],
          ] as const,
        },
      ]),
    ],
    symbols: radiators.map(({ id }, k) => ({
      id,
      kind: 'valve' as const,
      x: at.lockshield,
      y: y(k) + 12,
      name: 'lockshield',
      labelAt: 'below' as const,
      scale: 0.7,
    })),
    points: {
      boiler: { x: at.flow, y: 14, mark: 'flow', name: 'flow at the boiler', markAt: 'right' },
      ...Object.fromEntries(
        radiators.flatMap(({ id, room }, k) => [
          [
            `${id} top`,
            {
              x: at.points,
              y: y(k) - 12,
              mark: 'top',
              name: `${room}, top`,
              markAt: 'right' as const,
            },
          ],
          [
            `${id} bottom`,
            {
              x: at.points,
              y: y(k) + 12,
              mark: 'bottom',
              name: `${room}, bottom`,
              markAt: 'right' as const,
            },
          ],
        ]),
      ),
    },
  };
  const flows = ({ turns, aside }: BalancedRadiator) =>
    aside === 'shut' || turns <= 0 ? ('stands' as const) : ('flows' as const);
  const celsius = (value: number) => ({ quantity: 'temperature' as const, value });
  return {
    plan: {
      drawing,
      names: {
        family: 'radiators',
        terminals: [],
        conductors: {},
        checks: {},
        faults: {},
        repairs: [],
        complaints: [],
      },
    },
    picture: {
      terminals: {},
      quantity: 'voltage-ac',
      ampere: {},
      watt: {},
      liveFeeds: [],
      open: [],
      strapped: [],
      lifted: [],
      paths: {
        flow: 'flows',
        return: 'flows',
        ...Object.fromEntries(
          radiators.flatMap((each) => [
            [`${each.id} in`, flows(each)],
            [`${each.id} out`, flows(each)],
          ]),
        ),
      },
      symbols: Object.fromEntries(
        radiators.map(({ id, turns }) => [
          id,
          {
            look:
              turns >= openTurns
                ? ('on' as const)
                : turns > 0
                  ? ('weak' as const)
                  : ('off' as const),
            words: turnsWords(turns),
          },
        ]),
      ),
      readouts: {
        boiler: celsius(round.flowCelsius),
        ...Object.fromEntries(
          radiators.flatMap(({ id }, k) => [
            [`${id} top`, celsius(running[k]!.inCelsius)],
            [`${id} bottom`, celsius(running[k]!.outCelsius)],
          ]),
        ),
      },
      power: 'on',
      controls: {},
      topCelsius: round.flowCelsius,
      bottomCelsius: round.flowCelsius,
      faults: [],
      suspected: [],
    },
    known: {
      boiler: round.flowCelsius,
      ...Object.fromEntries(
        radiators.flatMap(({ id, turns }, k) => {
          // What was read at a lockshield that has been turned since is no reading of now.
          if (round.turns[k] !== turns) return [];
          const [top, bottom] = [round.topCelsius[k], round.bottomCelsius[k]];
          return [
            ...(top === undefined ? [] : [[`${id} top`, top] as const]),
            ...(bottom === undefined ? [] : [[`${id} bottom`, bottom] as const]),
          ];
        }),
      ),
    },
  };
}
