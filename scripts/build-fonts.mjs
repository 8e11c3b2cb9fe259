/**
 * Cuts the fonts down to the characters that Ohmmeter shows: the packages' files carry several scripts and every typographic
 * nicety. Names in another script are shown in the device's own font.
 */
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import subsetFont from 'subset-font';

const from = 'node_modules/@fontsource/firago/files';
const to = 'dist/fonts';
const weights = [400, 500, 600];

const range = (first, last) =>
  String.fromCodePoint(...Array.from({ length: last - first + 1 }, (_, k) => first + k));
/** Latin with its accents, for names and streets; then what the interface and the trade write. */
const characters =
  range(0x20, 0x7e) + range(0xa0, 0x17f) + 'ȘșȚț–—‘’‚“”„†•…‰′″‹›€™ΩµΔ∂∞∫√≈≠≤≥−×÷±°²³½¼¾←↑→↓';

mkdirSync(to, { recursive: true });
for (const weight of weights) {
  const name = `firago-latin-${weight}-normal.woff2`;
  const whole = readFileSync(path.join(from, name));
  const cut = await subsetFont(whole, characters, {
    targetFormat: 'woff2',
    keepFeatures: ['kern', 'mark', 'mkmk', 'ccmp', 'locl', 'tnum', 'lnum', 'zero'],
  });
  writeFileSync(path.join(to, `firago-${weight}.woff2`), cut);
}
