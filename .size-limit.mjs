// The first load (the page itself and Today, with all they import at once), and what each page adds to it.
import { readFileSync } from 'node:fs';

const dist = 'packages/web/dist/';
const manifest = JSON.parse(readFileSync(`${dist}.vite/manifest.json`, 'utf8'));

/** Everything that some entries import at once. */
function closure(keys, seen = new Set()) {
  for (const key of keys)
    if (!seen.has(key)) {
      seen.add(key);
      closure(manifest[key].imports ?? [], seen);
    }
  return seen;
}

const first = closure(['index.html', 'src/today/TodayPage.tsx']);
const files = (keys) => [...keys].map((key) => dist + manifest[key].file).filter((file) => file.endsWith('.js'));
const own = (page) => files([...closure([page])].filter((key) => !first.has(key)));
const pages = Object.keys(manifest).filter((key) => manifest[key].isDynamicEntry && own(key).length > 0);

/** Kilobytes; 150 holds for what is not named. Charts are a library of their own and come after their page; a map comes with its, and the console and some panels after the marking screen that they count in. */
const limits = { Chart: 390, Map: 180, Console: 180, Page: 150 };
const ofDesk = /YardConsole|QuestionsPanel|Sensors?(Panel|Reader)/;
const withMap = /RoutePage|PlanPanel|TraceOfDrive/;

export default [
  { name: 'JavaScript of the first load', path: files(first), gzip: true, limit: '215 kB' },
  ...pages.map((page) => ({
    name: `${page
      .split('/')
      .at(-1)
      .replace(/\.\w+$/, '')}, beyond the first load`,
    path: own(page),
    gzip: true,
    limit: `${/Chart/.test(page) ? limits.Chart : withMap.test(page) ? limits.Map : ofDesk.test(page) ? limits.Console : limits.Page} kB`,
  })),
];
