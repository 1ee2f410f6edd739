import type { DriveEvent, EventBody } from '@jasperwren/core/drive/event';
import type { SheetEntry } from '@jasperwren/core/marking/sheet';
import type { Standard } from '@jasperwren/core/marking/standard';

/** A drive of the demo as its data file writes it. */
export interface DemoDrive {
  readonly daysAgo: number;
  /** Time of day, `HH:MM`. */
  readonly at: string;
  /** Length; 40 where it is missing. */
  readonly minutes?: number;
  /** Minutes from and to which the driving is independent; null for none, 13 to 33 where it is missing. */
  readonly independent?: readonly [number, number] | null;
  /** Words such as `JO1@3.5`: desk key, digit of the grade, minute. Also `say`, `take` and `pin`. */
  readonly log: string;
}

/**
 * The events of a demo drive, as a device would have written them.
 * @param id of the drive; the events' ids follow from it
 * @throws Error where the data names a key or grade the standard does not have
 */
export function eventsOfDemoDrive(
  drive: DemoDrive,
  id: string,
  learnerId: string,
  by: string,
  standard: Standard,
  today: Date,
): DriveEvent[] {
  const minutes = drive.minutes ?? 40;
  const independent = drive.independent === undefined ? ([13, 33] as const) : drive.independent;
  const timed: [minute: number, body: EventBody][] = [
    ...(independent
      ? ([
          [independent[0], { type: 'section', section: 'independent' }],
          [independent[1], { type: 'section', section: 'guided' }],
        ] as [number, EventBody][])
      : []),
    ...drive.log
      .split(' ')
      .filter(Boolean)
      .map((word) => readWord(word, standard)),
  ];
  timed.sort(([a], [b]) => a - b);
  const [hours, mins] = drive.at.split(':').map(Number) as [number, number];
  const startMs = new Date(
    today.getFullYear(),
    today.getMonth(),
    today.getDate() - drive.daysAgo,
    hours,
    mins,
  ).getTime();
  const bodies: [number, EventBody][] = [
    [0, { type: 'started', learnerId, standard: { id: standard.id, version: standard.version } }],
    ...timed,
    [minutes, { type: 'ended', ending: 'completed' }],
  ];
  return bodies.map(([minute, body], seq) => {
    const atMs = Math.round(minute * 60_000);
    return { ...body, id: `${id}-${seq}`, device: 'demo', seq, atMs, wall: new Date(startMs + atMs).toISOString(), by };
  });
}

function readWord(word: string, standard: Standard): [number, EventBody] {
  const [what = '', minute = ''] = word.split('@');
  const at = minute === '' ? NaN : Number(minute);
  if (Number.isNaN(at)) throw new Error(`The demo data has "${word}", which names no minute.`);
  if (what === 'say') return [at, { type: 'prompt' }];
  if (what === 'take') return [at, { type: 'intervention' }];
  if (what === 'pin') return [at, { type: 'pin' }];
  const { item, grade } = readKeys(what, standard);
  return [at, { type: 'mark', item, grade }];
}

/** The counts of a demo sheet, such as `JO1 JO1 RL2`. */
export function entriesOfDemoSheet(counts: string, standard: Standard): readonly SheetEntry[] {
  const words = counts.split(' ');
  return [...new Set(words)].map((word) => ({
    ...readKeys(word, standard),
    count: words.filter((other) => other === word).length,
  }));
}

/** Keys of the desk and the digit of a grade. */
function readKeys(what: string, standard: Standard): { readonly item: string; readonly grade: string } {
  const item = standard.categories
    .find((category) => category.letter === what[0])
    ?.items.find((candidate) => candidate.letter === what[1]);
  const grade = standard.grades[Number(what[2]) - 1];
  if (!item || !grade) throw new Error(`The demo data has "${what}", which ${standard.name} does not know.`);
  return { item: item.code, grade: grade.code };
}
