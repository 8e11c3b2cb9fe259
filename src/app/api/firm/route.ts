import { applicationDatabase } from '@/database/client';
import { readJson } from '@/server/read-body';
import { respond } from '@/server/respond';
import { setUpFirm, type NewFirm } from '@/server/set-up-firm';

export async function POST(request: Request): Promise<Response> {
  return respond(async () => {
    const sent = ((await readJson(request)) ?? {}) as Partial<Record<keyof NewFirm, unknown>>;
    const text = (key: keyof NewFirm) => (typeof sent[key] === 'string' ? String(sent[key]) : '');
    await setUpFirm(applicationDatabase(), {
      name: text('name'),
      address: text('address'),
      technician: text('technician'),
      licence: text('licence'),
      unitSystem: sent.unitSystem === 'metric' ? 'metric' : 'us',
      timeZone: text('timeZone'),
      liveWork: sent.liveWork === true,
      gasWork: sent.gasWork === true,
    });
  });
}
