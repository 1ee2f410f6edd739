/** How grave something is, whatever the standard calls it. */
export const severities = ['nothing', 'noted', 'counted', 'outright', 'highest'] as const;
export type GradeLevel = (typeof severities)[number];

/** Why a grade is proposed; what it says stands in the words. */
export type AdviserReason =
  | 'no-one-endangered'
  | 'wrong-way-safe'
  | 'last-signal-right'
  | 'going-on-safer'
  | 'others-reacted'
  | 'took-control'
  | 'prompt-kept-safe'
  | 'not-under-control'
  | 'someone-close'
  | 'others-waited'
  | 'no-time-to-look'
  | 'could-not-stop'
  | 'red-light'
  | 'other-side'
  | 'mirrors-useless'
  | 'head-not-turned'
  | 'clutch-first'
  | 'brake-first-wanted'
  | 'restarted-well'
  | 'mirrors-back-in-time'
  | 'put-right-at-once'
  | 'stopping-more-dangerous'
  | 'both-pedals-taught'
  | 'form-matters'
  | 'affected-no-one'
  | 'signal-for-no-one'
  | 'habit';

/** Stands for the choice of an option that a standard does not have. */
const notSettled = '';

/** One piece of judgement: when these answers were given, this follows. All of it is common practice. */
export interface AdviserRule {
  /** Codes of behaviours, or of whole categories with a `*`; everything where it is missing. */
  readonly of?: readonly string[];
  /** Answers needed, by question; all of them. */
  readonly when?: Readonly<Record<string, readonly string[]>>;
  /** Choices that the standard must have made, by option; all of them. `notSettled` where it has no such option. */
  readonly option?: Readonly<Record<string, readonly string[]>>;
  /** `base`: where judging begins, the later rule wins; the others push from there. */
  readonly as: 'base' | 'at-least' | 'at-most';
  readonly severity: GradeLevel;
  /** What it could also pass as. */
  readonly or?: GradeLevel;
  readonly because: AdviserReason;
}

/** Where judging begins. */
const bases: readonly AdviserRule[] = [
  { as: 'base', severity: 'counted', because: 'no-one-endangered' },
  {
    of: ['awareness.directions'],
    as: 'base',
    severity: 'nothing',
    because: 'wrong-way-safe',
  },
  {
    of: ['roundabouts.signal'],
    when: { which: ['both'] },
    as: 'base',
    severity: 'noted',
    or: 'counted',
    because: 'last-signal-right',
  },
  {
    of: ['signs.amber'],
    when: { which: ['hard'] },
    as: 'base',
    severity: 'counted',
    or: 'outright',
    because: 'going-on-safer',
  },
  // Where a standard has no milder grade for it, its own grade holds.
  {
    of: ['reversing.looking-back'],
    option: { 'reverse-look': ['look-back'] },
    as: 'base',
    severity: 'counted',
    or: 'outright',
    because: 'head-not-turned',
  },
];

