import { t as desk } from '@jasperwren/words/desk';
import { t as routes } from '@jasperwren/words/routes';
import { t as yard } from '@jasperwren/words/yard';
import { holds } from './desk-holds';
import { addLearner, expect, press, signIn, startDrive, test, testUnder } from './fixtures';
import { addIsland, chooseForRoute, planLoop, saveRouteAs, startChosen } from './on-route';

test('the desk of the road holds on every screen, in every state, and nothing moves under the finger', async ({
  page,
  school,
}) => {
  await signIn(page, school);
  await addLearner(page, 'Sunniva Learner');
  await startDrive(page);
  const road = (lying: boolean) => (lying ? 56 : 44);
  const atRest = await holds(page, 'at rest', road);
  await press(page, 'j');
  await holds(page, 'an area opened', road);
  await press(page, 'o', '1', 'Escape');
  expect(await holds(page, 'a fault marked', road)).toEqual(atRest);
  await press(page, ' ');
  expect(await holds(page, 'a pin dropped', road)).toEqual(atRest);
  await press(page, '/');
  expect(await holds(page, 'independent driving', road)).toEqual(atRest);
  await press(page, 'v');
  await holds(page, 'an area opened while driving independently', road);
  await press(page, 'Escape', '0');
  await expect(page.getByRole('button', { name: desk('continue') })).toBeVisible();
  await page.emulateMedia({ colorScheme: 'dark' });
  await holds(page, 'paused, by night', road);
  await press(page, '0', '=');
  await page.getByRole('heading', { name: desk('exercisesAndMore') }).waitFor();
  await holds(page, 'exercises and more, by night', road);
  await press(page, 'End');
  await page.getByRole('button', { name: desk('endAndSeeResult') }).waitFor();
  await holds(page, 'the end, by night', road);
});

test('a drive on a route holds on every screen: the next direction takes no button away', async ({ page, school }) => {
  await signIn(page, school);
  await addLearner(page, 'Runa Learner');
  await addIsland(page);
  await planLoop(page, '20');
  await saveRouteAs(page, 'Quay loop');
  await chooseForRoute(page, 'Runa Learner', 'Quay loop');
  await startChosen(page).click();
  const road = (lying: boolean) => (lying ? 56 : 44);
  await page
    .getByRole('region', { name: routes('nextDirection') })
    .getByRole('button', { name: routes('said') })
    .waitFor();
  const atRest = await holds(page, 'on a route', road);
  await press(page, 'j');
  await holds(page, 'on a route, an area opened', road);
  await press(page, 'o', '1', 'Escape', ' ');
  expect(await holds(page, 'on a route, a fault marked and a pin dropped', road)).toEqual(atRest);
  await press(page, '=');
  await holds(page, 'on a route, exercises and more', road);
});

for (const standard of ['Timed yard', 'Attempts yard'])
  test(`the yard console holds on every screen: ${standard}`, async ({ page, school }) => {
    await signIn(page, school);
    await testUnder(page, 'Torvi Learner', standard);
    await startDrive(page);
    const least = (lying: boolean) => (lying ? 48 : 44);
    await holds(page, 'before an exercise', least);
    await press(page, 'Home');
    await expect(page.getByRole('button', { name: new RegExp(`^${yard('finish')}`) })).toBeVisible();
    await holds(page, 'an exercise under way', least);
    await press(page, 'Home');
    await holds(page, 'between exercises', least);
  });
