import type { ExerciseCode } from '@jasperwren/motion/layout/exercises';
import type { SpaceName } from '@jasperwren/motion/layout/space';
import type { Near } from '@jasperwren/motion/layout/touch';
import type { Saved } from '@jasperwren/motion/planner/last-saved';
import type { NoPlan } from '@jasperwren/motion/planner/plan';
import type { Needed } from '@jasperwren/motion/planner/plan-exercise';
import type { Step } from '@jasperwren/motion/moves/steps';
import { wheelOf } from '@jasperwren/motion/moves/bench';
import type { LinedUp } from '@jasperwren/motion/sight/lines-up';
import type { KeptKind } from '@jasperwren/motion/read-spec';
import type { Followed, Helps, RuleFeature } from '@jasperwren/motion/sight/rule-of-thumb';
import { mostDeg, mostM, type Reference } from '@jasperwren/motion/sight/tolerance';
import type { VehicleProblem } from '@jasperwren/motion/vehicle/check-vehicle';
import type { AnyMeasure } from '@jasperwren/motion/vehicle/measures';
import type { PartName } from '@jasperwren/motion/vehicle/parts';
import type { Vehicle, VehicleKind } from '@jasperwren/motion/vehicle/vehicle';
import { capital, joinWords } from './lists';
import { wordsOf } from './words';

