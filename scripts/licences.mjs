// npm run licences [-- --write]: the licences of everything that ships, from the lock file and the packages themselves. Refuses any that is not
// named here, and a docs/licences.md that says something else; --write writes it.
import { existsSync, readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { format, resolveConfig } from 'prettier';

const target = 'docs/licences.md';

/** What may ship, with what follows from it. */
const allowed = {
  MIT: 'the notice goes along',
  'MIT-0': 'nothing follows',
  ISC: 'the notice goes along',
  '0BSD': 'nothing follows',
  'BSD-2-Clause': 'the notice goes along',
  'BSD-3-Clause': 'the notice goes along; names of its makers recommend nothing',
  'Apache-2.0': 'the licence and its NOTICE go along',
  'BSL-1.0': 'nothing follows for programs; the notice stays in the source',
  'BlueOak-1.0.0': 'the licence goes along',
  'CC0-1.0': 'nothing follows',
  Unlicense: 'nothing follows',
  Zlib: 'the notice stays in the source',
  'Python-2.0': 'the notice goes along',
  'OFL-1.1': 'fonts: the licence goes along, and they are not sold by themselves',
  'LGPL-3.0+':
    'a library of its own beside the program, which can be replaced by another version; its source is what the registry has',
};

/** Packages that say nothing in their manifest: as their licence file reads. */
const read = { 'thirty-two 1.0.2': 'MIT' };

const mayShip = (term) => term.split(' AND ').every((one) => one in allowed);

/** Terms as the packages write them, one way each. Of `A OR B` it is the first that may ship. */
function termOf(written) {
  const text = typeof written === 'object' && written !== null ? written.type : written;
  if (typeof text !== 'string') return 'none said';
  const either = text.replace(/^\(|\)$/g, '').split(/ OR /i);
  return either.find(mayShip) ?? text;
}

const { packages } = JSON.parse(readFileSync('package-lock.json', 'utf8'));
const shipped = Object.entries(packages).filter(
  ([path, { dev, devOptional, link }]) => path.includes('node_modules/') && !dev && !devOptional && !link,
);

const rows = shipped.map(([path, { version, license, os, cpu }]) => {
  const name = path.slice(path.lastIndexOf('node_modules/') + 'node_modules/'.length);
  const manifest = join(path, 'package.json');
  const own = existsSync(manifest) ? JSON.parse(readFileSync(manifest, 'utf8')) : {};
  const term = read[`${name} ${version}`] ?? termOf(license ?? own.license ?? own.licenses?.[0]);
  const files = existsSync(path) ? readdirSync(path).filter((file) => /^(licen[cs]e|notice|copying)/i.test(file)) : [];
  // Builds of one package for one system each: which of them is there, only this machine knows.
  return { name, version, term, files: os || cpu ? [] : files };
});
const unique = [...new Map(rows.map((row) => [`${row.name} ${row.version}`, row])).values()].sort((a, b) =>
  a.name === b.name ? (a.version < b.version ? -1 : 1) : a.name < b.name ? -1 : 1,
);

const refused = unique.filter(({ term }) => !mayShip(term));
for (const { name, version, term } of refused)
  console.error(
    `${name} ${version} stands under "${term}", which is none of those that may ship (scripts/licences.mjs).`,
  );

const has = (row, term) => row.term.split(' AND ').includes(term);
const used = Object.entries(allowed).filter(([term]) => unique.some((row) => has(row, term)));
const text = await format(
  `# Licences of what ships

Made by \`npm run licences -- --write\` from the lock file; the linter compares it, and refuses any other licence than these. Each package brings its own notice along in
\`node_modules\`; whoever hands the product on hands those files on with it.

| licence | packages | what follows |
|---|---|---|
${used.map(([term, follows]) => `| ${term} | ${unique.filter((row) => has(row, term)).length} | ${follows} |`).join('\n')}

\`openpgp\` (LGPL-3.0+) encrypts backups. It stays a package of its own that the server loads, unchanged, from \`node_modules\`: whoever runs the product can put another version
in its place, and finds its source in the registry under the same name and version.

| package | version | licence | notice |
|---|---|---|---|
${unique.map(({ name, version, term, files }) => `| ${name} | ${version} | ${term} | ${files.join(', ')} |`).join('\n')}
`,
  { ...(await resolveConfig(target)), parser: 'markdown' },
);
if (process.argv.includes('--write')) writeFileSync(target, text);
else if (!existsSync(target) || readFileSync(target, 'utf8') !== text) {
  console.error(`${target} says something else than the packages: npm run licences -- --write`);
  process.exitCode = 1;
}
if (refused.length > 0) process.exitCode = 1;
