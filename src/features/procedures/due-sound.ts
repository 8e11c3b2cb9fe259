'use client';

/** The sound of a timer that is due, decoded once; a device without sound still shows it. */
let context: AudioContext | undefined;
let sound: Promise<AudioBuffer> | undefined;

/** To be called from a tap: a page may make no sound before one. */
export function readySound(): void {
  try {
    context ??= new AudioContext();
    void context.resume();
    sound ??= load(context);
    sound.catch(() => {
      sound = undefined;
    });
  } catch {
    // No sound on this device: the page shows what is due.
  }
}

async function load(own: AudioContext): Promise<AudioBuffer> {
  const response = await fetch(new URL('./due.wav', import.meta.url).href);
  return own.decodeAudioData(await response.arrayBuffer());
}

/** Rings and shakes, as far as the device can. */
export async function ring(): Promise<void> {
  if ('vibrate' in navigator) navigator.vibrate([250, 120, 250]);
  const own = context;
  if (!own || !sound) return;
  try {
    const source = own.createBufferSource();
    source.buffer = await sound;
    source.connect(own.destination);
    source.start();
  } catch {
    // The sound did not come: what is due stands on the page.
  }
}
