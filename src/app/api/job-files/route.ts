import { bringIn } from '@/server/bring-in';
import { readBody } from '@/server/read-body';
import { readBenchPage } from '@/server/read-job-page';
import { respond } from '@/server/respond';

export async function POST(request: Request): Promise<Response> {
  return respond(async () => {
    const imported = await bringIn(await readBody(request, 20), request.signal);
    // Whoever brings a job in opens it next. Nobody waits for this.
    void readBenchPage(imported.id).catch(() => undefined);
    return imported;
  });
}
