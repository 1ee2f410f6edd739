/** Asked of every mark, the most telling first: the answers to each, by code. What they say stands in the words. */
const common = {
  affected: ['no', 'yes'],
  near: ['nobody', 'away', 'close'],
  help: ['none', 'spoke', 'control'],
  control: ['kept', 'lost'],
  righted: ['looked', 'unlooked', 'late', 'never'],
  'held-up': ['no', 'briefly', 'phase'],
  speed: ['walking', 'usual', 'fast'],
  times: ['once', 'again', 'often'],
} as const;

/** Asked first where a behaviour covers things that weigh differently: which of them it was. */
const own = {
  'controls.parking-brake': ['noise', 'unset', 'on'],
  'controls.gears': ['skipped', 'low', 'coasting'],
  'controls.steering': ['hands', 'wandered'],
  'emergency-stop.footwork': ['clutch-first', 'both'],
  'signs.amber': ['hard', 'through'],
  'signs.lights': ['red', 'slept'],
  'junctions.stop-line': ['rolled', 'brief', 'over'],
  'junctions.cutting': ['corner', 'other-side'],
  'roundabouts.signal': ['both', 'none', 'wrong'],
  'crossings.side-road': ['carried', 'unsafe'],
  'position.one-way': ['cut-back', 'lane'],
} as const;

type Common = typeof common;
type Own = typeof own;

/** Names an answer among those to all questions: `help.spoke`, `signs.lights.red`. */
export type AnswerKey =
  | { [Q in keyof Common]: `${Q}.${Common[Q][number]}` }[keyof Common]
  | { [B in keyof Own]: `${B}.${Own[B][number]}` }[keyof Own];

/** One tap: a question about what happened, with its answers. */
export interface AdviserQuestion {
  readonly code: keyof Common | 'which';
  readonly answers: readonly { readonly code: string; readonly key: AnswerKey }[];
}

const withKeys = (of: string, codes: readonly string[]): AdviserQuestion['answers'] =>
  codes.map((code) => ({ code, key: `${of}.${code}` as AnswerKey }));

export const commonQuestions: readonly AdviserQuestion[] = (Object.keys(common) as (keyof Common)[]).map((code) => ({
  code,
  answers: withKeys(code, common[code]),
}));

/** The questions for a behaviour, the most telling first. */
export function questionsFor(behaviour: string): readonly AdviserQuestion[] {
  const codes = (own as Readonly<Record<string, readonly string[]>>)[behaviour];
  return codes ? [{ code: 'which', answers: withKeys(behaviour, codes) }, ...commonQuestions] : commonQuestions;
}
