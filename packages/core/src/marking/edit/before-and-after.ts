import type { EndingCause, SectionKind } from '../../drive/event';
import type { BriefingPart, BriefingStep } from '../briefing';
import { bySchool, setBySchool } from '../provenance';
import type { EndingRule, QuestionRule, Requirement } from '../standard';
import { added, freeCode, itemsOf, type Change } from './change';

/** Changes of what happens before and after: the briefing, questions, what a whole test holds, and how one ends. */

/** Adds a step of the briefing. */
export const withNewStep =
  (step: BriefingStep): Change =>
  (standard) => {
    const taken = standard.briefing?.some(({ code }) => code === step.code) ?? false;
    return added('briefing', taken ? { ...step, code: freeCode(standard.briefing) } : step)(standard);
  };

export const stepKinds = ['confirm', 'eyesight', 'checklist', 'calls', 'questions'] as const;

/** A step of a kind, with what it cannot be without. */
export function newStep(kind: BriefingStep['kind'], name: string, task: string, part: string): BriefingStep {
  const base = { code: 'step', name, task };
  switch (kind) {
    case 'confirm':
      return { ...base, kind };
    case 'eyesight':
      return { ...base, kind, distanceM: setBySchool(20) };
    case 'checklist':
    case 'calls':
      return { ...base, kind, parts: [{ name: part }] };
    case 'questions':
      return { ...base, kind, items: [] };
  }
}

/** The step with other parts. Another order of them names the same ones, so a new name goes there too. */
export function withParts(
  step: Extract<BriefingStep, { readonly parts: unknown }>,
  parts: readonly BriefingPart[],
): BriefingStep {
  if (step.kind === 'calls' || !step.otherOrder) return { ...step, parts };
  const was = step.parts.map(({ name }) => name);
  const is = parts.map(({ name }) => name);
  // A name that changed in its place is the same part; what came or went does so at the end of the other order.
  const renamed =
    was.length === is.length ? step.otherOrder.map((name) => is[was.indexOf(name)] ?? name) : step.otherOrder;
  const kept = renamed.filter((name) => is.includes(name));
  return { ...step, parts, otherOrder: [...kept, ...is.filter((name) => !kept.includes(name))] };
}

/** Adds a question about the first item that has none; nothing without items. */
export const withNewQuestion =
  (name: string, kind: QuestionRule['kind'] = 'tell'): Change =>
  (standard) => {
    const items = itemsOf(standard);
    const asked = new Set(standard.questions.map(({ item }) => item));
    const item = items.find(({ code }) => !asked.has(code)) ?? items[0];
    if (!item) return standard;
    return added('questions', { kind, name, item: item.code, perTest: setBySchool(1), tries: setBySchool(1) })(
      standard,
    );
  };

/** Says what breaking off for this cause amounts to; nothing leaves such a test without a result. */
export const setEnding =
  (cause: EndingCause, outcome: EndingRule['outcome'] | undefined): Change =>
  ({ endings = [], ...standard }) => {
    const rule = outcome && { cause, outcome, provenance: bySchool };
    const at = endings.findIndex((one) => one.cause === cause);
    const rules = rule && at >= 0 ? endings.with(at, rule) : endings.filter((one) => one.cause !== cause);
    const all = rule && at < 0 ? [...rules, rule] : rules;
    return all.length > 0 ? { ...standard, endings: all } : standard;
  };

/** Which minutes a whole test needs at least: of driving, or of one kind of section. */
export type MinuteRequirement = Exclude<Requirement, { readonly kind: 'exercise' }>;

const isMinutes = (one: Requirement, section: SectionKind | undefined): one is MinuteRequirement =>
  section === undefined ? one.kind === 'driving-time' : one.kind === 'section-time' && one.section === section;

/** The least minutes of a section, or of driving in all. */
export const minutesRequired = (
  requirements: readonly Requirement[],
  section: SectionKind | undefined,
): MinuteRequirement | undefined => requirements.find((one): one is MinuteRequirement => isMinutes(one, section));

/** Sets the least minutes of a section, or of driving in all; nothing asks for none. */
export const setMinutes =
  (section: SectionKind | undefined, minutes: number | undefined): Change =>
  (standard) => {
    const at = standard.requirements.findIndex((one) => isMinutes(one, section));
    if (minutes === undefined)
      return at < 0 ? standard : { ...standard, requirements: standard.requirements.toSpliced(at, 1) };
    const atLeastMin = setBySchool(minutes);
    const rule: MinuteRequirement =
      section === undefined ? { kind: 'driving-time', atLeastMin } : { kind: 'section-time', section, atLeastMin };
    return {
      ...standard,
      requirements: at < 0 ? [...standard.requirements, rule] : standard.requirements.with(at, rule),
    };
  };
