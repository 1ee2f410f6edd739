import type { PlaceSort, RoadPlace } from '@jasperwren/core/places/passes';
import type { LeftOut } from '@jasperwren/roads/traces/fix';
import { kmhPerMph, metresPerYard } from '@jasperwren/roads/units';
import { joinWords } from './lists';
import { lengthWords, type Units } from './roads/distances';
import { wordsOf } from './words';

export const resource = {
  whereItWent: 'Where it went',
  trace: 'Trace',
  recordWhy:
    'This device then notes where the car is, once a second, until the mock test ends. Each fault gets its place, and you see which roads were driven and how fast.',
  recordAsk:
    'Ask {{name}} first: it is their data. Your school sees it, and so does anyone with a link to the debrief. You can delete it at any time.',
  recordScreen: 'The screen stays on. Keep the device in its holder; never touch it while you drive.',
  agreed: '{{name}} agrees: record',
  simulate: 'Record a simulated drive along the route',
  stopRecording: 'Stop recording',
  recording: 'Recording where the car goes.',
  recordingFixes: 'Recording where the car goes: {{fixes}} positions so far.',
  noPositionYet: 'Recording: waiting for the first position.',
  noPosition: 'No position from this device: {{why}}',
  noGeolocation: 'it has none',
  working: 'The trace is being laid on the roads.',
  noRoads: 'None of your files of roads covers this trace. Add one under Routes; the trace is kept.',
  empty: 'Nothing of this trace belongs to the time of the mock test. Correct the clock below, or delete the trace.',
  noTrace: 'No trace was recorded on this mock test.',
  waitingTrace:
    'Not sent yet: {{count}} positions that this device noted, on the roads near the route. What was sent before shows when you are online.',
  placeByHand: 'Say where each fault was made: choose it, tap the route or move along it, and put it there.',
  plannedAndPlaced: 'The planned route, with each fault where it was placed afterwards. There was no trace.',
  placed: 'has its place',
  notPlaced: 'no place yet',
  alongRoute: 'Along the route',
  afterOnRoute: 'After {{distance}} of the route.',
  putHere: 'Put here: {{fault}}',
  whereOnRoute: 'Where on the route',
  putAt: 'Put after {{distance}}',
  placedAfter: 'Placed after {{distance}} of the route.',
  notPlacedYet: 'Not placed yet. Pull up somewhere safe before you place faults.',
  route: 'Route',
  attach: 'Add a logger’s GPX file',
  attaching: 'Reading the file.',
  attached: 'The file was added.',
  tooLong: 'The file has more than {{most, number}} positions. Cut out the day of the mock test and try again.',
  otherDay: 'The file ends before this mock test or begins after it, by more than a day. Is it the right one?',
  faults: 'Faults on the road',
  noFaultsPlaced: 'No fault lies on the trace.',
  faultsElsewhere_one: '{{count}} fault lies outside the trace.',
  faultsElsewhere_other: '{{count}} faults lie outside the trace.',
  moment: 'Moment of the mock test',
  at: 'At {{time}}: {{where}}',
  notOnRoads: 'not on a road',
  within: 'to within {{distance}}',
  knownShare: '{{name}} had driven {{share}} of these roads before, going by {{drives}}.',
  tracedDrives_one: '{{count}} earlier trace',
  tracedDrives_other: '{{count}} earlier traces',
  firstTrace: 'This is the first trace of {{name}}: nothing tells yet which of these roads were known.',
  saidOtherwise: 'The roads were said to be {{said}}; the traces say {{found}}. Readiness goes by the traces.',
  known: 'known',
  partly: 'partly known',
  new: 'new',
  showKnown: 'Dash the roads driven in the six weeks before',
  kept: 'The planned route was kept.',
  left_one: 'The planned route was left once. A wrong turn, safely made, is no fault.',
  left_other: 'The planned route was left {{count}} times. A wrong turn, safely made, is no fault.',
  leftAt: 'Left after {{from}}, back after {{to}}',
  leftForGood: 'Left after {{from}}, not rejoined',
  besideRoads_one: '{{count}} stretch lies on no road of the file.',
  besideRoads_other: '{{count}} stretches lie on no road of the file.',
  unsure: '{{share}} of its length is less than 80 % sure: drawn thin.',
  accuracy: 'Positions scatter by about {{distance}}.',
  yards: '{{value}} yards',
  metres: '{{value}} m',
  brakedHard_one: 'Braked hard once:',
  brakedHard_other: 'Braked hard {{count}} times:',
  brakedAt: '{{time}} ({{rate}} m/s², give or take {{within}})',
  leftOut: 'Left out: {{list}}.',
  sortedIn: '{{count}} sorted in by their time',
  untimed: '{{count}} without a time',
  nowhere: '{{count}} off the map',
  doubled: '{{count}} at the same moment as another',
  jumped: '{{count}} too far away to be true',
  details: 'Clock and ends of the trace',
  clock: 'Seconds added to the trace’s clock',
  clockSays:
    'By when the car stood and moved, {{seconds}} s fit best ({{agree}} of {{of}} moments, give or take {{within}} s).',
  clockSilent: 'The mock test has too few stops to tell how far the clock is off.',
  useThis: 'Use {{seconds}} s',
  trimStart: 'Metres cut off at the start',
  trimEnd: 'Metres cut off at the end',
  save: 'Save',
  download: 'Download GPX',
  deleteTrace: 'Delete the trace',
  deleteSure: 'Delete the trace?',
  deleteTraceMeans: 'The places of its faults go with it. The mock test itself stays.',
  deleted: 'The trace was deleted.',
  speed: 'Speed',
  speedChart: 'Speed over the distance, with the limits',
  speedFine: 'No stretch was driven over its limit, as far as the positions tell.',
  speedOver: 'Over the limit for {{seconds}} s in all, by up to {{by}}. The positions leave {{within}} either way.',
  speedUnder_one: '{{count}} stretch was driven well under its limit with no junction near.',
  speedUnder_other: '{{count}} stretches were driven well under their limits with no junction near.',
  limitIsNoAim: 'A limit is the most that is allowed, not an aim.',
  overLine: 'Over {{limit}}: up to {{speed}} for {{seconds}} s',
  underLine: 'Well under {{limit}}: down to {{speed}} for {{seconds}} s',
  standLine: 'Stood {{seconds}} s',
  after: 'after {{distance}}',
  stretches: 'Where to look',
  distance: 'Distance ({{unit}})',
  speedAxis: 'Speed ({{unit}})',
  limit: 'Limit',
  places: 'Where faults happen',
  placesSub: '{{drives}} with a trace, {{passes}} over places, {{faults}}',
  drives_one: '{{count}} mock test',
  drives_other: '{{count}} mock tests',
  passes_one: '{{count}} pass',
  passes_other: '{{count, number}} passes',
  faultCount_one: '{{count}} fault',
  faultCount_other: '{{count}} faults',
  noPlaces:
    'No mock test has a trace yet. Start one under More on the marking screen, or add the GPX file of a logger to a result.',
  noneOfThese: 'No trace fits these filters.',
  perPass: 'Faults per time driven through',
  bandSays: 'Dot: estimate. Bar: 90 % range. Few drives: close to the school average.',
  hot: 'more than chance explains',
  noHot: 'No place has more faults than chance explains.',
  hotCount_one: 'One place has more faults than chance explains.',
  hotCount_other: '{{count}} places have more faults than chance explains.',
  ofPasses: '{{faults}} in {{passes}}',
  rateWords: '{{rate}} per time driven through, between {{low}} and {{high}}',
  usualWords: 'the same drivers elsewhere: {{usual}}',
  listEnds: 'The list ends after {{most}} places: the others have lower rates.',
  tooFew_one: '{{count}} more place has too few passes to say.',
  tooFew_other: '{{count}} more places have too few passes to say.',
  practise: 'Practise it',
  practiceName: 'Practice: {{place}}',
  practiceNone: 'No loop leads through this place on these roads.',
  theDrives: 'The mock tests',
  learner: 'Learner',
  allLearners: 'All learners',
  instructor: 'Instructor',
  allInstructors: 'All instructors',
  since: 'Since',
  days30: '30 days',
  days90: '90 days',
  year: 'A year',
  always: 'The beginning',
  area: 'Area',
  allAreas: 'All areas',
  severity: 'Faults',
  allFaults: 'All',
  faultType: 'Fault type',
  allTypes: 'All types',
  counted: 'Counted faults',
  outright: 'Failing faults',
  compareWith: 'Compare with',
  noComparison: 'No comparison',
  wholeSchool: 'The whole school',
  compared: '{{name}}: {{rate}} per time driven through, in {{passes}}',
  notPassed: '{{name}}: not enough passes',
  kinds: 'By kind of place',
  kind: 'Kind',
  passesHead: 'Passes',
  faultsHead: 'Faults',
  month: 'Month',
  overTime: 'Over time',
  downloadPlaces: 'Download GeoJSON',
  downloadPasses: 'Download passes (CSV)',
  unnamed: 'an unnamed road',
  roundaboutPlace: 'Roundabout, {{turn}}, {{from}} to {{onto}}',
  miniPlace: 'Mini roundabout, {{turn}}, {{from}} to {{onto}}',
  turnPlace: 'Turn {{turn}}, {{from}} into {{onto}}',
  slipPlace: 'Slip road, {{from}} to {{onto}}',
  turnRoundPlace: 'Turning round on {{from}}',
  overPlace: 'Straight over, {{from}} to {{onto}}',
  roadPlace: 'Along {{onto}}',
  roundaboutKind: 'Roundabouts, {{turn}}',
  miniKind: 'Mini roundabouts, {{turn}}',
  turnKind: 'Turns {{turn}}',
  slipKind: 'Slip roads',
  turnRoundKind: 'Turning round',
  overKind: 'Straight over junctions',
  roadKind: 'Between junctions',
  turnLeft: 'left',
  turnAhead: 'ahead',
  turnRight: 'right',
  turnBack: 'back',
  mph: '{{value}} mph',
  kmh: '{{value}} km/h',
  caution:
    'A place with many faults needs teaching, not avoiding. Practise it at a quiet hour first. Positions and files of roads have errors: the signs and the road decide.',
} as const;