export const resource = {
  wheels: 'Where the wheels go',
  wheelsWhy:
    'Choose a vehicle, an exercise and the ground you have. The way with the fewest movements follows from their measures.',
  caution:
    'Computed for flat ground at walking pace. On tight ground there may be a way with a movement less. Try it slowly with someone watching; what your test centre asks for comes first.',
  vehicle: 'Vehicle',
  car: 'Hatchback',
  van: 'Van',
  rigid: 'Rigid lorry, 8 m',
  'car-with-trailer': 'Car with trailer',
  exercise: 'Exercise',
  side: 'Side',
  left: 'On the left',
  right: 'On the right',
  clearance: 'Room to keep',
  metresOf: '{{name}} (m)',
  centimetresOf: '{{name}} (cm)',
  'turn-in-road': 'Turn in the road',
  parallel: 'Parallel park',
  'bay-reverse': 'Bay, reversing in',
  'bay-forward': 'Bay, driving in',
  'angle-bay': 'Angle bay, 60°',
  'corner-reverse': 'Reverse round a corner',
  'straight-reverse': 'Straight reverse',
  'alley-dock': 'Alley dock',
  'reversing-area': 'Reverse into the bay',
  roadM: 'Road width',
  bayM: 'Bay width',
  depthM: 'Bay depth',
  aisleM: 'Aisle width',
  gapM: 'Gap between cars',
  sideRoadM: 'Side road width',
  cornerM: 'Corner radius',
  laneM: 'Lane width',
  lengthM: 'Length to reverse',
  areaLongM: 'Area length',
  areaWideM: 'Area width',
  tooSmall: '{{name}}: from {{least}} to {{most}} m.',
  searching: 'Looking for the way with the fewest movements. {{looked}} positions so far, ways of {{movements}} now.',
  searchingFirst: 'Looking for the way with the fewest movements',
  movements_one: '{{count}} movement',
  movements_other: '{{count}} movements',
  summary: '{{movements}}, {{way}} m. Nearest: {{gap}} cm, {{part}} to {{thing}}.',
  summaryFree: '{{movements}}, {{way}} m.',
  steps: 'Step by step',
  stepForward: '{{steer}}, forward {{way}} m',
  stepBack: '{{steer}}, back {{way}} m',
  straight: 'Wheels straight',
  fullLeft: 'Full left lock',
  fullRight: 'Full right lock',
  partLeft: '{{share}} % left lock',
  partRight: '{{share}} % right lock',
  standing:
    'Each step begins with the wheels turned while the car stands. Where that counts as dry steering, turn as the car begins to roll: with {{turn}} m for a full turn it then comes as near as {{gap}} cm.',
  standingTouches:
    'Each step begins with the wheels turned while the car stands. Turned while rolling, with {{turn}} m for a full turn, it touches: {{part}} and {{thing}}.',
  forgiving: 'How much each step forgives',
  forgivesWhy: 'Driven too short or too far by no more than this, with the other steps as planned, nothing is touched.',
  forgives: 'May be {{short}} short or {{long}} far, the steering wheel {{steering}} of it.',
  steeredBoth: '{{left}} left or {{right}} right',
  steeredLeft: '{{left}} left',
  steeredRight: '{{right}} right',
  orMore: '{{value}} or more',
  degrees: '{{value}}°',
  endsWith: '{{what}}. {{forgives}}',
  levelWith: 'Ends with {{thing}} level with {{what}} on the {{side}}',
  onMirrorEdge: 'Ends with {{thing}} just under the lower edge of the {{side}} mirror',
  underBonnet: 'Ends with {{thing}} ahead just going under the edge of the bonnet',
  inPillarGap: 'Ends with {{thing}} between the {{side}} mirror and the pillar',
  leftSide: 'left',
  rightSide: 'right',
  'front-end': 'the front end',
  'door-mirror': 'the door mirror',
  shoulder: 'your shoulder',
  'door-handle': 'the door handle',
  youSee: 'What you see',
  youSeeAfter: 'What you see at the end of step {{step}}',
  leftMirror: 'Left mirror',
  rightMirror: 'Right mirror',
  leftMirrorShows: 'Left mirror: {{shows}}',
  rightMirrorShows: 'Right mirror: {{shows}}',
  noMarker: 'no marker',
  onlyMarker: 'marker {{ids}}',
  markersSeen: 'markers {{ids}}',
  ahead: 'Ahead',
  lookLeft: 'To the left',
  lookRight: 'To the right',
  looking: 'Looking',
  fromSeat: 'From the driver’s seat, looking {{where}}',
  whereAhead: 'ahead',
  whereLeft: 'to the left',
  whereRight: 'to the right',
  seat: 'Seat',
  seatAsMeasured: 'as measured',
  seatForward: '{{cm}} cm further forward',
  seatBack: '{{cm}} cm further back',
  mirrorsDown: 'Mirrors down',
  forRoad: 'as for the road',
  tiltedDown: '{{degrees}}° down',
  viewsWhy:
    'Mirrors as for the road show the side of the vehicle at the inner edge and the horizon across the middle; tilted down they show the lines. Look round yourself: a picture does not see a child behind the car.',
  printLearner: 'Print for the learner',
  learnerSheet: '{{exercise}}: {{vehicle}}',
  learnerWhy:
    'These points hold for this vehicle, this seat and this bay. In another they differ: look where the car goes, and stop when unsure.',
  ruleOfThumb: 'Rule of thumb',
  ruleWhy:
    'Put in what learners are taught. It is followed to the letter, and you see what becomes of it in this vehicle.',
  ruleMissing: 'The file has no rule of thumb.',
  ruleWorks: 'This rule works here. Nearest: {{gap}} cm, {{part}} to {{thing}}.',
  ruleWorksFree: 'This rule works here.',
  ruleTouches: 'This rule does not work here: in part {{part}} the {{what}} touches {{thing}}.',
  ruleNever: 'This rule does not work here: part {{part}} never comes to its end.',
  ruleOutside: 'This rule does not work here: nothing is touched, but the vehicle does not end where it should.',
  lookingForHelp: 'Finding out what would make it work',
  helpsEarlier: 'It would work with part {{part}} ended {{cm}} cm earlier.',
  helpsLater: 'It would work with part {{part}} ended {{cm}} cm later.',
  helpsMoreLock: 'It would work with {{degrees}}° more lock than this vehicle has.',
  helpsLessLock: 'It would work with {{degrees}}° less lock.',
  helpsNot: 'Neither ending one part up to two metres earlier or later nor another lock makes it work.',
  rulePart: 'Part {{part}}',
  ruleGo: 'Go',
  ruleForward: 'Forward',
  ruleBackwards: 'Back',
  ruleWheel: 'Wheel',
  ruleStraight: 'Straight',
  ruleHalfLeft: 'Half left lock',
  ruleHalfRight: 'Half right lock',
  ruleUntil: 'Until',
  ruleLevel: 'Something is level',
  'in-line': 'In line with the bay',
  'in-place': 'In as far as it goes',
  ruleMetres: 'A distance',
  ruleWhat: 'What of the vehicle',
  ruleThing: 'Level with',
  ruleDistance: 'Distance (m)',
  addRulePart: 'Add a part',
  removeRulePart: 'Remove part {{part}}',
  'front-wheel': 'the front wheel',
  'rear-wheel': 'the rear wheel',
  'rear-end': 'the rear end',
  none: 'There is no way with this much room.',
  'none-more': 'There is no way with this much room. {{name}}: {{need}} m would do, {{more}} cm more.',
  'no-more': 'There is no way, and four metres more would not help either.',
  lookingForMore: 'Finding out how much more would do',
  'too-many-movements': 'There is no way in {{most}} movements or fewer.',
  'start-blocked': 'The vehicle does not fit where it begins with this much room to keep.',
  'goal-blocked': 'The vehicle does not fit where it should end with this much room to keep.',
  trailerAlone: 'With a trailer, only the tracks are drawn on the driving bench; no way is worked out yet.',
  yard: 'Yard',
  planIt: 'Plan',
  driveIt: 'Drive it',
  setOut: 'Set it out',
  drawIt: 'Change the ground',
  keptHere: 'Kept by your school',
  nothingKept: 'Nothing kept yet. Keep your own vehicle, a ground or a plan, and your colleagues find it here.',
  question: 'plan',
  ground: 'ground',
  keptVehicle: 'vehicle',
  keepWhat: 'Keep',
  keepQuestion: 'This plan',
  keepVehicle: 'This vehicle',
  keepName: 'Name',
  keep: 'Keep it',
  keptAs: 'Kept as {{name}}.',
  dropKept: 'Delete {{name}}',
  droppedKept: '{{name}} is deleted.',
  undoDrop: 'Keep it after all',
  drawWhy: 'Drag what stands there, or put in its figures. Arrow keys move what is chosen by 5 cm.',
  drawn: 'What stands there',
  addCone: 'Add a cone',
  addPole: 'Add a pole',
  addLine: 'Add a line',
  addKerb: 'Add a kerb',
  addWall: 'Add a wall',
  removeThing: 'Remove {{thing}}',
  undoDraw: 'Undo',
  drew: 'drew',
  xM: 'Across (m)',
  yM: 'Up (m)',
  headingDeg: 'Pointing (°)',
  startPose: 'Where it begins',
  goalPose: 'Where it ends',
  'left-line': 'left line',
  'right-line': 'right line',
  'end-line': 'line at the end',
  'aisle-edge': 'edge of the aisle',
  'bay-before': 'bay before',
  'bay-after': 'bay after',
  'near-kerb': 'near kerb',
  'far-kerb': 'far kerb',
  'other-kerb': 'other kerb',
  'car-ahead': 'car ahead',
  'car-behind': 'car behind',
  'left-edge': 'left edge',
  'right-edge': 'right edge',
  'stop-line': 'stop line',
  'barrier-at-end': 'barrier',
  edgePart: '{{edge}}, {{part}}',
  coneNamed: 'Cone {{id}}',
  poleNamed: 'Pole {{id}}',
  lineNamed: 'Line {{id}}',
  kerbNamed: 'Kerb {{id}}',
  wallIs: 'Wall {{id}}',
  edgeFrom: '{{thing}}, one end',
  edgeTo: '{{thing}}, other end',
  openLayout: 'Open a layout (JSON)',
  layoutWrong: 'This file cannot be used: {{problem}}',
  keepGround: 'Keep this ground',
  picture: '{{exercise}} seen from above, with the ways of the wheels',
  scaleBar: '{{metres}} m',
  along: 'Along the way',
  wayAt: '{{way}} m',
  legend: 'Blue: rear wheels. Ochre: front wheels. Thin: corners of the body.',
  body: 'body',
  'left-mirror': 'left mirror',
  'right-mirror': 'right mirror',
  'trailer-body': 'trailer',
  'front-left': 'front left wheel',
  'front-right': 'front right wheel',
  'rear-left': 'rear left wheel',
  'rear-right': 'rear right wheel',
  'trailer-left': 'left wheel of the trailer',
  'trailer-right': 'right wheel of the trailer',
  marker: 'marker {{id}}',
  line: 'a line',
  kerb: 'the kerb',
  wall: 'a wall or parked car',
  wallEnd: 'the end of a wall or parked car',
  benchWhy: 'Arrow keys: up and down roll, left and right turn the steering wheel. S sets it straight.',
  wheel: 'Steering wheel',
  wheelAt: '{{degrees}}° {{side}}',
  wheelStraight: 'straight',
  toLeft: 'left',
  toRight: 'right',
  forward: 'Forward',
  back: 'Back',
  straighten: 'Straighten',
  startAgain: 'Start again',
  playReplay: 'Play again',
  pauseReplay: 'Pause',
  lookBack: 'Look back',
  beside: 'Compare with',
  besideNone: 'Nothing',
  besideBefore: 'The try before',
  besideSame: '{{vehicle}}, same hands',
  runWay: 'The yard run',
  backToRun: 'Back to the run',
  noPositions: 'No sensor of this run says where the car was and where it pointed (x_m, y_m and heading_deg).',
  runTouched: 'The {{part}} touched {{thing}} after {{way}} m.',
  runClean: 'Nothing was touched on this ground.',
  runWhy:
    'The run is laid on the ground chosen above, from where the exercise begins. Choose the vehicle that was driven and the measures of the yard.',
  lookingForSaved: 'Finding out what would have saved it',
  savedBySteering: 'Until {{before}} m before, steering alone would have saved it:',
  savedByCorrecting: 'Until {{before}} m before, stopping and correcting would have saved it:',
  notBySteering: 'From where it began, steering alone would not have done.',
  notByCorrecting: 'From where it began there is no way in three movements.',
  saveRun: 'Save for the yard (CSV)',
  soFar: 'So far',
  way: 'Way',
  nearestNow: 'Nearest now',
  dry: 'Turned standing still',
  times_one: 'once',
  times_other: '{{count}} times',
  touched: 'Touched',
  touchedWhat: '{{part}} touched {{thing}} after {{way}} m',
  nothingTouched: 'Nothing touched.',
  noGap: 'nothing near',
  cm: '{{value}} cm',
  m: '{{value}} m',
  judgedBy: 'Judged by',
  judgeNone: 'No standard of yours has this exercise on its course.',
  judgeNothing: 'No fault so far under this standard.',
  judgeFault: '{{fault}}, {{grade}}',
  groundOf: '{{exercise}}, {{side}}',
  printSetOut: 'Print',
  saveSvg: 'Drawing (SVG)',
  saveDxf: 'Drawing (DXF)',
  saveJson: 'Layout (JSON)',
  nothingToSet: 'Nothing to set out: a road with its kerbs is there already.',
  baseLine: 'Base line from {{from}} to {{to}}: {{length}} m. Lay the tape along it.',
  point: 'Marker',
  alongBase: 'Along the base line',
  off: 'Square off it',
  offLeft: '{{value}} m left',
  offRight: '{{value}} m right',
  offNone: 'on the line',
  diagonalTo: 'To {{id}}',
  tolerance: 'Measure to 2 cm. A diagonal that is more than 3 cm out says that the corner is not square.',
  checkScale: 'Check the print with a ruler: {{metres}} m of ground are {{mm}} mm on paper.',
  parts: 'What to bring',
  cones_one: '{{count}} cone',
  cones_other: '{{count}} cones',
  poles_one: '{{count}} pole',
  poles_other: '{{count}} poles',
  chalked_one: 'chalk for {{count}} point',
  chalked_other: 'chalk for {{count}} points',
  lineOf: '{{value}} m of line',
  tapeOf: 'a tape of {{value}} m',
  groundYouHave: 'Ground you have',
  groundLength: 'Length (m)',
  groundWidth: 'Width (m)',
  groundFits: 'It takes {{length}} by {{width}} m and fits.',
  groundFitsTurned: 'It takes {{length}} by {{width}} m and fits the other way round.',
  groundMissing: 'It takes {{length}} by {{width}} m: {{missing}} missing.',
  missingLength: '{{value}} m of length',
  missingWidth: '{{value}} m of width',
  widths: 'Movements by width of road',
  widthsWhy: 'How many movements a turn in the road takes in this vehicle.',
  widthsShow: 'Work it out',
  widthsSoFar_one: 'Working it out: {{count}} width so far.',
  widthsSoFar_other: 'Working it out: {{count}} widths so far.',
  widthsOf: 'In {{movements}} from {{width}} m.',
  widthsNever: 'Narrower than {{width}} m: not in {{most}} movements.',
  widthHead: 'Width of the road (m)',
  movementsHead: 'Movements',
  measures: 'Measures of the vehicle',
  measuresWhy: 'These are usual for the class. Measure your own vehicle with a tape and put its figures here.',
  circle: 'Turning circle between kerbs (m)',
  wheelbaseM: 'From axle to axle (m)',
  trackM: 'Between the middles of the tyres (m)',
  frontOverhangM: 'Front axle to front end (m)',
  rearOverhangM: 'Rear axle to rear end (m)',
  widthM: 'Width without mirrors (m)',
  mirrorWidthM: 'Width over the mirrors (m)',
  mirrorAheadM: 'Rear axle to mirrors (m)',
  tyreWidthM: 'Width of a tyre (m)',
  tyreDiameterM: 'Height of a tyre (m)',
  lockDeg: 'Full lock (°)',
  turnsLockToLock: 'Turns of the steering wheel, lock to lock',
  sillM: 'Lower edge of the side window above ground (m)',
  doorHandleAheadM: 'Rear axle to door handle (m)',
  eyeAheadM: 'Rear axle to the driver’s eye (m)',
  eyeLeftM: 'Driver’s eye left of the middle (m)',
  eyeHeightM: 'Driver’s eye above ground (m)',
  seatRangeM: 'Range of the seat, front to back (m)',
  bonnetAheadM: 'Rear axle to the edge of the bonnet (m)',
  bonnetHeightM: 'Edge of the bonnet above ground (m)',
  mirrorGlassWideM: 'Width of a mirror’s glass (m)',
  mirrorGlassTallM: 'Height of a mirror’s glass (m)',
  mirrorGlassHeightM: 'Middle of a mirror above ground (m)',
  mirrorRadiusM: 'Radius of a mirror’s bulge (m)',
  mirrorDownDeg: 'Mirrors tilted down (°)',
  pillarFootAheadM: 'Rear axle to the foot of the front pillar (m)',
  pillarTopAheadM: 'Rear axle to the top of the front pillar (m)',
  doorPillarAheadM: 'Rear axle to the pillar behind the front door (m)',
  pillarWideM: 'Width of a front pillar (m)',
  roofM: 'Height of the roof (m)',
  hitchBehindM: 'Rear axle to the coupling (m)',
  drawbarM: 'Coupling to the trailer’s axle (m)',
  bodyAheadM: 'Trailer’s axle to its front end (m)',
  bodyBehindM: 'Trailer’s axle to its rear end (m)',
  trailerWidthM: 'Width of the trailer (m)',
  trailerTyreWidthM: 'Width of the trailer’s tyre (m)',
  trailerTyreDiameterM: 'Height of the trailer’s tyre (m)',
  tapeFor: 'Where the tape goes: {{measure}}',
  noTape: '{{measure}}: no tape measures this. It is in the handbook, or found by trying.',
  asUsual: 'Back to the usual measures',
  impossible: '{{name}}: from {{least}} to {{most}}.',
  'narrower-than-tyres': 'The tyres stand out further than the body. Measure the width and the tyres again.',
  'mirrors-narrower': 'The vehicle is narrower over its mirrors than without them.',
  'mirrors-outside': 'The mirrors are not along the vehicle.',
  'handle-outside': 'The door handle is not along the vehicle.',
  'mirrors-behind-eye': 'The door mirrors are not ahead of the driver’s eye.',
  'eye-outside': 'The driver’s eye is outside the vehicle.',
  'trailer-missing': 'The trailer has no measures.',
  'trailer-short': 'The trailer’s body reaches past its coupling.',
  'unusual-circle':
    'This gives a circle of {{value}} m; {{least}} to {{most}} m is usual for the class. Measure again.',
  'unusual-length':
    'This gives a length of {{value}} m; {{least}} to {{most}} m is usual for the class. Measure again.',
} as const;

