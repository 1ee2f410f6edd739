import { behaviourCategories, behaviours } from '@jasperwren/core/catalogue/catalogue';
import { resource, whyMatters } from './why-matters';

it('says of every behaviour of the catalogue why it matters and what good looks like', () => {
  for (const { code } of behaviourCategories) expect(Object.keys(resource)).toContain(code);
  for (const behaviour of behaviours) {
    const [why, good] = whyMatters(behaviour);
    expect(why).toMatch(/^Why it matters: .{20,}\.$/);
    expect(good).toMatch(/^What good looks like: [a-z].{20,}\.$/);
  }
});
