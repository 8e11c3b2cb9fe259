import { readFile } from 'node:fs/promises';
import path from 'node:path';

/** What scripts/build-service-worker.mjs made of src/service-worker, with the list of this build's files in it. */
export async function GET(): Promise<Response> {
  try {
    const text = await readFile(path.join(process.cwd(), 'dist/service-worker.js'), 'utf8');
    return new Response(text, {
      headers: { 'content-type': 'text/javascript; charset=utf-8', 'cache-control': 'no-cache' },
    });
  } catch {
    return new Response('// No build, no service worker.', { status: 404 });
  }
}

export const dynamic = 'force-dynamic';
