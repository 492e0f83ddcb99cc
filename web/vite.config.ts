import { basename, dirname } from 'node:path';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import type { Plugin } from 'vite';

const server = 'http://127.0.0.1:4170';

/**
 * On a slow line what is seen first goes first: the style sheet, the first sight of the Floor and what it asks for. The files of
 * the application are only named in the page; the first sight fetches them (`web/src/floor/first-sight.ts`).
 */
const applicationBehind: Plugin = {
  name: 'application-behind',
  apply: 'build',
  transformIndexHtml: {
    order: 'post',
    handler: (html) => {
      const entry = /<script type="module" crossorigin src="([^"]+)"><\/script>\s*/;
      const preload = /<link rel="modulepreload" crossorigin href="([^"]+)">\s*/g;
      const files = [...html.matchAll(preload)].map((m) => m[1]);
      const first = entry.exec(html)?.[1];
      if (!first) throw new Error('The page has no entry of the application.');
      return html
        .replace(entry, `<meta name="application" content="${[first, ...files].join(' ')}" />\n    `)
        .replaceAll(preload, '');
    },
  },
};

export default defineConfig({
  plugins: [react(), applicationBehind],
  // The name of a class says where it is from: `.floor-strip` is `.strip` of floor/floor.module.css.
  css: { modules: { generateScopedName: (name, file) => `${basename(dirname(file))}-${name}` } },
  build: {
    target: 'es2022',
    chunkSizeWarningLimit: 900,
    rolldownOptions: {
      output: {
        codeSplitting: {
          // The parts of the interface library go with the pages that use them: in one file, the Floor would load those of all.
          groups: [{ name: 'react', test: /node_modules\/(react|react-dom|react-router|scheduler)\// }],
        },
      },
    },
  },
  // The server takes changes from its own pages only; to it, what the development server passes on is one.
  server: { proxy: { '/api': { target: server, changeOrigin: true, headers: { origin: server } } } },
});
