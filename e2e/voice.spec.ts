import { t as desk } from '@jasperwren/words/desk';
import { t as voice } from '@jasperwren/words/voice';
import type { VoiceView } from '@jasperwren/contract/voices';
import { addLearner, allSaved, endDrive, expect, expectNoHarm, press, signIn, startDrive, test } from './fixtures';

/** A microphone that hums: no machine of the tests has one, and the browser of the tests opens none. */
function hum(): void {
  navigator.mediaDevices.getUserMedia = async () => {
    const sound = new AudioContext();
    const tone = sound.createOscillator();
    const out = sound.createMediaStreamDestination();
    tone.connect(out);
    tone.start();
    await sound.resume();
    return out.stream;
  };
}

test('a pin that is held takes a few words: agreed to first, kept without a network, heard when it is named, and gone then', async ({
  page,
  school,
  context,
}) => {
  await page.addInitScript(hum);
  await signIn(page, school);
  await addLearner(page, 'Vera Learner');
  await startDrive(page);
  const id = /drive\/([^/]+)/.exec(page.url())![1]!;
  const said = async () => (await (await page.request.get(`/api/drives/${id}/voices`)).json()) as readonly VoiceView[];
  const side = page.getByRole('complementary', { name: desk('limitsAndQuickButtons') });
  const pin = side.getByRole('button').first();
  const hold = async () => {
    await pin.hover();
    await page.mouse.down();
    await expect(page.getByText(voice('talkNow'))).toBeVisible();
    // The hum has to last for some sound to be there.
    await page.waitForFunction((from) => performance.now() - from > 1200, await page.evaluate(() => performance.now()));
    await page.mouse.up();
  };
  // Off until everybody agreed: held, it is a pin like any other.
  await pin.click({ delay: 700 });
  await expect(page.getByText(voice('talkNow'))).toHaveCount(0);
  await press(page, '=');
  await page.getByRole('button', { name: desk('voiceTile') }).click();
  await expectNoHarm(page, 'the question whether pins may be spoken');
  await page.getByRole('button', { name: voice('agreed', { name: 'Vera' }) }).click();
  await allSaved(page);
  await context.setOffline(true);
  await hold();
  await expect(pin).toContainText(voice('holdToTalk'));
  await page.getByRole('button', { name: /^Name 2 pins/ }).click();
  const row = page.getByRole('listitem').filter({ has: page.getByRole('button', { name: /^Hear pin at/ }) });
  await expect(row).toHaveCount(1);
  // It plays from the device alone.
  await row.getByRole('button', { name: /^Hear pin at/ }).click();
  await context.setOffline(false);
  await allSaved(page);
  await expect.poll(async () => (await said()).length).toBe(1);
  expect((await said())[0]!.audio.length).toBeGreaterThan(500);
  // Named, it is gone, here and at the server.
  await row.getByRole('button', { name: /^Name pin at/ }).click();
  await press(page, 'j', 'o', '1');
  await expect(page.getByRole('button', { name: /^Hear pin at/ })).toHaveCount(0);
  await expect.poll(async () => (await said()).length).toBe(0);
  // Kept, it stays.
  await press(page, 'Escape');
  await hold();
  await page.getByRole('button', { name: /^Name 2 pins/ }).click();
  await row.getByRole('button', { name: /^Keep words of pin/ }).click();
  await row.getByRole('button', { name: /^Name pin at/ }).click();
  await press(page, 'm', 'b', '1');
  await allSaved(page);
  await expect.poll(async () => (await said()).length).toBe(1);
  await press(page, ';', 'j', 'o', '1');
  await endDrive(page);
  // And is heard with its fault afterwards, until it is deleted.
  await expect(page.getByRole('button', { name: /^Hear pin at/ })).toHaveCount(1);
  await page.getByRole('button', { name: /^Delete words of pin at/ }).click();
  await expect(page.getByRole('button', { name: /^Hear pin at/ })).toHaveCount(0);
  await expect.poll(async () => (await said()).length).toBe(0);
});
