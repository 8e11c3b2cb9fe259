import { AxeBuilder } from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

/** What axe finds on a page, by its rule, with the first elements that break it. */
export async function violationsOn(
  page: Page,
  {
    rules,
    tags,
    within,
  }: {
    /** These alone. */
    readonly rules?: readonly string[];
    /** Of these kinds alone. */
    readonly tags?: readonly string[];
    /** What this selector finds, instead of the whole page. */
    readonly within?: string;
  } = {},
): Promise<string[]> {
  // There are no frames of others here, for which alone axe would open a page more.
  const axe = new AxeBuilder({ page })
    // What is in order is not listed, element by element: to name each takes longer than to look at it.
    .options({ resultTypes: ['violations'], selectors: false, ancestry: false, xpath: false })
    .setLegacyMode();
  if (rules) axe.withRules([...rules]);
  if (tags) axe.withTags([...tags]);
  if (within !== undefined) axe.include(within);
  const { violations } = await axe.analyze();
  return violations.map(
    ({ id, nodes }) => `${id}: ${nodes.map((node) => node.html.slice(0, 120)).join(' | ')}`,
  );
}

/** Nothing trips a screen reader, and nothing reaches beyond the screen. */
export async function isSound(page: Page): Promise<void> {
  expect(await violationsOn(page)).toEqual([]);
  await isWithinScreen(page);
}

export async function isWithinScreen(page: Page): Promise<void> {
  const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
  expect(wide).toBeLessThanOrEqual(0);
}
