import { FromDevice } from '@/features/without-server/from-device';

/** What the service worker gives in the place of a page that the server does not answer for. */
export default function Page() {
  return <FromDevice />;
}
