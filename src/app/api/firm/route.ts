import { applicationDatabase, installationOrganisation } from '@/database/client';
import { isTimeZone } from '@/core/job-file';
import { Refused } from '@/server/errors';
import { readJson } from '@/server/read-body';
import { respond } from '@/server/respond';
import { setUpFirm, type NewFirm } from '@/server/set-up-firm';

export async function POST(request: Request): Promise<Response> {
  return respond(async () => {
    const sent = (await readJson(request)) as Partial<Record<keyof NewFirm, unknown>>;
    const database = applicationDatabase();
    if (await installationOrganisation(database)) {
      throw new Refused([{ pointer: '', message: 'A firm is already set up here.' }]);
    }
    const text = (key: keyof NewFirm) => (typeof sent[key] === 'string' ? String(sent[key]) : '');
    await setUpFirm(database, {
      name: text('name'),
      address: text('address'),
      technician: text('technician'),
      licence: text('licence'),
      unitSystem: sent.unitSystem === 'metric' ? 'metric' : 'us',
      // Nobody chooses it: a browser says its own, and one that is not known here is no reason to be refused.
      timeZone: isTimeZone(text('timeZone')) ? text('timeZone') : 'UTC',
      liveWork: sent.liveWork === true,
      gasWork: sent.gasWork === true,
    });
  });
}
