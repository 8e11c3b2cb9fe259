import { FlowUnits, HeadLossType, LinkType, NodeType, Project, Workspace } from 'epanet-js';
import { describe, expect, it } from 'vitest';
import { branchFlows, kvAt } from '../../src/core/balancing';
import { seededRandom } from '../../src/core/simulation';
import { drawHouse, houseFlows } from '../../src/core/simulation/house';

/**
 * Judge: EPANET 2.3 (epanet-js, registry). Each resistance is a minor loss of a short wide pipe, the pump a reservoir as high as
 * its head at no flow: what its curve falls by is a part of what is shared.
 */

const gravity = 9.80665;
const boreMillimetre = 25;
const area = Math.PI * (boreMillimetre / 2000) ** 2;
/** Metres of head of a bar of water. */
const metrePerBar = 1e5 / (1000 * gravity);

/** Coefficient of a minor loss that falls by so many bar at one cubic metre an hour. */
const lossOf = (resistance: number) => resistance * metrePerBar * 2 * gravity * (area * 3600) ** 2;

interface Pipe {
  readonly id: string;
  readonly from: string;
  readonly to: string;
  readonly resistance: number;
}

/** Flows by EPANET, m³/h. */
async function judge(headBar: number, pipes: readonly Pipe[]): Promise<Map<string, number>> {
  const workspace = new Workspace();
  await workspace.loadModule();
  const model = new Project(workspace);
  model.init('report.rpt', 'out.bin', FlowUnits.CMH, HeadLossType.DW);
  const heads: Readonly<Record<string, number>> = { pump: headBar * metrePerBar, back: 0 };
  for (const node of new Set(pipes.flatMap(({ from, to }) => [from, to]))) {
    const isFixed = Object.hasOwn(heads, node);
    const index = model.addNode(node, isFixed ? NodeType.Reservoir : NodeType.Junction);
    if (isFixed) model.setNodeValue(index, 0, heads[node]!);
  }
  for (const { id, from, to, resistance } of pipes) {
    const index = model.addLink(id, LinkType.Pipe, from, to);
    model.setPipeData(index, 1e-3, boreMillimetre, 1e-3, lossOf(resistance));
  }
  // Option 1 is the accuracy, 0 the number of trials.
  model.setOption(1, 1e-8);
  model.setOption(0, 500);
  model.openH();
  model.initH(10);
  model.runH();
  const flows = new Map(
    // Property 8 of a link is its flow.
    pipes.map(({ id }) => [id, model.getLinkValue(model.getLinkIndex(id), 8)]),
  );
  model.closeH();
  model.close();
  return flows;
}

describe('the flows of a house', () => {
  it.each([6, 8, 13])(
    'of %i radiators between a common flow and return are EPANET’s',
    async (count) => {
      const random = seededRandom(count);
      const branches = Array.from(
        { length: count },
        () =>
          random.between({ least: 4, most: 30 }) +
          1 / kvAt(random.between({ least: 0.3, most: 4 })) ** 2,
      );
      const flows = branchFlows({ headBar: 0.45, shared: 0.9, branches });
      const judged = await judge(0.45, [
        { id: 'shared', from: 'pump', to: 'flow', resistance: 0.9 },
        ...branches.map((resistance, k) => ({ id: `r${k}`, from: 'flow', to: 'back', resistance })),
      ]);
      flows.forEach((each, k) => expect(each / judged.get(`r${k}`)!).toBeCloseTo(1, 2.5));
    },
  );

  it.each([3, 11, 21])(
    'that is simulated, with trunks that some share, are EPANET’s: house %i',
    async (seed) => {
      const house = drawHouse(seededRandom(seed));
      const turns = house.radiators.map((_, k) => [4, 0.6, 1.5, 0.4][k % 4]!);
      const kv = (
        { lockshieldKv, turnsToOpen, deadTurns }: (typeof house.radiators)[number],
        t: number,
      ) => lockshieldKv * (1 - Math.exp(-Math.max(0, t - deadTurns) / turnsToOpen));
      const pipes: Pipe[] = [
        { id: 'shared', from: 'pump', to: 'leg', resistance: house.shared + house.headFallBar },
      ];
      let at = 'leg';
      house.radiators.forEach((each, k) => {
        if (k === 0 || house.radiators[k - 1]!.leg !== each.leg) at = 'leg';
        pipes.push({ id: `t${k}`, from: at, to: `n${k}`, resistance: house.trunks[k]! });
        at = `n${k}`;
        pipes.push({
          id: `r${k}`,
          from: at,
          to: 'back',
          resistance: each.branch + 1 / kv(each, turns[k]!) ** 2,
        });
      });
      const judged = await judge(house.headBar, pipes);
      houseFlows(house, turns).forEach((each, k) =>
        expect(each / judged.get(`r${k}`)!).toBeCloseTo(1, 2.5),
      );
    },
  );
});
