import { instrumentsStanding } from '@/server/instruments';
import { respond } from '@/server/respond';
import { hasSimulatedUnit } from '@/server/simulated-unit';

/** The instruments that the server reaches, and whether a simulated unit is on its bench. */
export const GET = (): Promise<Response> =>
  respond(async () => ({
    instruments: await instrumentsStanding(),
    hasSimulatedUnit: hasSimulatedUnit(),
  }));