export const t = wordsOf('motion', resource);

export const movementsWords = (count: number): string => t('movements', { count });
export const vehicleName = (kind: VehicleKind): string => t(kind);
export const exerciseName = (code: ExerciseCode): string => t(code);
const edgeCodes = [
  'left-line',
  'right-line',
  'end-line',
  'aisle-edge',
  'bay-before',
  'bay-after',
  'near-kerb',
  'far-kerb',
  'other-kerb',
  'car-ahead',
  'car-behind',
  'left-edge',
  'right-edge',
  'stop-line',
  'barrier-at-end',
] as const;

/** What an edge of a layout is called: "car ahead, 2"; one of the school's own, and a marker, by its id. */
export function edgeName(id: string): string {
  const [, own = id, part] = /^(.+?)(?:-(\d+))?$/.exec(id) ?? [];
  const code = edgeCodes.find((one) => one === own);
  if (!code) return id;
  return part === undefined ? t(code) : t('edgePart', { edge: t(code), part });
}

/** "Bay, reversing in, on the left"; a ground of the school's own by its name. */
export const groundTitle = (name: string, side: 'left' | 'right' | undefined): string =>
  side ? t('groundOf', { exercise: name, side: t(side).toLowerCase() }) : name;
export const ruleFeatureName = (feature: RuleFeature): string => capital(t(feature));
export const keptKindName = (kind: KeptKind): string => t(kind === 'vehicle' ? 'keptVehicle' : kind);
export const spaceName = (name: SpaceName): string => t(name);
export const measureName = (name: AnyMeasure): string => t(name);
export const partName = (name: PartName): string => t(name);

