// The first load: the page itself, what it imports at once, and Today with all it imports.
import { readFileSync } from 'node:fs';

const dist = 'packages/web/dist/';
const manifest = JSON.parse(readFileSync(`${dist}.vite/manifest.json`, 'utf8'));
const seen = new Set();
const visit = (key) => {
  if (seen.has(key)) return;
  seen.add(key);
  manifest[key].imports?.forEach(visit);
};
['index.html', 'src/today/TodayPage.tsx'].forEach(visit);

export default [
  {
    name: 'JavaScript of the first load',
    path: [...seen].map((key) => dist + manifest[key].file).filter((file) => file.endsWith('.js')),
    gzip: true,
    limit: '250 kB',
  },
];
