// What the two commands need before they can begin. Uses nothing but Node itself.
import { spawn } from 'node:child_process';
import { createHash } from 'node:crypto';
import { accessSync, constants, existsSync, readFileSync, writeFileSync } from 'node:fs';
import { findChromium } from './find-chromium.mjs';

const [major, minor] = process.versions.node.split('.').map(Number);

/** Ends with a sentence for the person at the terminal. */
export function giveUp(sentence) {
  console.error(sentence);
  process.exit(1);
}

/** Runs a command, shows what it prints, and returns whether it went well. */
export function run(command, args, env = {}) {
  return new Promise((resolve) => {
    const child = spawn(command, args, { stdio: 'inherit', env: { ...process.env, ...env } });
    child.on('error', ({ message }) => {
      console.error(`${command} could not be started: ${message}`);
      resolve(false);
    });
    child.on('close', (status) => resolve(status === 0));
  });
}

/** Runs a command beside others and returns whether it went well and what it printed. */
export function runBeside(command, args) {
  return new Promise((resolve) => {
    const child = spawn(command, args, { stdio: ['ignore', 'pipe', 'pipe'] });
    let printed = '';
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (text) => (printed += text));
    child.on('error', ({ message }) =>
      resolve({ well: false, printed: `${command} could not be started: ${message}\n` }),
    );
    child.on('close', (status) => resolve({ well: status === 0, printed }));
  });
}

export function requireNode() {
  if (major === 20 ? minor >= 19 : major > 22 || (major === 22 && minor >= 12)) return;
  giveUp(
    `Jasperwren needs Node.js 20.19 or later of version 20, or 22.12 and later; this is ${process.versions.node}.`,
  );
}

/** Installs the packages of the lock file where they are missing or others. */
export async function ensureInstalled() {
  try {
    accessSync('.', constants.W_OK);
  } catch {
    giveUp(`This folder (${process.cwd()}) cannot be written. Give this user write permission to it and try again.`);
  }
  const lock = createHash('sha256').update(readFileSync('package-lock.json')).digest('hex');
  const stamp = 'node_modules/.installed-from';
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return;
  console.log('Installing packages …');
  // Exactly what the lock file says; only a registry that lacks optional packages of other systems needs the other way.
  if (
    !(await run('npm', ['ci', '--no-audit', '--no-fund'])) &&
    !(await run('npm', ['install', '--no-save', '--no-audit', '--no-fund']))
  )
    giveUp('The packages could not be installed. Check the connection to the npm registry and try again.');
  writeFileSync(stamp, lock);
}

/** What the tests need beside the packages of the registry. Returns the path of a Chromium. */
export async function ensurePrograms() {
  const wanted = [
    ...(findChromium() ? [] : ['chromium-headless-shell']),
    ...((await hasGpsbabel()) ? [] : ['gpsbabel']),
  ];
  if (wanted.length > 0) {
    console.log(`Installing ${wanted.join(' and ')} from the packages of the system …`);
    await apt('update', '-qq');
    const install = (...names) => apt('install', '-y', '-qq', '--no-install-recommends', ...names);
    // Older systems have the whole of Chromium only.
    if (!(await install(...wanted))) await install(...wanted.map((name) => name.replace('-headless-shell', '')));
  }
  if (!(await hasGpsbabel())) giveUp('The unit tests need GPSBabel. Type: sudo apt-get install gpsbabel');
  return (
    findChromium() ??
    giveUp(
      'The end-to-end tests need Chromium. Type: sudo apt-get install chromium\nOr name one that is there: CHROMIUM_PATH=/path/to/chromium npm test',
    )
  );
}

/** Whether a call of the system's package tool worked. */
async function apt(...args) {
  if (!existsSync('/usr/bin/apt-get')) return false;
  const sudo = process.getuid?.() === 0 ? [] : ['sudo', '-n'];
  const [program, ...more] = [...sudo, 'apt-get', ...args];
  return run(program, more, { DEBIAN_FRONTEND: 'noninteractive' });
}

/** The program that reads and writes files of position loggers; a unit test has it read ours. */
const hasGpsbabel = () => run('sh', ['-c', 'command -v gpsbabel > /dev/null']);