/** What was touched or is near: "marker A", "a line". */
export const thingName = ({ kind, thing }: Pick<Near, 'kind' | 'thing'>): string =>
  kind === 'cone' || kind === 'pole' ? t('marker', { id: thing }) : t(kind);

/** "Full left lock, back 3.4 m". */
export function stepSentence({ steerDeg, distanceM }: Step, lockDeg: number): string {
  const share = Math.round((Math.abs(steerDeg) / lockDeg) * 100);
  const left = steerDeg > 0;
  const steer =
    share === 0
      ? t('straight')
      : share >= 99
        ? t(left ? 'fullLeft' : 'fullRight')
        : t(left ? 'partLeft' : 'partRight', { share });
  return t(distanceM < 0 ? 'stepBack' : 'stepForward', { steer, way: Math.abs(distanceM).toFixed(1) });
}

const sideWord = (side: 'left' | 'right' | undefined): string => t(side === 'right' ? 'rightSide' : 'leftSide');

/** "Ends with marker B level with the door mirror on the right". */
function linedUpWords({ feature, side, ...thing }: LinedUp): string {
  const values = { thing: thing.kind === 'wall' ? t('wallEnd') : thingName(thing), side: sideWord(side) };
  switch (feature) {
    case 'mirror-edge':
      return t('onMirrorEdge', values);
    case 'bonnet-edge':
      return t('underBonnet', { thing: values.thing });
    case 'pillar-gap':
      return t('inPillarGap', values);
    default:
      return t('levelWith', { ...values, what: t(feature) });
  }
}