/** What makes a thing graver, whatever else was said. */
const raises: readonly AdviserRule[] = [
  {
    when: { affected: ['yes'] },
    as: 'at-least',
    severity: 'highest',
    because: 'others-reacted',
  },
  { when: { help: ['control'] }, as: 'at-least', severity: 'highest', because: 'took-control' },
  { when: { help: ['spoke'] }, as: 'at-least', severity: 'outright', because: 'prompt-kept-safe' },
  { when: { control: ['lost'] }, as: 'at-least', severity: 'outright', because: 'not-under-control' },
  {
    of: [
      'moving-off.*',
      'mirrors.*',
      'position.*',
      'junctions.*',
      'roundabouts.*',
      'fast-roads.*',
      'meeting.*',
      'clearance.*',
      'crossings.*',
      'reversing.*',
      'signs.*',
    ],
    when: { near: ['close'] },
    as: 'at-least',
    severity: 'outright',
    because: 'someone-close',
  },
  {
    when: { 'held-up': ['phase'] },
    as: 'at-least',
    severity: 'outright',
    because: 'others-waited',
  },
  {
    of: ['junctions.stop-line', 'junctions.giving-way'],
    when: { speed: ['usual', 'fast'] },
    as: 'at-least',
    severity: 'outright',
    because: 'no-time-to-look',
  },
  {
    of: ['speed.*', 'junctions.approach', 'roundabouts.approach', 'crossings.approach', 'signs.railway'],
    when: { speed: ['fast'] },
    as: 'at-least',
    severity: 'outright',
    because: 'could-not-stop',
  },
  {
    of: ['signs.lights'],
    when: { which: ['red'] },
    as: 'at-least',
    severity: 'outright',
    because: 'red-light',
  },
  {
    of: ['junctions.cutting'],
    when: { which: ['other-side'] },
    as: 'at-least',
    severity: 'outright',
    because: 'other-side',
  },
  {
    of: ['set-up.mirrors'],
    when: { righted: ['late', 'never'] },
    as: 'at-least',
    severity: 'outright',
    because: 'mirrors-useless',
  },
  {
    of: ['emergency-stop.footwork'],
    when: { which: ['clutch-first'] },
    option: { 'emergency-footwork': ['together', 'brake-first'] },
    as: 'at-least',
    severity: 'outright',
    because: 'clutch-first',
  },
  {
    of: ['emergency-stop.footwork'],
    when: { which: ['both'] },
    option: { 'emergency-footwork': ['brake-first'] },
    as: 'at-least',
    severity: 'outright',
    because: 'brake-first-wanted',
  },
];

/** What makes a thing milder, as long as nothing made it outright. */
const lowers: readonly AdviserRule[] = [
  {
    of: ['controls.stalled'],
    when: { 'held-up': ['no'], righted: ['looked'] },
    as: 'at-most',
    severity: 'noted',
    or: 'counted',
    because: 'restarted-well',
  },
  {
    of: ['set-up.mirrors'],
    when: { righted: ['looked', 'unlooked'] },
    as: 'at-most',
    severity: 'nothing',
    because: 'mirrors-back-in-time',
  },
  // Where a correction costs a fault by the standard, it is one, however well it was done.
  {
    of: ['reversing.accuracy', 'reversing.control', 'reversing.shunt'],
    when: { righted: ['looked'] },
    option: { shunt: ['free', notSettled] },
    as: 'at-most',
    severity: 'nothing',
    or: 'counted',
    because: 'put-right-at-once',
  },
  {
    of: ['stopping.*'],
    when: { righted: ['looked'] },
    as: 'at-most',
    severity: 'nothing',
    or: 'counted',
    because: 'put-right-at-once',
  },
  {
    of: ['crossings.side-road'],
    when: { which: ['unsafe'] },
    as: 'at-most',
    severity: 'nothing',
    because: 'stopping-more-dangerous',
  },
  {
    of: ['emergency-stop.footwork'],
    when: { which: ['both'] },
    option: { 'emergency-footwork': ['together'] },
    as: 'at-most',
    severity: 'nothing',
    because: 'both-pedals-taught',
  },
  ...(['noise', 'skipped'] as const).flatMap((which): readonly AdviserRule[] => {
    const of = [which === 'noise' ? 'controls.parking-brake' : 'controls.gears'];
    return [
      {
        of,
        when: { which: [which] },
        option: { 'control-form': ['matters'] },
        as: 'at-most',
        severity: 'noted',
        or: 'counted',
        because: 'form-matters',
      },
      {
        of,
        when: { which: [which] },
        option: { 'control-form': ['ignored'] },
        as: 'at-most',
        severity: 'nothing',
        because: 'affected-no-one',
      },
    ];
  }),
  {
    of: ['signals.missed'],
    when: { near: ['nobody'] },
    option: { 'signal-need': ['not-needed'] },
    as: 'at-most',
    severity: 'nothing',
    because: 'signal-for-no-one',
  },
];

export const adviserRules: readonly AdviserRule[] = [...bases, ...raises, ...lowers];
