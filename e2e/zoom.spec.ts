import { expect } from '@playwright/test';
import { test } from './test';
import { deck, openStage, storedJob, zone } from './desk';

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

test('two fingers bring the car close and paint nothing; one press shows all of it again', async ({
  page,
  context,
}) => {
  await openStage(page, 'walk-round', deck);
  const id = deck.split('/').at(-1)!;
  const before = (await storedJob(page, id))!.job['soil'];
  const drawing = page.locator('esm-car-net svg > g');
  const { x, y, width, height } = (await page.locator('esm-car-net svg').boundingBox())!;
  const [middle, level] = [x + width / 2, y + height / 2];
  const fingers = (apart: number) => [middle - apart, middle + apart].map((at, i) => ({ x: at, y: level, id: i }));
  const touch = await context.newCDPSession(page);
  const send = (type: 'touchStart' | 'touchMove' | 'touchEnd', touchPoints: ReturnType<typeof fingers>) =>
    touch.send('Input.dispatchTouchEvent', { type, touchPoints });
  await send('touchStart', fingers(20).slice(0, 1));
  await send('touchStart', fingers(20));
  for (const apart of [30, 40, 50, 60]) await send('touchMove', fingers(apart));
  await send('touchEnd', []);
  await expect(drawing).toHaveAttribute('transform', /scale\(2|scale\(3/);
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
  await expect.poll(async () => JSON.stringify((await storedJob(page, id))!.job['soil'])).toBe(JSON.stringify(before));
  await page.getByRole('button', { name: 'All of the drawing' }).click();
  await expect(drawing).not.toHaveAttribute('transform', /./);
  // One finger paints as ever.
  await zone(page, 'roof').tap();
  await expect(page.getByRole('button', { name: 'Undo' })).toBeEnabled();
});