/**
 * "Ends with marker B level with the door mirror on the right. May be 20 cm short or 34 cm far, the steering wheel 12° left
 * or 30° right of it."
 */
export function referenceSentence(
  { shortM, longM, leftDeg, rightDeg, level: [best] }: Reference,
  vehicle: Vehicle,
): string {
  const atLeast = (value: string, capped: boolean) => (capped ? t('orMore', { value }) : value);
  const metres = (value: number) => atLeast(t('cm', { value: Math.round(value * 100) }), value >= mostM);
  const wheel = (value = 0) =>
    atLeast(t('degrees', { value: Math.floor(wheelOf(vehicle, value)) }), value >= mostDeg - 1e-9);
  const [left, right] = [wheel(leftDeg), wheel(rightDeg)];
  const steering =
    leftDeg === undefined
      ? t('steeredRight', { right })
      : rightDeg === undefined
        ? t('steeredLeft', { left })
        : t('steeredBoth', { left, right });
  const forgives = t('forgives', { short: metres(shortM), long: metres(longM), steering });
  return best ? t('endsWith', { what: linedUpWords(best), forgives }) : forgives;
}

/** "Left mirror: markers A and B"; only which mirror it is where no marker stands anywhere. */
export function mirrorShows(side: 'left' | 'right', ids: readonly string[] | undefined): string {
  if (!ids) return t(side === 'left' ? 'leftMirror' : 'rightMirror');
  const shows =
    ids.length === 0 ? t('noMarker') : t(ids.length === 1 ? 'onlyMarker' : 'markersSeen', { ids: joinWords(ids) });
  return t(side === 'left' ? 'leftMirrorShows' : 'rightMirrorShows', { shows });
}

