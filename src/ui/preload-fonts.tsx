'use client';

import { preload } from 'react-dom';

/** As fonts.css names them: the browser asks for them with the page, not once it has set its first line. */
const fonts = [
  new URL('../../dist/fonts/firago-400.woff2', import.meta.url),
  new URL('../../dist/fonts/firago-500.woff2', import.meta.url),
  new URL('../../dist/fonts/firago-600.woff2', import.meta.url),
].map(({ pathname }) => pathname);

export function PreloadFonts() {
  for (const each of fonts) {
    preload(each, { as: 'font', type: 'font/woff2', crossOrigin: 'anonymous' });
  }
  return null;
}
