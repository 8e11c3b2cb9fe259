import { NotFound } from '@/server/errors';
import { answerAhead } from '@/server/answer-ahead';
import { importJob } from '@/server/import-job';
import { readBody } from '@/server/read-body';
import { readBenchPage } from '@/server/read-job-page';
import { respond } from '@/server/respond';
import { inFirmChanging } from '@/server/session';

export async function POST(request: Request): Promise<Response> {
  return respond(async () => {
    const text = await readBody(request, 20);
    const imported = await inFirmChanging(
      (transaction, { organisationId, technician }) =>
        importJob(transaction, organisationId, technician.id, text, (opened) =>
          answerAhead(transaction, technician, opened),
        ),
      ({ id }) => id,
      'brought-in',
    );
    if (!imported) throw new NotFound('No firm is set up yet.');
    // Whoever brings a job in opens it next. Nobody waits for this.
    void readBenchPage(imported.id).catch(() => undefined);
    return imported;
  });
}