/** "as measured", "5 cm further back". */
export function seatWords(backM: number): string {
  const cm = Math.round(Math.abs(backM) * 100);
  return cm === 0 ? t('seatAsMeasured') : t(backM > 0 ? 'seatBack' : 'seatForward', { cm });
}

/** "as for the road", "6° down". */
export const downWords = (degrees: number): string => (degrees === 0 ? t('forRoad') : t('tiltedDown', { degrees }));

/** What becomes of a rule of thumb. */
export function ruleSentence(followed: Followed): string {
  switch (followed.outcome) {
    case 'works':
      return followed.closest
        ? t('ruleWorks', {
            gap: Math.round(followed.closest.gapM * 100),
            part: partName(followed.closest.part),
            thing: thingName(followed.closest),
          })
        : t('ruleWorksFree');
    case 'touches':
      return t('ruleTouches', {
        part: followed.part + 1,
        what: partName(followed.touch.part),
        thing: thingName(followed.touch),
      });
    case 'never':
      return t('ruleNever', { part: followed.part + 1 });
    default:
      return t('ruleOutside');
  }
}

/** With what a rule that fails would work. */
export function helpsSentence(helps: Helps | undefined): string {
  if (!helps) return t('helpsNot');
  if (helps.kind === 'lock')
    return t(helps.moreDeg > 0 ? 'helpsMoreLock' : 'helpsLessLock', { degrees: Math.abs(helps.moreDeg) });
  return t(helps.laterM > 0 ? 'helpsLater' : 'helpsEarlier', {
    part: helps.part + 1,
    cm: Math.round(Math.abs(helps.laterM) * 100),
  });
}

