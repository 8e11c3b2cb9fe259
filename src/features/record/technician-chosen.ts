/** Tabs of one browser are one device: who is chosen in one works in all. */
const channelName = 'ohmmeter-technician';

let channel: BroadcastChannel | undefined;

/** One for the page that tells and hears: it does not hear what it told itself. */
function channelOfPage(): BroadcastChannel | undefined {
  if (typeof BroadcastChannel === 'undefined') return undefined;
  return (channel ??= new BroadcastChannel(channelName));
}

/** Tells the other tabs who works on this device from now on. */
export const tellTechnician = (name: string): void => channelOfPage()?.postMessage(name);

/** Hears who was chosen in another tab; gives what ends it. */
export function hearTechnician(hear: (name: string) => void): () => void {
  const heard = ({ data }: MessageEvent<unknown>) => hear(String(data));
  const own = channelOfPage();
  own?.addEventListener('message', heard);
  return () => own?.removeEventListener('message', heard);
}
