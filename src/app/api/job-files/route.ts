import { bringIn } from '@/server/bring-in';
import { readKey } from '@/server/read-key';
import { readBody } from '@/server/read-body';
import { readBenchPage } from '@/server/read-job-page';
import { respond } from '@/server/respond';

export async function POST(request: Request): Promise<Response> {
  return respond(async () => {
    const id = readKey(request);
    const imported = await bringIn(await readBody(request, 20), { leaving: request.signal, id });
    // Whoever brings a job in opens it next. Nobody waits for this.
    void readBenchPage(imported.id).catch(() => undefined);
    return imported;
  });
}