export const t = wordsOf('traces', resource);

const turns = { left: 'turnLeft', ahead: 'turnAhead', right: 'turnRight', back: 'turnBack' } as const;
const turnWord = (turn: RoadPlace['turn']) => t(turns[turn ?? 'ahead']);

/** A place by its roads: "Mini roundabout, right, Fennel Row to Lower Quay". */
export function placeWords({ sort, turn: way, from = t('unnamed'), onto = t('unnamed') }: RoadPlace): string {
  const turn = turnWord(way);
  switch (sort) {
    case 'roundabout':
      return t('roundaboutPlace', { turn, from, onto });
    case 'mini':
      return t('miniPlace', { turn, from, onto });
    case 'turn':
      return t('turnPlace', { turn, from, onto });
    case 'slip':
      return t('slipPlace', { from, onto });
    case 'turn-round':
      return t('turnRoundPlace', { from });
    case 'crossing-over':
      return t('overPlace', { from, onto });
    case 'road':
      return t('roadPlace', { onto });
  }
}

/** A kind of place: "Mini roundabouts, right". */
export function kindWords({
  sort,
  turn: way,
}: {
  readonly sort: PlaceSort;
  readonly turn?: RoadPlace['turn'];
}): string {
  const turn = turnWord(way);
  switch (sort) {
    case 'roundabout':
      return t('roundaboutKind', { turn });
    case 'mini':
      return t('miniKind', { turn });
    case 'turn':
      return t('turnKind', { turn });
    case 'slip':
      return t('slipKind');
    case 'turn-round':
      return t('turnRoundKind');
    case 'crossing-over':
      return t('overKind');
    case 'road':
      return t('roadKind');
  }
}

