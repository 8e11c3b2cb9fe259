/** Tells the start-up script that this checkout's application answers, and no other's. */
export function GET(): Response {
  return new Response(`ohmmeter ${process.env.OHMMETER_HOME ?? ''}`);
}

export const dynamic = 'force-dynamic';
