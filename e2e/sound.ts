import axe from 'axe-core';
import type { Page } from '@playwright/test';
import { expect } from './program';

/** What keeps somebody from reading or using what is shown, by the rules of axe: the serious and the critical. */
async function looked(page: Page, only?: string[]): Promise<string[]> {
  // Its source is large: a page gets it once, however often it is looked through.
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axe.source);
  return page.evaluate(async (runOnly) => {
    const { violations } = await window.axe.run({ resultTypes: ['violations'], preload: false, ...(runOnly && { runOnly }) });
    return violations
      .filter((v) => v.impact === 'serious' || v.impact === 'critical')
      .map((v) => `${v.id}: ${v.nodes.map((n) => n.html.slice(0, 160)).join(' | ')}`);
  }, only);
}

/** No serious barrier, by best practices too, and every text readable by day and by night. */
export async function sound(page: Page) {
  const byDay = await looked(page);
  await page.emulateMedia({ colorScheme: 'dark' });
  const byNight = await looked(page, ['color-contrast']);
  await page.emulateMedia({ colorScheme: 'light' });
  expect([...byDay, ...byNight]).toEqual([]);
}

declare global {
  interface Window {
    axe: typeof axe;
  }
}
