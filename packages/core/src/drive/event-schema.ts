/**
 * The shape of every event of a drive, said once: the types, the checks and the published JSON Schema follow from it.
 */
import {
  attemptResults,
  checkResults,
  endingCauses,
  endings,
  familiarities,
  sectionKinds,
  stepKinds,
  usualReasons,
} from './event-kinds';

export const text = { type: 'string', minLength: 1, maxLength: 200 } as const;
const freeText = { type: 'string', maxLength: 2000 } as const;
const because = { enum: usualReasons, description: 'One of the usual reasons, where it is one.' } as const;
const flag = { type: 'boolean' } as const;
const measured = { type: 'number', description: 'What was measured, in the unit of the item.' } as const;
/** A whole number that a computer holds exactly. */
const count = { type: 'integer', minimum: 0, maximum: Number.MAX_SAFE_INTEGER } as const;
export const version = { type: 'integer', minimum: 1, maximum: Number.MAX_SAFE_INTEGER } as const;
const target = { ...text, description: 'The event it is about, by its id.' } as const;

/** What every event carries. */
export const stamp = {
  id: { ...text, description: 'Made on the device, unique for ever.' },
  device: { ...text, description: 'The device that recorded it.' },
  seq: { ...count, description: 'Counts the events of this device in this drive, from 0.' },
  atMs: {
    ...count,
    description: 'Milliseconds since the start of the drive, from a clock that never jumps.',
  },
  wall: {
    type: 'string',
    format: 'date-time',
    // What a computer's calendar reads: without leap seconds.
    pattern: '^\\S+:[0-5]\\d(\\.\\d+)?([Zz]|[+-]\\d\\d:\\d\\d)$',
    description: 'Wall clock of the device, RFC 3339 in UTC. For people to read; durations never come from it.',
  },
  by: { ...text, description: 'Account of the person who recorded it.' },
} as const;

/** An event by its fields beside the stamp: those that must be there, and all of them. */
const event = <const Required extends readonly string[], const Properties extends object>(
  description: string,
  required: Required,
  properties: Properties,
) => ({ type: 'object', description, required, properties, additionalProperties: false }) as const;

