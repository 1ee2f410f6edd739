import { gunzipSync } from 'node:zlib';
import { foldDrive } from '@jasperwren/core/drive/fold';
import { driveColumns, driveTable } from '@jasperwren/core/formats/drive-table';
import { licenceTestLine, mockTestLine, t } from '@jasperwren/words/own-data';
import escape from 'escape-html';
import { strToU8, zipSync, type Zippable } from 'fflate';
import type { InSchool } from '../call';
import { drivesOfLearner, getDrive } from '../drives/store';
import { toCsv } from '../csv';
import { getLearner } from '../learners/store';
import { sheetsOfLearner } from '../sheets/store';
import { registry } from './registry';
import { rowsAbout } from './rows';

/** What is in a row that opens something: it belongs to nobody's eyes. */
const secrets = new Set(['token_hash', 'code_hash', 'data']);

/**
 * Everything that is kept about a learner, as a zip: all rows as JSON, tables for a spreadsheet, and a page to read.
 * Notes of the instructors are in it, private ones too: they are about the learner.
 * @throws 404 where the school has no such learner
 */
export async function exportLearner(call: InSchool, learnerId: string): Promise<Uint8Array> {
  const { now } = call;
  const learner = await getLearner(call, learnerId);
  const [rows, drives, sheets] = await Promise.all([
    rowsAbout(call, learnerId),
    drivesOfLearner(call, learnerId),
    sheetsOfLearner(call, learnerId),
  ]);
  const files: Zippable = {};
  const everything = Object.fromEntries(
    [...rows].map(([table, found]) => [table, found.map((row) => readable(table, row))]),
  );
  files['everything.json'] = strToU8(JSON.stringify({ madeAt: now.toISOString(), ...everything }, undefined, 2));
  for (const { id, startedAt } of drives) {
    const { standard, events } = await getDrive(call, id);
    files[`drives/${startedAt.slice(0, 10)}-${id}.csv`] = strToU8(
      toCsv(driveColumns, driveTable(standard, foldDrive(events))),
    );
  }
  for (const voice of everything['pin_voices'] ?? []) {
    const { drive_id, pin_id, type, audio } = voice as Readonly<Record<string, string>>;
    files[`voices/${drive_id}-${pin_id}.${type!.split('/')[1]}`] = Buffer.from(audio!, 'base64');
  }
  for (const table of ['lessons', 'reviews'] as const) {
    const found = (everything[table] ?? []).map((row) =>
      Object.fromEntries(Object.entries(row).map(([name, value]) => [name, cell(value)])),
    );
    files[`${table}.csv`] = strToU8(toCsv(Object.keys(registry[table]), found));
  }
  const own = Object.entries((everything['learners'] ?? [])[0] ?? {}).filter(([, value]) => value !== null);
  files['index.html'] = strToU8(
    page(t('kept', { name: learner.name }), now, [
      [t('person'), own.map(([name, value]) => [name.replaceAll('_', ' '), cell(value)])],
      [
        t('mockTests'),
        drives.map(({ startedAt, standard, outcome, instructorName }) => [
          startedAt.slice(0, 10),
          mockTestLine(standard, outcome, instructorName),
        ]),
      ],
      [
        t('licenceTests'),
        sheets.map(({ date, official, standard, notes }) => [date, licenceTestLine(standard.name, official, notes)]),
      ],
      [t('howMuch'), [...rows].map(([table, found]) => [table.replaceAll('_', ' '), String(found.length)])],
    ]),
  );
  return zipSync(files);
}

/** A row with the JSON in it taken apart, and without what opens something. */
function readable(table: keyof typeof registry, row: Readonly<Record<string, unknown>>): Record<string, unknown> {
  return Object.fromEntries(
    Object.entries(row)
      .filter(([name]) => name in registry[table] && !secrets.has(name))
      .map(([name, value]) => [name, taken(name, value)]),
  );
}

const jsonTexts = new Set(['body', 'goals', 'digest', 'fixes', 'driven', 'delays']);

/** A value with what is packed in it. */
function taken(name: string, value: unknown): unknown {
  if (jsonTexts.has(name) && typeof value === 'string') return JSON.parse(value) as unknown;
  // A reading of a trace is gzipped.
  if (name === 'reading' && value instanceof Uint8Array)
    return JSON.parse(gunzipSync(value).toString('utf8')) as unknown;
  return value;
}

const cell = (value: unknown): string =>
  typeof value === 'string' ? value : value === null || value === undefined ? '' : JSON.stringify(value);

type Section = readonly [title: string, rows: readonly (readonly [name: string, value: string])[]];

function page(title: string, now: Date, sections: readonly Section[]): string {
  const body = sections.map(
    ([name, rows]) => `<h2>${escape(name)}</h2>
${rows.length === 0 ? `<p>${escape(t('nothing'))}</p>` : `<dl>${rows.map(([key, value]) => `<dt>${escape(key)}</dt><dd>${escape(value)}</dd>`).join('')}</dl>`}`,
  );
  return `<!doctype html>
<html lang="en"><meta charset="utf-8"><title>${escape(title)}</title>
<style>body{font:16px/1.5 sans-serif;max-width:44rem;margin:2rem auto;padding:0 1rem}dt{font-weight:600}dd{margin:0 0 .5rem}</style>
<h1>${escape(title)}</h1>
<p>${escape(t('madeOn', { date: now.toISOString().slice(0, 10) }))}</p>
${body.join('\n')}
</html>
`;
}
