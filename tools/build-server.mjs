// Bundles our own code; packages stay outside and are loaded from node_modules.
import { readFileSync } from 'node:fs';
import { build } from 'esbuild';

const read = (folder) => JSON.parse(readFileSync(new URL(`../${folder}/package.json`, import.meta.url), 'utf8'));
const external = [...new Set(['server', 'contract'].flatMap((f) => Object.keys(read(f).dependencies)))].filter(
  (name) => !name.startsWith('@bay/'),
);

await build({
  entryPoints: {
    main: 'server/src/main.ts',
    prepare: 'server/src/prepare.ts',
    'load-demo': 'demo/load.ts',
    'position-worker': 'server/src/fit/position-worker.ts',
  },
  bundle: true,
  splitting: true,
  platform: 'node',
  target: 'node20',
  format: 'esm',
  external,
  sourcemap: true,
  outdir: 'dist/server',
  logLevel: 'warning',
});