/** The types of event a log can hold. */
export const eventBodies = {
  started: event('The drive begins; carries what the record needs to stand alone.', ['learnerId', 'standard'], {
    learnerId: text,
    standard: {
      type: 'object',
      required: ['id', 'version'],
      additionalProperties: false,
      properties: { id: text, version },
    },
    briefing: {
      ...flag,
      description:
        'The drive opens with its briefing: the clock waits for `moved-off`, and all before it happens at 0.',
    },
    helpers: {
      type: 'array',
      maxItems: 8,
      items: text,
      description: 'Accounts that mark as well, besides whoever started the drive.',
    },
    route: {
      type: 'object',
      description: 'The planned route it is driven on.',
      required: ['id', 'name'],
      additionalProperties: false,
      properties: { id: text, name: text },
    },
  }),
  check: event('A step of the briefing; the last word on a step holds.', ['check', 'result'], {
    check: { ...text, description: 'Code of a step of the standard’s briefing.' },
    result: { enum: checkResults },
    because,
    reason: { ...freeText, description: 'Why it was skipped, or what was wrong.' },
    detail: { ...freeText, description: 'What else is worth knowing.' },
    missed: {
      type: 'array',
      maxItems: 50,
      items: text,
      description: 'The parts of the step that were missed, by name.',
    },
  }),
  'moved-off': event('The briefing is over and the car moves: the clock of the drive starts.', [], {}),
  answer: event(
    'An answer to a question of the standard’s oral part. A wrong last answer is followed by a mark of its own.',
    ['item', 'right'],
    {
      item: { ...text, description: 'Code of the item that the question belongs to.' },
      right: flag,
      question: { ...text, description: 'The question that was asked, by its id in the bank.' },
    },
  ),
  mark: event('A fault, or whatever else the standard grades.', ['item', 'grade'], {
    item: { ...text, description: 'Code of an item of the standard.' },
    grade: { ...text, description: 'Code of a grade of the standard.' },
    pin: { ...text, description: 'The pin that this mark settles; the mark then happened when the pin was dropped.' },
    note: freeText,
    measured,
    look: { ...text, description: 'Code of the expected look of the exercise under way that was missed.' },
    detected: {
      type: 'object',
      description: 'What sensors saw: the run, and from when to when, in milliseconds of the clock of the car.',
      required: ['run', 'fromMs', 'toMs'],
      additionalProperties: false,
      properties: { run: text, fromMs: count, toMs: count },
    },
  }),
  look: event('An expected look of the exercise under way was seen. Outside an exercise it says nothing.', ['look'], {
    look: { ...text, description: 'Code of a look of the exercise.' },
  }),
  run: event('From here on the sensors of a car are read.', ['run', 'clockMs'], {
    run: { ...text, description: 'The run of sensor values, by its id.' },
    car: { ...text, description: 'The car, as the school calls it.' },
    clockMs: { ...count, description: 'What the clock of the car showed at this moment, in milliseconds.' },
    retest: { ...flag, description: 'Its exercises repeat ones that were failed on an earlier test.' },
  }),
  'missed-step': event(
    'Which step of its sequence a mark is about; the last word on a mark holds.',
    ['target', 'step'],
    {
      target,
      step: { ...text, description: 'A step of the sequence of the item, by its name.' },
    },
  ),
  place: event('Where a mark was made, as somebody says; the last word on a mark holds.', ['target', 'lat', 'lon'], {
    target,
    lat: { type: 'number', minimum: -90, maximum: 90, description: 'Degrees of latitude.' },
    lon: { type: 'number', minimum: -180, maximum: 180, description: 'Degrees of longitude.' },
  }),
  pin: event('Something happened here: a moment to be named at the next stop.', [], {}),
  strike: event('Takes an earlier event out of account. The event and the reason stay in the log.', ['target'], {
    target,
    because,
    reason: freeText,
    undo: { ...flag, description: 'True where the instructor pressed undo rather than judged again.' },
  }),
  regrade: event('Gives a mark another grade.', ['target', 'grade'], {
    target,
    grade: text,
    because,
    reason: freeText,
    measured,
  }),
  advice: event(
    'What the severity adviser was told of a mark and what it proposed. It changes no grade.',
    ['target', 'answers', 'proposed'],
    {
      target,
      answers: {
        type: 'object',
        maxProperties: 20,
        additionalProperties: text,
        description: 'Code of the chosen answer by code of the question.',
      },
      proposed: { ...text, description: 'Code of the proposed grade, or `none` where no mark was proposed.' },
    },
  ),
  attempt: event('How the attempt at the exercise under way went. Outside an exercise it says nothing.', ['result'], {
    result: { enum: attemptResults },
    reason: freeText,
  }),
  step: event(
    'One movement, shunt, correction or look of the exercise under way; or one pull-up or move-off on the road.',
    ['step'],
    { step: { enum: stepKinds } },
  ),
  prompt: event('The instructor spoke: the learner had help.', [], {}),
  intervention: event('The instructor took a control.', [], {}),
  'help-for': event(
    'Why help was needed: the fault that made it necessary, or a reason in words; the last word on a help holds, and one without either takes it back.',
    ['target'],
    {
      target: { ...text, description: 'A prompt or an intervention, by its id.' },
      mark: { ...text, description: 'The fault that made it necessary, by its id.' },
      reason: { ...freeText, minLength: 1 },
    },
  ),
  section: event('From here on the drive is of this kind, until the next section event.', ['section'], {
    section: { enum: sectionKinds },
    exercise: { ...text, description: 'Code of an exercise of the standard; only with the kind `exercise`.' },
    retest: { ...flag, description: 'A repeat of an exercise that was failed on an earlier test.' },
  }),
  pause: event('The clock stands still, or goes on.', ['state'], {
    state: { enum: ['paused', 'resumed'] },
    reason: freeText,
  }),
  ended: event('The drive is over.', ['ending'], {
    ending: { enum: endings },
    cause: { enum: endingCauses, description: 'Only with the ending `abandoned`.' },
    because,
    reason: freeText,
  }),
  note: event('Words about the drive, or about one event of it; on a pause, why it was made.', [], {
    because,
    text: { ...freeText, minLength: 1 },
    target,
    private: { ...flag, description: 'For the instructor’s eyes: in no record, print or link that a learner gets.' },
  }),
  distinct: event(
    'Two marks of the same item, made on two devices, are two faults and not one seen twice.',
    ['target', 'other'],
    { target, other: text },
  ),
  roads: event('How well the learner knew the roads of this drive; the last word holds.', ['familiarity'], {
    familiarity: { enum: familiarities },
  }),
  short: event(
    'It is meant to be a short mock test: the times that the standard asks of a whole one are not asked of it. The last word on why holds.',
    [],
    { because, reason: freeText },
  ),
  debriefed: event('The drive was talked through with the learner.', ['workOn'], {
    workOn: { type: 'array', maxItems: 10, items: text, description: 'Codes of the items to work on next.' },
  }),
} as const;
