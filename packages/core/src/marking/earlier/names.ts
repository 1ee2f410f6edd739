import type { Standard } from '../standard';

/** What fault types and steps were called before, by what they are called since. */
const earlierNames: Readonly<Record<string, string>> = {
  Observation: 'Looking',
  'Observation and giving way': 'Looking and giving way',
  'Cutting corners or swinging wide': 'Cutting or running wide',
  'All-round observation': 'Looking round',
  'Observation while reversing': 'Looking all round',
  'Moving off into traffic': 'Into a gap',
  'Mirrors while driving': 'Rolling check',
  'Unnecessary signal': 'Needless',
  'Too fast for conditions': 'Too fast for the place',
  'Cyclists and pedestrians': 'Cyclists and walkers',
  'Giving priority': 'Giving precedence',
  'Keeping the crossing clear': 'Keeping it clear',
  'Police and traffic wardens': 'People in control',
  'All-way stop order': 'Order of arrival',
  'Looking through the rear window': 'Turning to look back',
  'Wipers and demister': 'Wipers, demister',
  'Misleading signal': 'Misleading',
  'Signal not cancelled': 'Cancelling',
  'No signal': 'Signal missed',
  'Blind spot before changing lanes': 'Blind spot before a side move',
  'Crossing the path of traffic': 'Crossing their path',
  'Too many movements': 'Movement too many',
  'Over time': 'Time used up',
  Passengers: 'Who rides along',
  'Walk-round': 'Round the car',
  'Cockpit drill': 'In the driving seat',
  'In order; tap anything missed.': 'Each in its order; touch what was left out.',
  'Walk round and check each; tap what is missing or broken.':
    'Walk round and look at each; touch what is missing or broken.',
  'Tell questions': 'Questions at rest',
};

/** By template, what a fault type was called before it was named as an instructor on that side of the road says it. */
const unsaidNames: Readonly<Record<string, Readonly<Record<string, string>>>> = {
  tally: { 'On a straight road': 'On the road', Shunt: 'Correction' },
  graded: {
    'On a straight road': 'On the road',
    Shunt: 'Correction',
    'Turning right': 'Turning across traffic',
    'Turning left': 'Turning to the near side',
  },
  'minor-major': { 'On a straight road': 'On the road' },
  'points-off': {
    'On a straight road': 'On the road',
    'Left turn across traffic': 'Turning across traffic',
    'Right turn': 'Turning to the near side',
  },
  strikes: {
    'On a straight road': 'On the road',
    'Left turn across traffic': 'Turning across traffic',
    'Right turn': 'Turning to the near side',
    'Keeping to the right': 'Keeping to the near side',
  },
  'sequence-checklist': {
    'On a straight road': 'On the road',
    'Left turn in sequence': 'Turn across, in sequence',
    'Right turn in sequence': 'Turn to the near side, in sequence',
  },
};

/** The version before, whose texts read as a table of names says; itself where none is given. */
function named(standard: Standard, names: Readonly<Record<string, string>> | undefined): Standard {
  if (!names) return standard;
  const renamed = JSON.parse(JSON.stringify(standard), (_, value: unknown) =>
    typeof value === 'string' ? (names[value] ?? value) : value,
  ) as Standard;
  return { ...renamed, version: standard.version - 1 };
}

/** A template with the names of its version before, where its latest version brought names alone. */
export const inUnsaidNames = (standard: Standard): Standard => named(standard, unsaidNames[standard.id]);

/** A standard with the names that its texts had before they were changed, as the version before. */
export const inEarlierNames = (standard: Standard): Standard => named(standard, earlierNames);
