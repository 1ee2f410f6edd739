import type { TimeSpent } from '@jasperwren/core/yard/time-spent';
import { wordsOf } from './words';

export const resource = {
  yard: 'Yard',
  yardWhy:
    'Runs of a car with sensors: from a car of your school, from a file, or simulated. Each is judged by the standard you choose.',
  wheels: 'Where the wheels go',
  wheelsAbout: 'Plan an exercise for your vehicle, drive it, set it out.',
  stopping: 'Stopping and seeing',
  stoppingAt: 'How far it takes to stop at {{speed}} km/h',
  stoppingAbout: 'Stopping distances, ambers, gaps and bends.',
  runs: 'Runs',
  noRuns: 'No runs yet. Add a CSV file of a logger, or simulate one.',
  addFile: 'Add a CSV file',
  simulateRun: 'Simulate a run',
  simulatedOf: '{{kind}}, {{standard}}',
  careful: 'Careful learner',
  average: 'Average learner',
  careless: 'Careless learner',
  standard: 'Marking standard',
  noCourse: 'None of your standards has a yard course.',
  sendingFile: 'Sending the file: {{have}} of {{of}} samples.',
  car: 'from {{car}}',
  simulated: 'simulated',
  file: 'from a file',
  samples_one: '{{count}} sample',
  samples_other: '{{number}} samples',
  sendingNow: 'sending now',
  ofLearner: 'of {{name}}',
  cars: 'Cars with sensors',
  carsWhy:
    'A car with sensors sends its values with a code of its own. The maker of its logger finds what to send in docs/formats/yard-feed.md.',
  noCars: 'No car with sensors yet.',
  carName: 'Name of the car',
  addCar: 'Let a car send',
  removeCar: 'Remove {{name}}',
  tokenOnce: 'The code of {{name}}, shown only once. Put it into the car’s logger:',
  run: 'Run',
  noRun: 'There is no run with this id. It may have been deleted.',
  judging: 'Judging the run',
  download: 'Download CSV',
  deleteRun: 'Delete the run',
  deleteSure: 'Delete this run? Its values are gone for good. A mock test made from it stays.',
  cancel: 'Cancel',
  keep: 'Keep as a mock test',
  keepOf: 'Learner',
  kept: 'See the mock test',
  noResult: 'No sample of this run has a time, so nothing can be judged.',
  exercises: 'Exercises',
  time: 'Time',
  faultsUsed: 'Faults',
  state: 'Result',
  exercise: 'Exercise',
  'to-come': 'not driven',
  now: 'not finished',
  done: 'passed',
  failed: 'failed',
  timeOf: '{{time}} of {{allowed}}',
  seconds: '{{value}} s',
  spent: '{{seconds}} s {{what}}',
  forwardMs: 'forwards',
  backwardMs: 'reversing',
  standingMs: 'standing',
  unknownMs: 'without a signal',
  usedOf: '{{used}} of {{allowed}}',
  wholeYard: 'Anywhere in the yard',
  fault: '{{fault}}, {{grade}}',
  faultMeasured: '{{fault}}, {{grade}}, {{value}} {{unit}}',
  showFault: 'Show the ten seconds around: {{fault}}',
  wheelsOf: 'Where the wheels went: {{exercise}}',
  strip: 'Sensor values',
  stripOf: 'Sensor values over time, with exercises and faults',
  part: 'Part',
  wholeRun: 'Whole run',
  compare: 'Compare with',
  retest: 'Repeat of exercises failed on an earlier test',
  nothing: 'nothing',
  dotted: 'Dotted lines: {{name}}.',
  aroundFault: 'around a fault',
  fromTrigger: 'Seconds since the timer of {{exercise}} started',
  fromStart: 'Seconds since the start of the run',
  speed: 'speed, km/h',
  engine: 'engine, rpm',
  pedals: 'pedals, %',
  gear: 'gear',
  brake: 'brake',
  clutch: 'clutch',
  moment: 'Moment of the run',
  play: 'Play',
  pause: 'Pause',
  pace: 'Speed of the replay',
  paceTimes: '{{times}}×',
  atMoment: '{{at}}: {{values}}',
  kmh: '{{value}} km/h',
  rpm: '{{value}} rpm',
  gearNow: 'gear {{gear}}',
  brakeNow: 'brake {{value}} %',
  clutchNow: 'clutch {{value}} %',
  caution:
    'Sensors help to judge a practice. They see no traffic, no looks and no intent: the instructor in the car decides.',
  secondsHead: 'Second',
} as const;

export const t = wordsOf('yard-pages', resource);

/** "1,164 samples". */
export const samplesWords = (count: number): string => t('samples', { count, number: count.toLocaleString('en-GB') });

const spans = ['forwardMs', 'backwardMs', 'standingMs', 'unknownMs'] as const;

/** Where the seconds went: "12 s forwards, 20 s reversing, 9 s standing". */
export const spentSentence = (spent: TimeSpent): string =>
  spans
    .flatMap((span) => {
      const seconds = Math.round(spent[span] / 1000);
      return seconds > 0 ? [t('spent', { seconds, what: t(span) })] : [];
    })
    .join(', ');
