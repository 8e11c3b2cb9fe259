import { numberNodes, reusedSolver } from '../../circuit';
import { buildNetlist, sourcesOf, type Topology } from './circuit-of';
import type { Plate } from './plate';

/** The nodes and sources of a plate's circuit: whatever is wrong with a unit and however it is switched, they stay. */
export function plateCircuit(topology: Topology, plate: Plate) {
  const sources = sourcesOf(plate);
  const standing = { breaker: 'on', limit: 'closed', thermostats: {}, lifted: [] } as const;
  const numbering = numberNodes(buildNetlist(topology, plate, {}, standing));
  return {
    sources,
    numbering,
    /** Solves it for other ohms of its branches; what it gives is good until it is called again. */
    solver: () => reusedSolver(sources, numbering),
  };
}
