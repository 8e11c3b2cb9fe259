import { expect, test } from '@playwright/test';
import { currentCheck, openJob } from './technician';

test('a connection that is lost without a word is told of, and taken up again @desk', async ({
  page,
}) => {
  await page.clock.install();
  await openJob(page, { kind: 'no-hot-water', customer: 'In the cellar' });
  await currentCheck(page);
  const deaf = page.getByText('what others do is not seen');
  await expect(deaf).toHaveCount(0);
  // What is open stays open, and says nothing more; nothing new gets through.
  const out = /\/api\/jobs\/[^/]+\/(events|entries)/;
  await page.route(out, (route) => route.abort());
  await page.clock.runFor(41_000);
  await expect(deaf).toBeVisible();
  await page.unroute(out);
  await page.clock.runFor(41_000);
  await expect(deaf).toHaveCount(0);
});
