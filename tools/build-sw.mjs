// Bundles the first sight of the Floor, and the service worker, and tells it what the shell is made of: every file of the built web but pictures of docs and source maps.
import { createHash } from 'node:crypto';
import { readFileSync, readdirSync } from 'node:fs';
import { build } from 'esbuild';

const dist = new URL('../web/dist/', import.meta.url);
// A font of another script is fetched when a page needs it; the shell is read in Latin letters.
const wanted = (name) => /\.(js|css|svg)$/.test(name) || (/latin-[^.]*\.woff2$/.test(name) && !/latin-ext/.test(name));
const assets = readdirSync(new URL('assets/', dist)).filter(wanted);
const revision = (name) =>
  createHash('sha256')
    .update(readFileSync(new URL(name, dist)))
    .digest('hex')
    .slice(0, 16);
const bundled = { bundle: true, minify: true, target: 'es2022', format: 'iife', logLevel: 'warning' };
await build({ ...bundled, entryPoints: ['web/src/floor/first-sight.ts'], outfile: 'web/dist/first-sight.js' });

const shell = [
  { url: '/index.html', revision: revision('index.html') },
  { url: '/mark.svg', revision: revision('mark.svg') },
  { url: '/first-sight.js', revision: revision('first-sight.js') },
  ...assets.map((name) => ({ url: `/assets/${name}`, revision: null })),
];

await build({
  ...bundled,
  entryPoints: ['web/src/app/sw.ts'],
  define: { __SHELL__: JSON.stringify(shell), 'process.env.NODE_ENV': '"production"' },
  outfile: 'web/dist/sw.js',
});
