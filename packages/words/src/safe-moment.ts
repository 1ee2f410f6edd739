import type { MomentVerdict } from '@jasperwren/core/safety-questions/safe-moment/judge-moment';
import { lookS, type HazardKind } from '@jasperwren/core/safety-questions/safe-moment/road';
import { wordsOf } from './words';

export const resource = {
  never: 'You let every safe moment pass. In a test you would be asked again.',
  unsafe: 'Not a safe moment: {{why}}.',
  notLooked: 'The road was clear, but you did not check the mirror in the {{seconds}} s before.',
  good: 'Good moment: clear ahead, clear behind, mirror checked.',
  'limit-change': 'the limit was just changing, and the speed needed you',
  bend: 'a bend needed both hands and both eyes',
  junction: 'a junction was too near, someone could have pulled out',
  crossing: 'a crossing was too near, someone could have stepped out',
  'large-vehicle': 'a large vehicle was coming up and took its room',
  cyclist: 'you were about to pass a cyclist',
  overtaker: 'someone was overtaking you',
} as const satisfies Record<HazardKind, string> & Record<string, string>;

const t = wordsOf('safe-moment', resource);

/** Why a moment was good, or was not. */
export function momentSentence({ outcome, hazards }: MomentVerdict): string {
  switch (outcome) {
    case 'never':
      return t('never');
    case 'unsafe':
      return t('unsafe', { why: hazards.map((kind) => t(kind)).join('; ') });
    case 'not-looked':
      return t('notLooked', { seconds: lookS });
    case 'good':
      return t('good');
  }
}
