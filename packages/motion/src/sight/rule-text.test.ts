import fc from 'fast-check';
import { ruleFeatures, type Rule, type Until } from './rule-of-thumb';
import { ruleOfText, ruleText } from './rule-text';

const until = fc.oneof(
  fc.constantFrom<Until>({ kind: 'in-line' }, { kind: 'in-place' }),
  fc.integer({ min: 0, max: 300 }).map((n): Until => ({ kind: 'metres', metres: n / 10 })),
  fc
    .tuple(fc.constantFrom(...ruleFeatures), fc.stringMatching(/^[A-Za-z0-9 _-]{1,24}$/))
    .map(([feature, thing]): Until => ({ kind: 'level', feature, thing })),
);
const rules: fc.Arbitrary<Rule> = fc.array(
  fc.record({ back: fc.boolean(), lock: fc.constantFrom(-1, -0.5, 0, 0.25, 1), until }),
  { minLength: 1, maxLength: 8 },
);

it('reads back every rule that it wrote', () => {
  fc.assert(fc.property(rules, (rule) => expect(ruleOfText(ruleText(rule))).toEqual(rule)));
});

it.each([
  '',
  'b',
  'b0',
  'b2~in-line',
  'x0~in-line',
  'b0~level.nose.A',
  'b0~m.100',
  'b0~in-line|',
  'b0~level.shoulder.',
])('takes %j for none', (text) => {
  expect(ruleOfText(text)).toBeUndefined();
});
