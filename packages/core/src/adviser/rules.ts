/** How grave something is, whatever the standard calls it. */
export const severities = ['nothing', 'noted', 'counted', 'outright', 'highest'] as const;
export type GradeLevel = (typeof severities)[number];

/** One piece of judgement: when these answers were given, this follows. All of it is common practice. */
export interface AdviserRule {
  /** Codes of behaviours, or of whole categories with a `*`; everything where it is missing. */
  readonly of?: readonly string[];
  /** Answers needed, by question; all of them. */
  readonly when?: Readonly<Record<string, readonly string[]>>;
  /** Choices that the standard must have made, by option; all of them. */
  readonly option?: Readonly<Record<string, readonly string[]>>;
  /** `base`: where judging begins, the later rule wins; the others push from there. */
  readonly as: 'base' | 'at-least' | 'at-most';
  readonly severity: GradeLevel;
  /** What it could also pass as. */
  readonly or?: GradeLevel;
  readonly because: string;
}

/** Where judging begins. */
const bases: readonly AdviserRule[] = [
  { as: 'base', severity: 'counted', because: 'it was not good enough, and it endangered nobody' },
  {
    of: ['awareness.directions'],
    as: 'base',
    severity: 'nothing',
    because: 'a wrong direction driven safely is no fault',
  },
  {
    of: ['roundabouts.signal'],
    when: { which: ['both'] },
    as: 'base',
    severity: 'noted',
    or: 'counted',
    because: 'the signals contradicted each other, and the last one told the truth',
  },
  {
    of: ['signs.amber'],
    when: { which: ['hard'] },
    as: 'base',
    severity: 'counted',
    or: 'outright',
    because: 'going on was the safer choice; how grave it is depends on who was behind',
  },
];

/** What makes a thing graver, whatever else was said. */
const raises: readonly AdviserRule[] = [
  {
    when: { affected: ['yes'] },
    as: 'at-least',
    severity: 'highest',
    because: 'someone else had to slow, stop or swerve',
  },
  { when: { help: ['control'] }, as: 'at-least', severity: 'highest', because: 'you had to take control' },
  { when: { help: ['spoke'] }, as: 'at-least', severity: 'outright', because: 'your prompt kept it safe' },
  { when: { control: ['lost'] }, as: 'at-least', severity: 'outright', because: 'the car was not under control' },
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
    because: 'someone was close enough to be endangered',
  },
  {
    when: { 'held-up': ['phase'] },
    as: 'at-least',
    severity: 'outright',
    because: 'others waited through a whole green light, or as long',
  },
  {
    of: ['junctions.stop-line', 'junctions.giving-way'],
    when: { speed: ['usual', 'fast'] },
    as: 'at-least',
    severity: 'outright',
    because: 'the line was crossed at a speed that left no time to look',
  },
  {
    of: ['speed.*', 'junctions.approach', 'roundabouts.approach', 'crossings.approach', 'signs.railway'],
    when: { speed: ['fast'] },
    as: 'at-least',
    severity: 'outright',
    because: 'at that speed there was no stopping for what might have come',
  },
  {
    of: ['signs.lights'],
    when: { which: ['red'] },
    as: 'at-least',
    severity: 'outright',
    because: 'a red light was passed',
  },
  {
    of: ['junctions.cutting'],
    when: { which: ['other-side'] },
    as: 'at-least',
    severity: 'outright',
    because: 'the car was on the side of oncoming traffic',
  },
  {
    of: ['set-up.mirrors'],
    when: { righted: ['late', 'never'] },
    as: 'at-least',
    severity: 'outright',
    because: 'the mirrors showed nothing of use for a long stretch of driving',
  },
  {
    of: ['reversing.looking-back'],
    option: { 'reverse-look': ['look-back'] },
    as: 'at-least',
    severity: 'outright',
    because: 'this standard asks for a turned head through most of a reverse',
  },
  {
    of: ['emergency-stop.footwork'],
    when: { which: ['clutch-first'] },
    option: { 'emergency-footwork': ['together', 'brake-first'] },
    as: 'at-least',
    severity: 'outright',
    because: 'clutch first gives the engine braking away when it is needed most',
  },
  {
    of: ['emergency-stop.footwork'],
    when: { which: ['both'] },
    option: { 'emergency-footwork': ['brake-first'] },
    as: 'at-least',
    severity: 'outright',
    because: 'this standard wants the brake before the clutch',
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
    because: 'no one was held up and the car was restarted with the proper checks',
  },
  {
    of: ['set-up.mirrors'],
    when: { righted: ['looked', 'unlooked'] },
    as: 'at-most',
    severity: 'nothing',
    because: 'the mirrors were back in place before they were needed',
  },
  {
    of: ['reversing.accuracy', 'reversing.control', 'reversing.shunt', 'stopping.*'],
    when: { righted: ['looked'] },
    as: 'at-most',
    severity: 'nothing',
    or: 'counted',
    because: 'it was seen and put right at once, with a look round first',
  },
  {
    of: ['crossings.side-road'],
    when: { which: ['unsafe'] },
    as: 'at-most',
    severity: 'nothing',
    because: 'stopping would have endangered others more than going on',
  },
  {
    of: ['emergency-stop.footwork'],
    when: { which: ['both'] },
    option: { 'emergency-footwork': ['together'] },
    as: 'at-most',
    severity: 'nothing',
    because: 'both pedals together is what this standard teaches',
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
        because: 'this standard looks at form, though nothing came of it',
      },
      {
        of,
        when: { which: [which] },
        option: { 'control-form': ['ignored'] },
        as: 'at-most',
        severity: 'nothing',
        because: 'it affected no other road user',
      },
    ];
  }),
  {
    of: ['signals.missed'],
    when: { near: ['nobody'] },
    option: { 'signal-need': ['not-needed'] },
    as: 'at-most',
    severity: 'nothing',
    because: 'a signal would have spoken to no one',
  },
];

export const adviserRules: readonly AdviserRule[] = [...bases, ...raises, ...lowers];
