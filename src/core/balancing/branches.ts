/**
 * Flows of a house of radiators that hang between a common flow and a common return. Everything shared (boiler, filter, trunk
 * pipes, the fall of the pump curve) is one resistance. In bar and m³/h, so that a resistance is 1/Kv².
 *
 * Real houses have trunks that some radiators share; what that differs by, a repeated fit takes up.
 */
export interface Branches {
  /** Head of the pump at no flow, bar. */
  readonly headBar: number;
  /** Of what all share. */
  readonly shared: number;
  /** Of each branch with its lockshield. */
  readonly branches: readonly number[];
}

/** Flow of each branch, m³/h; in closed form. */
export function branchFlows(house: Branches): number[] {
  const { conductances, all, total } = together(house);
  return conductances.map((each) => (total * each) / all);
}

/** How each flow moves with the head, with what is shared and with the resistance of each branch, by their logarithms. */
export function branchFlowSlopes(house: Branches): {
  readonly byHead: readonly number[];
  readonly byShared: readonly number[];
  /** Of the first branch's flow with the second branch's resistance. */
  byBranch(flow: number, branch: number): number;
} {
  const { headBar, shared } = house;
  const { conductances, all, total } = together(house);
  const resistance = headBar / total ** 2;
  const flowOf = (k: number) => (total * conductances[k]!) / all;
  // Of the flow of all with the conductance of all.
  const ofTotal = total / (resistance * all ** 3);
  return {
    byHead: conductances.map((_, k) => flowOf(k) / 2),
    byShared: conductances.map((_, k) => (-flowOf(k) * shared) / (2 * resistance)),
    byBranch(flow, branch) {
      const conductance = conductances[branch]!;
      const own = flow === branch ? total / all : 0;
      const byConductance = own + conductances[flow]! * (ofTotal / all - total / all ** 2);
      return (-conductance / 2) * byConductance;
    },
  };
}

function together({ headBar, shared, branches }: Branches) {
  const conductances = branches.map((each) => 1 / Math.sqrt(each));
  const all = conductances.reduce((sum, each) => sum + each, 0);
  return { conductances, all, total: Math.sqrt(headBar / (shared + 1 / all ** 2)) };
}
