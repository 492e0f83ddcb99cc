import { basename, dirname } from 'node:path';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

const server = 'http://127.0.0.1:4170';

export default defineConfig({
  plugins: [react()],
  // The name of a class says where it is from: `.floor-strip` is `.strip` of floor/floor.module.css.
  css: { modules: { generateScopedName: (name, file) => `${basename(dirname(file))}-${name}` } },
  build: {
    target: 'es2022',
    chunkSizeWarningLimit: 900,
    rolldownOptions: {
      output: {
        codeSplitting: {
          groups: [
            { name: 'react', test: /node_modules\/(react|react-dom|react-router|scheduler)\// },
            { name: 'mantine', test: /node_modules\/@mantine\/(core|hooks)\// },
          ],
        },
      },
    },
  },
  // The server takes changes from its own pages only; to it, what the development server passes on is one.
  server: { proxy: { '/api': { target: server, changeOrigin: true, headers: { origin: server } } } },
});
