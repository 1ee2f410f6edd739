import { t as film } from '@jasperwren/words/film';
import type { Page } from '@playwright/test';
import { addLearner, endDrive, expect, expectNoHarm, press, signIn, startDrive, test } from './fixtures';

/** A film of some twelve seconds, made by the browser itself. */
async function makeFilm(page: Page): Promise<Buffer> {
  const text = await page.evaluate(async () => {
    const canvas = document.createElement('canvas');
    const pen = canvas.getContext('2d')!;
    const recorder = new MediaRecorder(canvas.captureStream(10), { mimeType: 'video/webm' });
    const parts: Blob[] = [];
    recorder.ondataavailable = ({ data }) => parts.push(data);
    const ended = new Promise((end) => (recorder.onstop = end));
    recorder.start();
    for (let i = 0; i < 125; i++) {
      pen.fillStyle = `hsl(${i * 9} 50% 50%)`;
      pen.fillRect(0, 0, 300, 150);
      await new Promise((next) => requestAnimationFrame(next));
      await new Promise((next) => setTimeout(next, 85));
    }
    recorder.stop();
    await ended;
    const bytes = new Uint8Array(await new Blob(parts).arrayBuffer());
    return btoa(bytes.reduce((all, byte) => all + String.fromCharCode(byte), ''));
  });
  return Buffer.from(text, 'base64');
}

test('a film of the drive is opened here alone, laid beside it by one moment, and plays from before a fault', async ({
  page,
  school,
  context,
}) => {
  const blank = await context.newPage();
  const buffer = await makeFilm(blank);
  await blank.close();
  // The browser's own way to choose a file cannot be driven: the plain one is there where it is missing.
  await page.addInitScript(() => Object.defineProperty(window, 'showOpenFilePicker', { value: undefined }));
  await page.clock.install({ time: Date.now() });
  await signIn(page, school);
  await addLearner(page, 'Finn Learner');
  await startDrive(page);
  await page.clock.runFor(9000);
  await press(page, 'j', 'o', '1');
  await endDrive(page);
  let largest = 0;
  page.on('request', (request) => (largest = Math.max(largest, request.postDataBuffer()?.length ?? 0)));

  const input = page.getByLabel(film('openFilm'));
  await input.setInputFiles({ name: 'garden.avi', mimeType: 'video/x-msvideo', buffer: Buffer.from('no film at all') });
  await expect(page.getByRole('alert')).toContainText('This browser cannot play garden.avi (video/x-msvideo).');
  await page.getByLabel(film('otherFilm')).setInputFiles({ name: 'car.webm', mimeType: 'video/webm', buffer });
  const player = page.getByLabel('car.webm');
  const seconds = () => player.evaluate((video) => (video as HTMLVideoElement).currentTime);
  await expect(player).toBeVisible();
  // Stopped where the fault is seen, which is then set.
  await page.getByRole('button', { name: /^Junctions: observation, driving fault/ }).click();
  await player.evaluate((video) => void ((video as HTMLVideoElement).currentTime = 9.2));
  await expect.poll(seconds).toBe(9.2);
  await page.getByRole('button', { name: film('itIsNow') }).click();
  const set = page.getByText(/^Junctions: observation, 0:\d\d is at 0:09 of the film\./);
  await expect(set).toBeVisible();
  await page.getByRole('button', { name: /^Play from 8 seconds before Junctions: observation/ }).click();
  await expect.poll(seconds).toBeLessThan(9);
  expect(await seconds()).toBeGreaterThan(1.1);
  await expectNoHarm(page, 'a result with a film');
  // After a reload the file is asked for again, the moment is known.
  await page.reload();
  await input.setInputFiles({ name: 'car.webm', mimeType: 'video/webm', buffer });
  await expect(set).toBeVisible();
  expect(largest).toBeLessThan(buffer.length);
});
