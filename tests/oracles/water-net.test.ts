import {
  Project,
  Workspace,
  NodeType,
  LinkType,
  FlowUnits,
  HeadLossType,
  CurveType,
  CountType,
} from 'epanet-js';
import { describe, expect, it } from 'vitest';
import {
  cubicMetrePerSecond,
  litrePerMinute,
  pipeLossPascal,
  solveNet,
  type Link,
  type Net,
} from '../../src/core/water';

/** Judge: EPANET 2.3 (epanet-js, registry), Darcy and Weisbach. It takes Swamee and Jain's friction and a cubic below a Reynolds number of 4000:
 * 4 %, and 12 for a branch of a net in which some flow is neither laminar nor turbulent. */

const gravity = 9.80665;
const headPascal = (metre: number) => metre * gravity * 1000;
/** Kinematic viscosity of EPANET's usual water over which a net's is told. */
const epanetViscosity = 1.022e-6;

interface JudgedPipe {
  readonly id: string;
  readonly from: string;
  readonly to: string;
  readonly metre: number;
  readonly millimetre: number;
  readonly loss: number;
  readonly roughnessMillimetre?: number;
}

interface JudgedNet {
  readonly viscosity: number;
  readonly heads: Readonly<Record<string, number>>;
  readonly pipes: readonly JudgedPipe[];
  /** Head of a pump from one node to another, in metres, by L/min. */
  readonly pump?: { readonly from: string; readonly to: string; head(flow: number): number };
}

const pipe = (
  id: string,
  from: string,
  to: string,
  metre: number,
  millimetre: number,
  loss: number,
  roughnessMillimetre?: number,
): JudgedPipe => ({
  id,
  from,
  to,
  metre,
  millimetre,
  loss,
  ...(roughnessMillimetre === undefined ? {} : { roughnessMillimetre }),
});

/** Ours. */
function ours({ viscosity, heads, pipes, pump }: JudgedNet): Net {
  const fluid = { density: 1000, viscosity: viscosity * 1000 };
  const links = pipes.map(
    ({ id, from, to, metre, millimetre, loss, roughnessMillimetre = 0.0015 }): Link => {
      const given = {
        lengthMetre: metre,
        boreMetre: millimetre / 1000,
        roughnessMetre: roughnessMillimetre / 1000,
        minorLoss: loss,
      };
      return { id, from, to, loss: (flow) => pipeLossPascal(given, flow, fluid) };
    },
  );
  if (pump) {
    links.push({
      id: 'pump',
      from: pump.from,
      to: pump.to,
      loss: (flow) => -headPascal(pump.head(Math.max(0, litrePerMinute(flow)))),
    });
  }
  return {
    links,
    fixed: Object.fromEntries(Object.entries(heads).map(([id, metre]) => [id, headPascal(metre)])),
  };
}

/** EPANET's flows in L/min, and heads in metres. */
async function judge({ viscosity, heads, pipes, pump }: JudgedNet) {
  const workspace = new Workspace();
  await workspace.loadModule();
  const model = new Project(workspace);
  model.init('report.rpt', 'out.bin', FlowUnits.LPM, HeadLossType.DW);
  const nodes = [...new Set(pipes.flatMap(({ from, to }) => [from, to]))];
  for (const node of nodes) {
    const isFixed = node in heads;
    const index = model.addNode(node, isFixed ? NodeType.Reservoir : NodeType.Junction);
    if (isFixed) model.setNodeValue(index, 0, heads[node]!);
  }
  for (const { id, from, to, metre, millimetre, loss, roughnessMillimetre = 0.0015 } of pipes) {
    const index = model.addLink(id, LinkType.Pipe, from, to);
    model.setPipeData(index, metre, millimetre, roughnessMillimetre, loss);
  }
  if (pump) {
    const index = model.addLink('pump', LinkType.Pump, pump.from, pump.to);
    model.addCurve('curve');
    const curve = model.getCount(CountType.CurveCount);
    const flows = Array.from({ length: 13 }, (_, k) => k * 2);
    model.setCurve(
      curve,
      flows,
      flows.map((flow) => pump.head(flow)),
    );
    model.setCurveType(curve, CurveType.PumpCurve);
    model.setHeadCurveIndex(index, curve);
  }
  model.setOption(viscosityOption, viscosity / epanetViscosity);
  model.setOption(accuracyOption, 1e-5);
  model.solveH();
  const flow = Object.fromEntries(
    [...pipes.map(({ id }) => id), ...(pump ? ['pump'] : [])].map((id) => [
      id,
      model.getLinkValue(model.getLinkIndex(id), linkFlow),
    ]),
  );
  const head = Object.fromEntries(
    nodes.map((node) => [node, model.getNodeValue(model.getNodeIndex(node), nodeHead)]),
  );
  return { flow, head };
}
/** EPANET's own numbers of its options and values. */
const accuracyOption = 1;
const viscosityOption = 14;
const linkFlow = 8;
const nodeHead = 10;

