/** Tabs of one browser are one device: who is chosen in one works in all. */
const channelName = 'ohmmeter-technician';

/** Tells the other tabs who works on this device from now on. */
export function tellTechnician(name: string): void {
  if (typeof BroadcastChannel === 'undefined') return;
  const channel = new BroadcastChannel(channelName);
  channel.postMessage(name);
  channel.close();
}

/** Hears who was chosen in another tab; gives what ends it. */
export function hearTechnician(hear: (name: string) => void): () => void {
  if (typeof BroadcastChannel === 'undefined') return () => undefined;
  const channel = new BroadcastChannel(channelName);
  channel.onmessage = ({ data }: MessageEvent<unknown>) => hear(String(data));
  return () => channel.close();
}
