import { readFileSync } from 'node:fs';
import path from 'node:path';
import { readKept, readSpec, type Spec } from '@jasperwren/motion/read-spec';
import { followRule } from '@jasperwren/motion/sight/rule-of-thumb';
import type { DemoKept } from './demo-wheels';

const all = JSON.parse(
  readFileSync(path.join(import.meta.dirname, '../../../demo/wheels.json'), 'utf8'),
) as readonly DemoKept[];

it.each(all)('$name can be computed with', ({ kind, body }) => {
  expect(readKept(kind, JSON.stringify(body))).toHaveProperty('body');
});

it('has a rule of thumb that works in its hatchback and not in its van', () => {
  const outcomes = all.flatMap(({ kind, body }) => {
    const { spec } = (kind === 'question' ? readSpec(body) : {}) as { readonly spec?: Spec };
    return spec?.rule ? [[spec.vehicle.kind, followRule(spec.vehicle, spec.layout, spec.rule).outcome]] : [];
  });
  const said = Object.fromEntries(outcomes) as Readonly<Record<string, string>>;
  expect(said.car).toBe('works');
  expect(said.van).not.toBe('works');
});
