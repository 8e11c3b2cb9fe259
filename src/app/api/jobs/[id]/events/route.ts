import { listenForEntries } from '@/database/listen';
import { streamOf } from '@/server/stream';

/**
 * Says whenever entries come to a job, so that every device on it asks for them: server-sent events without content of their
 * own. `deaf` is said while the server itself hears nothing of the others.
 */
export async function GET(
  request: Request,
  { params }: RouteContext<'/api/jobs/[id]/events'>,
): Promise<Response> {
  const id = (await params).id.toLowerCase();
  return streamOf(request, (say) =>
    listenForEntries(id, (isConnected) =>
      say(isConnected ? 'event: entries\ndata: \n\n' : 'event: deaf\ndata: \n\n'),
    ),
  );
}
