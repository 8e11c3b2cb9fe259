import { serveBench } from '../simulated-bench/serve';

/** Serves the simulated bench until the process is told to stop. */
export async function runSimulatedBench(port: string): Promise<number> {
  const first = Number(port);
  if (!(Number.isInteger(first) && first >= 1024 && first <= 65_530)) {
    console.error('A port is a number from 1024 to 65530: four more follow it.');
    return 2;
  }
  try {
    const close = await serveBench(first);
    console.log(`The simulated bench listens on 127.0.0.1:${first} to ${first + 4}`);
    await new Promise<void>((resolve) => {
      for (const signal of ['SIGTERM', 'SIGINT'] as const) process.once(signal, () => resolve());
    });
    close();
    // Instruments that are still held would keep it.
    process.exit(0);
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException;
    console.error(
      code === 'EADDRINUSE' ? `One of the ports from ${first} on is taken.` : String(error),
    );
    return 1;
  }
}
