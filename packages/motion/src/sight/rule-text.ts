import { ruleFeatures, type Rule, type RulePart, type Until } from './rule-of-thumb';

/** A rule of thumb as an address holds it: "b-1~line|b0~level.shoulder.T". */
export const ruleText = (rule: Rule): string =>
  rule.map(({ lock, back, until }) => `${back ? 'b' : 'f'}${lock}~${untilText(until)}`).join('|');

function untilText(until: Until): string {
  switch (until.kind) {
    case 'metres':
      return `m.${until.metres}`;
    case 'level':
      return `level.${until.feature}.${until.thing}`;
    default:
      return until.kind;
  }
}

/** A rule from such a text; undefined where it is none. */
export function ruleOfText(text: string): Rule | undefined {
  const parts = text.split('|').map(partOfText);
  return parts.length <= 8 && parts.every((part) => part !== undefined) ? parts : undefined;
}

function partOfText(text: string): RulePart | undefined {
  const [, way, lock, end] = /^([bf])(-?\d(?:\.\d+)?)~(.+)$/u.exec(text) ?? [];
  if (end === undefined || Math.abs(Number(lock)) > 1) return undefined;
  const until = untilOfText(end);
  return until && { back: way === 'b', lock: Number(lock), until };
}

function untilOfText(text: string): Until | undefined {
  if (text === 'in-line' || text === 'in-place') return { kind: text };
  const metres = /^m\.(\d{1,2}(?:\.\d+)?)$/u.exec(text)?.[1];
  if (metres !== undefined) return { kind: 'metres', metres: Number(metres) };
  const [, name, thing] = /^level\.([a-z-]+)\.(.{1,24})$/u.exec(text) ?? [];
  const feature = ruleFeatures.find((one) => one === name);
  return feature && thing !== undefined ? { kind: 'level', feature, thing } : undefined;
}
