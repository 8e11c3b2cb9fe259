/** Bundles the server's own front, and what it runs in threads of its own, each into one file. */
import { build } from 'esbuild';

await build({
  entryPoints: { server: 'src/server/main.ts', 'heavy-worker': 'src/server/heavy.worker.ts' },
  outdir: 'dist',
  outExtension: { '.js': '.mjs' },
  bundle: true,
  platform: 'node',
  // Written for require: they are loaded from where they are installed.
  external: ['next', 'pg', 'drizzle-orm', 'drizzle-orm/*', 'rotating-file-stream', 'send'],
  // A package that says that it is for the server alone finds itself there.
  conditions: ['react-server'],
  define: {
    'process.env.OHMMETER_BUILD': JSON.stringify(process.env.OHMMETER_BUILD ?? 'development'),
  },
  format: 'esm',
  target: 'node20',
  minifySyntax: true,
});
