import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect } from './program';

/** What keeps somebody from reading or using what is shown, by the rules of axe. Frames of other origins there are none. */
function looked(page: Page, rules?: string[]) {
  const axe = new AxeBuilder({ page }).setLegacyMode(true).options({ resultTypes: ['violations'] });
  return (rules ? axe.withRules(rules) : axe).analyze();
}

/** No serious barrier, by best practices too, and every text readable by day and by night. */
export async function sound(page: Page) {
  const byDay = await looked(page);
  await page.emulateMedia({ colorScheme: 'dark' });
  const byNight = await looked(page, ['color-contrast']);
  await page.emulateMedia({ colorScheme: 'light' });
  const serious = [...byDay.violations, ...byNight.violations].filter((v) => v.impact === 'serious' || v.impact === 'critical');
  expect(serious.map((v) => `${v.id}: ${v.nodes.map((n) => n.html.slice(0, 160)).join(' | ')}`)).toEqual([]);
}
