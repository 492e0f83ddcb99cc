import { freshDatabase } from '../server/src/testing/harness.ts';
import { fillWith } from '../server/src/testing/volume.ts';
const d = await freshDatabase();
const t = Date.now();
const big = process.argv[2] === 'big';
const shops = await fillWith(
  d.url,
  big
    ? { seed: 1, jobs: [5000, ...Array(19).fill(500)], inBays: 6, inYard: 194, factsPerJob: 90, recordsPerJob: 48, linesPerJob: 207 }
    : { seed: 1, jobs: [400, 50, 50], inBays: 6, inYard: 40, factsPerJob: 90, recordsPerJob: 48, linesPerJob: 60 },
  (w) => console.log(w, Date.now() - t),
);
console.log(d.url, JSON.stringify(shops.slice(0, 2)), Date.now() - t);
