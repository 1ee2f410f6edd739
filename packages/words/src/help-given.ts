import type { Help, HelpKind, Mark } from '@jasperwren/core/drive/drive';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { itemName } from './marking/names';
import { wordsOf } from './words';

export const resource = {
  prompt: 'Prompt',
  intervention: 'Took control',
  helpAtTime: '{{help}}, {{time}}',
  whyHelpAtTime: 'Why, {{help}}, {{time}}',
  why: 'What made it necessary',
  notSaid: 'Not said',
  otherReason: 'Other reason',
  faultAtTime: '{{fault}}, {{time}}',
  learnerSees: 'Your learner sees this in the debrief.',
  madeNecessaryBy: 'Made necessary by: {{why}}.',
  remove: 'Remove',
  removeHelpAtTime: 'Remove {{help}}, {{time}}',
  save: 'Save',
} as const;

export const t = wordsOf('help-given', resource);

/** What help is called: "Took control". */
export const helpName = (kind: HelpKind): string => t(kind);

/**
 * What made help necessary: "Junctions: observation, 22:41", or a reason in words; undefined where nobody said.
 * @param clock writes a moment of the drive's clock
 */
export function whyHelp(
  standard: EffectiveStandard,
  { mark, reason }: Help,
  marks: readonly Mark[],
  clock: (ms: number) => string,
): string | undefined {
  const made = marks.find(({ id }) => id === mark);
  return made ? t('faultAtTime', { fault: itemName(standard, made.item), time: clock(made.atMs) }) : reason;
}