const cold = 1.306e-6;
const hot = 0.4745e-6;

const netA = (strainer: number): JudgedNet => ({
  viscosity: cold,
  heads: { mains: 30.59, out: 0 },
  pipes: [
    pipe('main', 'mains', 'J1', 15, 20.2, 5),
    pipe('strainer', 'J1', 'J2', 0.05, 20.2, strainer),
    pipe('heater', 'J2', 'J3', 6, 12, 20),
    pipe('house', 'J3', 'J4', 10, 13.6, 6),
    pipe('tap', 'J4', 'out', 0.05, 13.6, 60),
  ],
});

const netB: JudgedNet = {
  viscosity: cold,
  heads: { mains: 30.59, 'out-1': 0, 'out-2': 0 },
  pipes: [
    pipe('main', 'mains', 'J1', 15, 20.2, 15),
    pipe('heater', 'J1', 'J3', 6, 12, 20),
    pipe('one', 'J3', 'out-1', 10, 13.6, 66),
    pipe('other', 'J3', 'out-2', 4, 13.6, 60),
  ],
};

const netC: JudgedNet = {
  viscosity: cold,
  heads: { mains: 30.59, out: 0 },
  pipes: [
    pipe('main', 'mains', 'J1', 15, 20.2, 5),
    pipe('heater', 'J1', 'J3', 16, 12, 60),
    pipe('crossing', 'J1', 'J3', 8, 13.6, 30),
    pipe('house', 'J3', 'out', 5, 13.6, 60),
  ],
};

const netD = (hose: number, third: number): JudgedNet => ({
  viscosity: hot,
  heads: { S: 10 },
  pump: { from: 'S', to: 'F', head: (flow) => 6 - 1.5 * (flow / 12) ** 2 },
  pipes: [
    pipe('flow', 'F', 'B', 3, 20.2, 10),
    pipe('hose', 'B', 'R', 0.12, hose, 1.5, 0.2),
    pipe('one', 'R', 'S', 10, 13.6, 40),
    pipe('two', 'R', 'S', 16, 13.6, 60),
    pipe('three', 'R', 'S', 24, 13.6, third),
  ],
});

describe.each([
  ['a tap behind a clean strainer', netA(10), { main: 17.671 }, { J1: 29.47, J3: 17.804 }],
  ['a blocked strainer', netA(5000), { main: 6.204 }, { J2: 3.898 }],
  ['two taps', netB, { main: 24.106, one: 11.315, other: 12.791 }, { J3: 7.482 }],
  ['a cross-connection', netC, { main: 22.046, heater: 7.581, crossing: 14.465 }, {}],
  ['three radiators', netD(20.2, 80), { pump: 17.825, one: 7.203, two: 5.768, three: 4.853 }, {}],
  ['one nearly shut', netD(20.2, 4000), { pump: 16.152, one: 8.41, two: 6.74, three: 1.003 }, {}],
  ['a hose of 5 mm', netD(5, 80), { pump: 6.74 }, {}],
  ['a hose of 3 mm', netD(3, 80), { pump: 2.079 }, {}],
] as const)('%s', (_, net, flows, heads) => {
  it('flows as EPANET has it, and as the design says', async () => {
    const { flow, pascal } = solveNet(ours(net));
    const judged = await judge(net);
    const reynolds = net.pipes.map(
      ({ id, millimetre }) =>
        (4 * (Math.abs(judged.flow[id]!) / 60_000)) /
        (Math.PI * (millimetre / 1000) * net.viscosity),
    );
    const isBetween = reynolds.some((each) => each > 2000 && each < 4000);
    for (const [id, value] of Object.entries(judged.flow)) {
      expect(Math.abs(litrePerMinute(flow[id]!) / value - 1), id).toBeLessThan(
        isBetween ? 0.12 : 0.04,
      );
    }
    for (const [node, value] of Object.entries(judged.head)) {
      expect(Math.abs(pascal[node]! / headPascal(1) - value), node).toBeLessThan(0.35);
    }
    for (const [id, value] of Object.entries(flows)) {
      expect(Math.abs(litrePerMinute(flow[id]!) / value - 1), id).toBeLessThan(0.02);
    }
    for (const [node, value] of Object.entries(heads)) {
      expect(Math.abs(pascal[node]! / headPascal(1) / value - 1), node).toBeLessThan(0.03);
    }
  });
});

it('what flows into a node flows out of it', () => {
  const { flow } = solveNet(ours(netB));
  expect(flow.main! - flow.one! - flow.other!).toBeLessThan(cubicMetrePerSecond(1e-5));
});
