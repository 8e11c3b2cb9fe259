import 'server-only';
import { GoneError } from '../instruments/instrument';
import { tcpLines } from '../instruments/tcp-lines';
import { NotFound, Refused } from './errors';

/** Where the hands of the simulated bench are: `OHMMETER_SIMULATED_BENCH` has its host and port. Only the demo has one. */
function bench() {
  const [, host, port] =
    /^(127\.0\.0\.1):(\d+)$/.exec(process.env.OHMMETER_SIMULATED_BENCH ?? '') ?? [];
  if (!host || !port)
    throw new NotFound('There is no simulated unit here: ./ohmmeter demo starts one.');
  return (lines ??= tcpLines(host, Number(port)));
}

let lines: ReturnType<typeof tcpLines> | undefined;

export const hasSimulatedUnit = (): boolean => process.env.OHMMETER_SIMULATED_BENCH !== undefined;

/** Does something on the simulated bench, and gives how its unit stands then. */
export async function orderBench(order: object): Promise<object> {
  try {
    const line = await bench().ask(JSON.stringify(order));
    const answer = JSON.parse(line ?? 'null') as { problem?: string } | null;
    if (!answer) throw new NotFound('The simulated unit does not answer.');
    if (answer.problem !== undefined) throw new Refused([{ pointer: '', message: answer.problem }]);
    return answer;
  } catch (error) {
    if (error instanceof GoneError) throw new NotFound('The simulated unit is not running.');
    throw error;
  }
}
