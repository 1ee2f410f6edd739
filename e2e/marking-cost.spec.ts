import { gradesOf } from '@jasperwren/core/marking/rules';
import { effective } from '@jasperwren/core/marking/options';
import { templates } from '@jasperwren/core/marking/testing-standards';
import { expect, signIn, startDrive, test, testUnder } from './fixtures';

const sizes = templates.map((template) => template.categories.flatMap(({ items }) => items).length);
const largest = effective(templates[sizes.indexOf(Math.max(...sizes))]!);

test.describe('on a tablet', () => {
  test.use({ viewport: { width: 1024, height: 768 } });

  test(`every item of ${largest.name} takes two touches, or three keys`, async ({ page, school }) => {
    test.setTimeout(600_000);
    await signIn(page, school);
    await testUnder(page, 'Emil Learner', largest.name);
    await startDrive(page);
    const board = page.getByRole('navigation').first();
    // The ribbon has a button for each mark: it counts what has landed.
    const marks = page.getByRole('button', { name: /, \d+:\d\d$/ });
    let touches = 0;
    let keys = 0;
    await page.exposeFunction('countTouch', () => void touches++);
    await page.exposeFunction('countKey', () => void keys++);
    await page.evaluate(() => {
      const { countTouch, countKey } = window as unknown as Record<string, () => void>;
      addEventListener('pointerdown', () => countTouch!(), true);
      addEventListener('keydown', () => countKey!(), true);
    });
    let made = 0;
    for (const category of largest.categories) {
      for (const item of category.items) {
        const grade = gradesOf(largest, item)[0]!;
        await board.getByRole('button', { name: new RegExp(`^${category.name}`) }).click();
        await page.getByRole('button', { name: new RegExp(`^${item.name}: ${grade.name}`) }).click();
        made++;
        await page.keyboard.press(category.letter.toLowerCase());
        await page.keyboard.press(item.letter.toLowerCase());
        await page.keyboard.press(String(largest.grades.indexOf(grade) + 1));
        made++;
      }
    }
    await expect(marks).toHaveCount(made);
    expect(touches).toBe(made);
    expect(keys).toBe((made / 2) * 3);
  });
});
