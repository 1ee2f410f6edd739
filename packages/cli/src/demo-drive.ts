import type { DriveEvent, EventBody, Familiarity } from '@jasperwren/core/drive/event';
import type { SheetEntry } from '@jasperwren/core/marking/sheet';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';

type Timed = readonly [minute: number, body: EventBody];

/** A drive of the demo as its data file writes it. */
export interface DemoDrive {
  readonly daysAgo: number;
  /** Time of day, `HH:MM`. */
  readonly at: string;
  /** Length; 40 where it is missing. */
  readonly minutes?: number;
  /** Minutes from and to which the driving is independent; null for none, 13 to 33 where it is missing. */
  readonly independent?: readonly [number, number] | null;
  /**
   * Words such as `JO1@3.5`: desk key, digit of the grade, minute. Also `say`, `take`, `pin`, `up` and `off` for a
   * pull-up and a move-off, `ex:bay` and `end` around an exercise, `shunt`, `ask:checks.show:right`,
   * and `why:near=close,help=spoke` for what the adviser was told of the mark before.
   */
  readonly log: string;
  /** Whether the car moved off after a briefing; true where it is missing. */
  readonly briefed?: boolean;
  /** Whether it was talked through; true where it is missing. */
  readonly talkedThrough?: boolean;
  readonly note?: string;
  /** How well the learner knew the roads; partly where it is missing. */
  readonly roads?: Familiarity;
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
  standard: EffectiveStandard,
  today: Date,
): DriveEvent[] {
  const minutes = drive.minutes ?? 40;
  const independent = drive.independent === undefined ? ([13, 33] as const) : drive.independent;
  const timed: Timed[] = [
    ...(independent
      ? ([
          [independent[0], { type: 'section', section: 'independent' }],
          [independent[1], { type: 'section', section: 'guided' }],
        ] as Timed[])
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
  const bodies: Timed[] = [
    ...opening(standard, learnerId, drive.briefed ?? true),
    ...timed,
    [minutes, { type: 'ended', ending: 'completed' }],
    ...(drive.note === undefined ? [] : [[minutes, { type: 'note', text: drive.note, private: true }] as Timed]),
    [minutes, { type: 'roads', familiarity: drive.roads ?? 'partly' }],
    ...((drive.talkedThrough ?? true) ? [[minutes + 3, { type: 'debriefed', workOn: [] }] as Timed] : []),
  ];
  let lastMark = '';
  return bodies.map(([minute, body], seq) => {
    const atMs = Math.round(minute * 60_000);
    if (body.type === 'mark') lastMark = `${id}-${seq}`;
    const said = body.type === 'advice' ? { ...body, target: lastMark } : body;
    return { ...said, id: `${id}-${seq}`, device: 'demo', seq, atMs, wall: new Date(startMs + atMs).toISOString(), by };
  });
}

/** The start, with the briefing of the standard where there was one. */
function opening(standard: EffectiveStandard, learnerId: string, briefed: boolean): readonly Timed[] {
  const started = { type: 'started', learnerId, standard: { id: standard.id, version: standard.version } } as const;
  if (!briefed) return [[0, started]];
  const steps = (standard.briefing ?? []).map((step): Timed => [
    0,
    { type: 'check', check: step.code, result: 'done' },
  ]);
  return [[0, { ...started, briefing: true }], ...steps, [0, { type: 'moved-off' }]];
}

const plainWords: Readonly<Record<string, EventBody>> = {
  say: { type: 'prompt' },
  take: { type: 'intervention' },
  pin: { type: 'pin' },
  up: { type: 'step', step: 'pull-up' },
  off: { type: 'step', step: 'move-off' },
  shunt: { type: 'step', step: 'shunt' },
  end: { type: 'section', section: 'guided' },
};

function readWord(word: string, standard: EffectiveStandard): Timed {
  const [what = '', minute = ''] = word.split('@');
  const at = minute === '' ? NaN : Number(minute);
  if (Number.isNaN(at)) throw new Error(`The demo data has "${word}", which names no minute.`);
  const plain = plainWords[what];
  if (plain) return [at, plain];
  const [kind, code = '', how] = what.split(':');
  if (kind === 'ex') return [at, { type: 'section', section: 'exercise', exercise: code }];
  if (kind === 'why') {
    const answers = Object.fromEntries(code.split(',').map((pair) => pair.split('=') as [string, string]));
    return [at, { type: 'advice', target: '', answers, proposed: 'none' }];
  }
  if (kind === 'ask') return [at, { type: 'answer', item: code, right: how === 'right' }];
  const { item, grade } = readKeys(what, standard);
  return [at, { type: 'mark', item, grade }];
}

/** The counts of a demo sheet, such as `JO1 JO1 RL2`. */
export function entriesOfDemoSheet(counts: string, standard: EffectiveStandard): readonly SheetEntry[] {
  const words = counts.split(' ');
  return [...new Set(words)].map((word) => ({
    ...readKeys(word, standard),
    count: words.filter((other) => other === word).length,
  }));
}

/** Keys of the desk and the digit of a grade. */
function readKeys(what: string, standard: EffectiveStandard): { readonly item: string; readonly grade: string } {
  const item = standard.categories
    .find((category) => category.letter === what[0])
    ?.items.find((candidate) => candidate.letter === what[1]);
  const grade = standard.grades[Number(what[2]) - 1];
  if (!item || !grade) throw new Error(`The demo data has "${what}", which ${standard.name} does not know.`);
  return { item: item.code, grade: grade.code };
}
