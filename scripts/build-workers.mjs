/** Bundles what the server runs in threads of its own, each into one file. */
import { build } from 'esbuild';

await build({
  entryPoints: { 'heavy-worker': 'src/server/heavy.worker.ts' },
  outdir: 'dist',
  outExtension: { '.js': '.mjs' },
  bundle: true,
  platform: 'node',
  // Written for require: they are loaded from where they are installed.
  external: ['pg', 'drizzle-orm', 'drizzle-orm/*'],
  format: 'esm',
  target: 'node20',
  minifySyntax: true,
});
