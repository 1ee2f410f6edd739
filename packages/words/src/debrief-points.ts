import { exerciseName } from '@jasperwren/core/marking/exercise';
import { wholeMinutes } from '@jasperwren/core/drive/clock';
import type { ComparedWithLast } from '@jasperwren/core/debrief/compared';
import type { Pattern } from '@jasperwren/core/debrief/patterns';
import type { GoodThing } from '@jasperwren/core/debrief/went-well';
import type { WorkOn } from '@jasperwren/core/debrief/work-on';
import { rulesOf } from '@jasperwren/core/marking/rules';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import type { Verdict } from '@jasperwren/core/marking/verdict';
import { joinWords } from './lists';
import { itemName } from './marking/names';
import { verdictDetail } from './marking/verdict';
import { wordsOf } from './words';

export const resource = {
  stretch: '{{minutes}} minutes without a fault, from minute {{from}} to {{to}}.',
  exercise: '{{exercise}}: no fault.',
  exerciseTimes: '{{exercise}}: no fault in {{n}} attempts.',
  question: 'The safety question answered correctly.',
  questions: 'All {{n}} safety questions answered correctly.',
  moveOffs: 'Moved off {{n}} times without a fault.',
  independent: '{{minutes}} minutes of independent driving without a fault.',
  noHelp: 'No help needed in {{minutes}} minutes.',
  mended: '{{fault}}: in {{n}} of the last {{of}} mock tests, not today.',
  sameFault: '{{fault}}: {{n}} times today.',
  sameArea: '{{n}} of {{of}} faults are in one area: {{area}}.',
  'in-looking': '{{n}} of {{of}} faults are one thing in several areas: observation.',
  'in-mirrors': '{{n}} of {{of}} faults are one thing in several areas: mirrors.',
  'in-signals': '{{n}} of {{of}} faults are one thing in several areas: signals.',
  'in-pace': '{{n}} of {{of}} faults are one thing in several areas: speed for the place.',
  'in-giving-way': '{{n}} of {{of}} faults are one thing in several areas: giving way.',
  'in-line': '{{n}} of {{of}} faults are one thing in several areas: position.',
  'in-handling': '{{n}} of {{of}} faults are one thing in several areas: handling the car.',
  'at-crossing-ways': '{{n}} of {{of}} faults were at junctions, roundabouts or crossings.',
  'at-between': '{{n}} of {{of}} faults were on the road between junctions.',
  'at-kerb': '{{n}} of {{of}} faults were when moving off or stopping.',
  'at-manoeuvres': '{{n}} of {{of}} faults were in manoeuvres.',
  late: '{{n}} of {{of}} faults came in the last third, after minute {{minute}}. By chance alone that happens in about {{chance}} of 100 tests: was it tiredness?',
  today_one: '{{count}} fault today',
  today_other: '{{count}} faults today',
  before: '{{today}}; {{counts}} in the mock test before.',
  beforeSeveral: '{{today}}; {{counts}} in the last {{n}} mock tests.',
  everyTime: 'Every time: {{faults}}.',
  fresh: 'New today: {{faults}}.',
  notToday: 'Not today',
  onceToday: 'Once today ({{grade}})',
  twiceToday: 'Twice today ({{grade}} at worst)',
  timesToday: '{{n}} times today ({{grade}} at worst)',
  inLast: '{{today}}, and in {{n}} of the last {{of}} mock tests.',
  only: '{{today}}.',
  fault: 'fault',
  otherwise: 'Without that fault: pass, {{detail}}.',
} as const;

const t = wordsOf('debrief-points', resource);

/** Something that went well, in a sentence. */
export function goodThingWords(standard: EffectiveStandard, good: GoodThing): string {
  switch (good.kind) {
    case 'stretch':
      return t('stretch', {
        minutes: wholeMinutes(good.toMs - good.fromMs),
        from: wholeMinutes(good.fromMs),
        to: wholeMinutes(good.toMs),
      });
    case 'exercise': {
      const exercise = exerciseName(standard, good.exercise);
      return good.goes === 1 ? t('exercise', { exercise }) : t('exerciseTimes', { exercise, n: good.goes });
    }
    case 'questions':
      return good.right === 1 ? t('question') : t('questions', { n: good.right });
    case 'move-offs':
      return t('moveOffs', { n: good.count });
    case 'independent':
      return t('independent', { minutes: wholeMinutes(good.ms) });
    case 'no-help':
      return t('noHelp', { minutes: wholeMinutes(good.ms) });
    case 'mended':
      return t('mended', { fault: itemName(standard, good.item), n: good.drives, of: good.of });
  }
}

/** What faults have in common, in a sentence. */
export function patternWords(standard: EffectiveStandard, pattern: Pattern): string {
  switch (pattern.kind) {
    case 'item':
      return t('sameFault', { fault: itemName(standard, pattern.item), n: pattern.count });
    case 'area': {
      const area = standard.categories.find(({ code }) => code === pattern.category)?.name ?? pattern.category;
      return t('sameArea', { n: pattern.count, of: pattern.of, area: area.toLowerCase() });
    }
    case 'competence':
      return t(`in-${pattern.competence}`, { n: pattern.count, of: pattern.of });
    case 'place':
      return t(`at-${pattern.place}`, { n: pattern.count, of: pattern.of });
    case 'late':
      return t('late', {
        n: pattern.count,
        of: pattern.of,
        minute: wholeMinutes(pattern.fromMs),
        chance: Math.max(1, Math.round(pattern.chance * 100)),
      });
  }
}

/** The mock test compared with the last ones, in sentences. */
export function comparedWords(standard: EffectiveStandard, compared: ComparedWithLast): readonly string[] {
  const { drives, marks, before, again, fresh } = compared;
  if (drives === 0) return [];
  const faults = (items: readonly string[]) => joinWords(items.map((item) => itemName(standard, item)));
  const values = { today: t('today', { count: marks }), counts: joinWords(before.map(String)) };
  return [
    drives === 1 ? t('before', values) : t('beforeSeveral', { ...values, n: drives }),
    ...(again.length > 0 ? [t('everyTime', { faults: faults(again) })] : []),
    ...(fresh.length > 0 && fresh.length <= 3 ? [t('fresh', { faults: faults(fresh) })] : []),
  ];
}

/** Why something is worth working on. */
export function workOnWords(standard: EffectiveStandard, { today: n, gravest, drives, of }: WorkOn): string {
  const grade = (gravest !== undefined && rulesOf(standard).grades.get(gravest)?.name) || t('fault');
  const today = timesToday(n, grade);
  return of > 1 && drives > 1 ? t('inLast', { today, n: drives, of }) : t('only', { today });
}

function timesToday(n: number, grade: string): string {
  if (n === 0) return t('notToday');
  if (n === 1) return t('onceToday', { grade });
  return n === 2 ? t('twiceToday', { grade }) : t('timesToday', { n, grade });
}

/** How a test that failed on a single fault would have ended without it. */
export function otherwiseSentence(standard: EffectiveStandard, otherwise: Verdict): string {
  return t('otherwise', { detail: verdictDetail(standard, otherwise) });
}
