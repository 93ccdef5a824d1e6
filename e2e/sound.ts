import axe from 'axe-core';
import type { Page } from '@playwright/test';
import { expect } from './program';

const contrast = 'color-contrast';

/** What keeps somebody from reading or using what is shown, by the rules of axe: the serious and the critical. */
async function barriers(page: Page, options: axe.RunOptions, oneOfEachLook = false): Promise<string[]> {
  return page.evaluate(
    async ([given, one]) => {
      const within = one ? { include: window.eachLook() as unknown as axe.Selector[] } : document;
      const { violations } = await window.axe.run(within, { resultTypes: ['violations'], preload: false, ...given });
      return violations
        .filter((v) => v.impact === 'serious' || v.impact === 'critical')
        .map((v) => `${v.id}: ${v.nodes.map((n) => n.html.slice(0, 160)).join(' | ')}`);
    },
    [options, oneOfEachLook] as const,
  );
}

/**
 * One text of each look, in sight where one is: of those that have the same colour, size and weight on the same grounds,
 * reading one is reading all, and finding out what lies behind a text takes longest of all.
 */
function eachLook(): Element[] {
  const grounds = new Map<Element | null, string>([[null, '']]);
  const groundOf = (e: Element | null): string => {
    const known = grounds.get(e);
    if (e === null || known !== undefined) return known ?? '';
    const s = getComputedStyle(e);
    const own = `${s.backgroundColor} ${s.backgroundImage} ${s.opacity} ${s.filter} ${s.mixBlendMode}`;
    const clear = own === 'rgba(0, 0, 0, 0) none 1 none normal';
    const all = clear ? groundOf(e.parentElement) : `${groundOf(e.parentElement)}/${own}`;
    grounds.set(e, all);
    return all;
  };
  const inSight = (e: Element) => {
    const { x, y, width, height } = e.getBoundingClientRect();
    const there = document.elementFromPoint(x + width / 2, y + height / 2);
    return there !== null && (e.contains(there) || there.contains(e));
  };
  const looks = new Map<string, { e: Element; seen: boolean }>();
  const texts = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
  for (let n = texts.nextNode(); n; n = texts.nextNode()) {
    const e = n.parentElement;
    if (!e || !n.textContent?.trim() || !e.checkVisibility({ visibilityProperty: true, opacityProperty: true })) continue;
    const s = getComputedStyle(e);
    const shut = e.closest('[disabled], [aria-disabled=true], [inert]') !== null; // need not be read as well
    const look = `${s.color} ${s.fontSize} ${s.fontWeight} ${s.textShadow} ${s.position} ${shut} ${groundOf(e)}`;
    if (!looks.get(look)?.seen) looks.set(look, { e, seen: inSight(e) });
  }
  return [...[...looks.values()].map((l) => l.e), ...document.querySelectorAll('input, select, textarea')];
}

/** No serious barrier, by best practices too, and every text readable by day and by night. */
export async function sound(page: Page) {
  // Its source is large: a page gets it once, however often it is looked through.
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(`${axe.source}; window.eachLook = ${eachLook}`);
  const found = await barriers(page, { rules: { [contrast]: { enabled: false } } });
  found.push(...(await barriers(page, { runOnly: [contrast] }, true)));
  await page.emulateMedia({ colorScheme: 'dark' });
  found.push(...(await barriers(page, { runOnly: [contrast] }, true)));
  await page.emulateMedia({ colorScheme: 'light' });
  expect(found).toEqual([]);
}

declare global {
  interface Window {
    axe: typeof axe;
    eachLook: () => Element[];
  }
}
