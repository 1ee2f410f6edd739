import type { Behaviour } from '@jasperwren/core/catalogue/behaviour';
import { wordsOf } from './words';

/** Why a serious fault matters, by the category of what was done (common practice). */
export const resource = {
  whyItMatters: 'Why it matters: {{why}}',
  whatGoodLooksLike: 'What good looks like: {{good}}',
  checks: 'A car that is not ready can fail you at the first hard stop.',
  'set-up': 'Sitting wrong costs you reach and sight just when you need them.',
  controls: 'A car that stalls, rolls or lurches surprises all the traffic around it.',
  'moving-off': 'The driver or rider coming past cannot stop for a car that pulls out.',
  mirrors: 'What you have not seen you cannot make room for: a bike fits in any blind spot.',
  signals: 'Others act on what you tell them. A wrong or late signal sends them into your way.',
  position: 'In the wrong place you take room from others, or invite a pass that does not fit.',
  speed: 'Speed decides whether you can still stop for what you see.',
  junctions: 'Traffic on the other road has little time to react, and side-on crashes hurt the most.',
  roundabouts: 'Others come round faster than it looks, and go by the lane and the signal you chose.',
  signs: 'A sign or light missed puts you where others trust the way is clear.',
  'fast-roads': 'At speed a small mistake becomes a large one before you can mend it.',
  clearance: 'A door, a child or a wobbling bike needs the room that was not left.',
  meeting: 'Two cars in one gap leave no way out for either.',
  crossings: 'People on foot have nothing around them. They go by what you show them.',
  awareness: 'Seen late, an easy situation becomes an emergency.',
  stopping: 'Others must pass where you stand, and doors open into traffic.',
  'emergency-stop': 'Every tenth of a second on the brake decides how fast you hit.',
  reversing: 'Behind the car is where you see least and children are smallest.',
  yard: 'What gives way here is a cone. On the road it is not.',
} as const;

const t = wordsOf('why-matters', resource);

type Category = Exclude<keyof typeof resource, 'whyItMatters' | 'whatGoodLooksLike'>;

const isCategory = (code: string): code is Category => code in resource;

/** Why a serious fault of this behaviour matters, and what good looks like instead. */
export function whyMatters({ category, explanation }: Behaviour): readonly string[] {
  return [
    ...(isCategory(category) ? [t('whyItMatters', { why: t(category) })] : []),
    t('whatGoodLooksLike', { good: explanation.charAt(0).toLowerCase() + explanation.slice(1) }),
  ];
}