/** Until when a drive could have been saved. */
export function savedSentence(saved: Saved | null | undefined, how: 'steering' | 'correcting'): string {
  if (!saved) return t(how === 'steering' ? 'notBySteering' : 'notByCorrecting');
  return t(how === 'steering' ? 'savedBySteering' : 'savedByCorrecting', { before: saved.beforeM.toFixed(1) });
}

/** Why there is no way. */
export const noPlanSentence = ({ why }: Pick<NoPlan, 'why'>, most: number): string =>
  why === 'too-many-movements' ? t(why, { most }) : t(why);

/** How much more room would do; undefined where none does. */
export const neededSentence = (needed: Needed | undefined): string =>
  needed
    ? t('none-more', {
        name: spaceName(needed.measure),
        need: needed.needM.toFixed(2),
        more: Math.round((needed.needM - needed.haveM) * 100),
      })
    : t('no-more');

/** What is wrong with the measures of a vehicle, or strange about them. */
export function vehicleProblemSentence(problem: VehicleProblem): string {
  switch (problem.code) {
    case 'impossible':
      return t('impossible', { name: measureName(problem.measure), least: problem.least, most: problem.most });
    case 'unusual-circle':
    case 'unusual-length':
      return t(problem.code, { value: problem.value.toFixed(1), least: problem.least, most: problem.most });
    default:
      return t(problem.code);
  }
}
