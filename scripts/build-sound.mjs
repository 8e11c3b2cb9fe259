/** Makes the sound of a timer that is due: two short tones, 8 bits at 8 kHz. Run by hand; its file is kept. */
import { writeFileSync } from 'node:fs';

const rate = 8000;
const tone = (hertz, seconds) =>
  Array.from({ length: Math.round(rate * seconds) }, (_, k) => {
    // Rising and falling for a hundredth of a second, so that it does not crack.
    const edge = Math.min(1, (k / rate) * 100, (seconds - k / rate) * 100);
    return Math.round(128 + 110 * edge * Math.sin((2 * Math.PI * hertz * k) / rate));
  });
const silence = (seconds) => Array.from({ length: Math.round(rate * seconds) }, () => 128);
const samples = Buffer.from([...tone(880, 0.16), ...silence(0.08), ...tone(1175, 0.24)]);

const header = Buffer.alloc(44);
header.write('RIFF', 0);
header.writeUInt32LE(36 + samples.length, 4);
header.write('WAVEfmt ', 8);
header.writeUInt32LE(16, 16);
header.writeUInt16LE(1, 20);
header.writeUInt16LE(1, 22);
header.writeUInt32LE(rate, 24);
header.writeUInt32LE(rate, 28);
header.writeUInt16LE(1, 32);
header.writeUInt16LE(8, 34);
header.write('data', 36);
header.writeUInt32LE(samples.length, 40);
writeFileSync('src/features/procedures/due.wav', Buffer.concat([header, samples]));
