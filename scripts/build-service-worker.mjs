/** Bundles the service worker, with the list of the files of the build that has just been made. Called by scripts/build.sh. */
import { readdirSync } from 'node:fs';
import path from 'node:path';
import { build } from 'esbuild';

const folder = '.next/static';
/** What a page can ask for; not the maps and the manifests of the build. */
const wanted = /\.(js|css|woff2|svg|wav)$/;

const files = readdirSync(folder, { recursive: true, withFileTypes: true })
  .filter((each) => each.isFile() && wanted.test(each.name))
  .map((each) =>
    path.posix.join('/_next/static', path.relative(folder, each.parentPath), each.name),
  )
  .sort();

await build({
  entryPoints: { 'service-worker': 'src/service-worker/service-worker.ts' },
  outdir: 'dist',
  bundle: true,
  format: 'iife',
  target: 'es2022',
  minifySyntax: true,
  define: {
    OHMMETER_BUILD: JSON.stringify((process.env.OHMMETER_BUILD ?? 'development').slice(0, 16)),
    OHMMETER_FILES: JSON.stringify([...files, '/icon.svg']),
  },
});