/** A speed in the units of the roads: "33 mph". */
export const speedWords = (kmh: number, units: Units): string =>
  units === 'miles' ? t('mph', { value: Math.round(kmh / kmhPerMph) }) : t('kmh', { value: Math.round(kmh) });

/** A short distance, to the yard or the metre: "8 yards". */
export const shortWords = (metres: number, units: Units): string =>
  units === 'miles'
    ? t('yards', { value: Math.round(metres / metresPerYard) })
    : t('metres', { value: Math.round(metres) });

/** What of a trace was left out, in a sentence; empty where nothing was. */
export function leftOutWords(leftOut: LeftOut, sortedIn: number): string {
  const parts = (['untimed', 'nowhere', 'doubled', 'jumped'] as const)
    .filter((why) => leftOut[why] > 0)
    .map((why) => t(why, { count: leftOut[why] }));
  if (sortedIn > 0) parts.push(t('sortedIn', { count: sortedIn }));
  return parts.length === 0 ? '' : t('leftOut', { list: joinWords(parts) });
}

/** Where the route was left: "Left after 1.2 miles, back after 1.6 miles". */
export const detourWords = (from: number, to: number | undefined, units: Units): string =>
  to === undefined
    ? t('leftForGood', { from: lengthWords(from, units) })
    : t('leftAt', { from: lengthWords(from, units), to: lengthWords(to, units) });
