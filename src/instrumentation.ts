/** Called once when the server starts, before it answers: what it begins here goes on beside the first requests. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  if (process.env.NODE_ENV === 'production') {
    const { takeOverConsole } = await import('./server/log');
    takeOverConsole();
  }
  const { warmUp } = await import('./server/warm-up');
  setTimeout(() => void warmUp(), 0);
}
