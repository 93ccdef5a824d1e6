import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { expect, test } from './program';
import { answered, heading, use } from './people';

test('a duplicated tab goes its own way; a new tab knows where it came from', async ({ page, context }) => {
  await use(page, 'mira', '/parts?~sort=-code');
  await page.getByRole('row').nth(3).getByRole('link').click();
  await expect(heading(page)).toHaveText(/^Part /);
  const trail = () => page.evaluate(() => window.history.state.usr.trail);
  const before = await trail();

  // What a browser does on duplicating: the same address, history entry and session storage.
  const copy = await context.newPage();
  const state = await page.evaluate(() => JSON.stringify({ state: window.history.state, kept: { ...sessionStorage } }));
  await copy.goto('/gate.svg');
  await copy.evaluate((text) => {
    const { state, kept } = JSON.parse(text);
    for (const [k, v] of Object.entries(kept)) sessionStorage.setItem(k, String(v));
    history.replaceState({ ...state, idx: 0 }, '', location.href); // a copy that has no entries before this one
  }, state);
  await copy.evaluate((url) => history.replaceState(history.state, '', url), new URL(page.url()).pathname + new URL(page.url()).search);
  await copy.reload();
  await expect(heading(copy)).toHaveText((await heading(page).textContent()) ?? '');
  await expect.poll(() => copy.evaluate(() => window.history.state.usr.trail)).not.toBe(before);
  await copy.getByRole('navigation', { name: 'Trail' }).getByRole('button', { name: /^Back to Parts/ }).click();
  await expect(heading(copy)).toHaveText('Parts in store');
  await page.reload();
  await expect(heading(page)).toHaveText(/^Part /); // the first tab stands where it stood
  await copy.close();

  // A link opened in a new tab: a trail of its own, and the list that it came from.
  await page.goBack();
  const opened = context.waitForEvent('page');
  await page.getByRole('row').nth(3).getByRole('link').click({ modifiers: ['ControlOrMeta'] });
  const tab = await opened;
  await expect(tab.getByRole('group', { name: 'Place in the list' })).toContainText('3 of 15 in Parts');
  await expect(tab.getByRole('navigation', { name: 'Trail' }).getByRole('button', { name: 'Back', exact: true })).toBeVisible();
  await tab.getByRole('navigation', { name: 'Trail' }).getByRole('button', { name: 'Back', exact: true }).click();
  await expect(heading(tab)).toHaveText('Parts in store'); // an empty trail leads up
  await tab.close();
});

test('recent places in words; the browser goes back over a dialog', async ({ page }) => {
  await use(page, 'mira', '/defects?~filter.state=in:open');
  await page.getByRole('row').nth(1).getByRole('link').click();
  await page.getByRole('navigation', { name: 'Trail' }).getByRole('button', { name: /^Home/ }).click();
  await expect(heading(page)).toHaveText('Workshop board'); // a menu that is opened before goes with the screen
  await page.getByRole('button', { name: 'Places you have been at' }).click();
  await page.getByRole('menuitem', { name: /Defects state open/ }).click();
  await expect(heading(page)).toHaveText('Defects');
  await expect(page.getByRole('group', { name: 'What narrows this screen' })).toContainText('open');

  await page.goto('/use/tarnhorn/inspections');
  await page.getByRole('row').nth(2).getByRole('link').click();
  await page.getByRole('link', { name: /^\d{3}$/ }).click();
  const drawer = page.getByRole('dialog', { name: /^Cabin/ });
  await expect(drawer).toBeVisible();
  await page.reload();
  await expect(drawer).toBeVisible();
  await page.goBack();
  await expect(drawer).toHaveCount(0);
  await expect(heading(page)).toHaveText(/^Inspection of cabin/);
  await page.goBack();
  await expect(heading(page)).toHaveText('Inspections');
});

test('unsaved work in a dialog is asked about, and is still there on coming back', async ({ page }) => {
  await use(page, 'sela', '/defect?defect=107&~mode=edit');
  await page.getByRole('button', { name: 'Add a missing component' }).click();
  const dialog = page.getByRole('dialog', { name: 'New component' });
  await dialog.getByLabel('Name *').fill('Half a name');
  await page.goBack();
  const leave = page.getByRole('alertdialog', { name: 'Not saved yet' });
  await leave.getByRole('button', { name: 'Cancel' }).click();
  await expect(leave).toHaveCount(0); // until then the key would be for it
  await expect(dialog.getByLabel('Name *')).toHaveValue('Half a name');
  await page.keyboard.press('Escape');
  await leave.getByRole('button', { name: 'Discard it' }).click();
  await expect(dialog).toHaveCount(0);
  await page.getByRole('button', { name: 'Add a missing component' }).click();
  await expect(dialog.getByLabel('Name *')).toHaveValue('');
});

test('a browser that is opened again finds its tab as it was: the trail, the list behind it, and what was typed', async ({ baseURL, launchOptions }, info) => {
  const open = async () => {
    const args = [...(launchOptions.args ?? []), '--restore-last-session'];
    const context = await chromium.launchPersistentContext(info.outputPath('profile'), { ...launchOptions, args, viewport: { width: 1280, height: 800 }, baseURL });
    // What a start brings besides the restored tab is empty.
    const own = () => context.pages().find((p) => p.url().startsWith(baseURL ?? ''));
    return { context, own };
  };
  const first = await open();
  const page = first.context.pages()[0] ?? (await first.context.newPage());
  await use(page, 'jon', '/stops?~sort=lift');
  await page.getByRole('row', { name: /Jon Abeke/ }).first().getByRole('link').click();
  await page.getByRole('link', { name: 'Edit', exact: true }).click();
  const text = 'Typed before the lights went out';
  await answered(page, /\/draft$/, () => page.getByLabel('Report').fill(text), text);
  const typed = await heading(page).textContent();
  // The browser writes down its session now and then.
  const address = new URL(page.url()).search;
  const sessions = info.outputPath('profile', 'Default', 'Sessions');
  const written = () => readdirSync(sessions).some((name) => readFileSync(join(sessions, name)).includes(address));
  await expect.poll(written, { timeout: 30_000 }).toBe(true);
  await first.context.close();

  const again = await open();
  await expect.poll(() => again.own()?.url()).toContain('/stop?');
  const tab = again.own();
  if (!tab) throw new Error('the tab was not restored');
  await expect(heading(tab)).toHaveText(typed ?? '');
  await expect(tab.getByLabel('Report')).toHaveValue(text);
  await tab.getByRole('navigation', { name: 'Trail' }).getByRole('button', { name: /^Back to Stops/ }).click();
  await tab.getByRole('alertdialog', { name: 'Not saved yet' }).getByRole('button', { name: 'Discard it' }).click();
  await expect(heading(tab)).toHaveText('Stops of the lifts');
  await expect(tab).toHaveURL(/~sort=lift/);
  await again.context.close();
});

test('tabs inside a drawer: the open one is kept over a reload, and back closes the drawer', async ({ page }) => {
  await use(page, 'mira', '/inspections');
  await page.getByRole('row').nth(2).getByRole('link').click();
  await page.getByRole('link', { name: /^\d{3}$/ }).click();
  const drawer = page.getByRole('dialog', { name: /^Cabin/ });
  await expect(drawer.getByRole('region', { name: 'Its defects' })).toBeVisible();
  await drawer.getByRole('tab', { name: 'Inspections' }).click();
  await expect(drawer.getByRole('region', { name: 'Its inspections' })).toBeVisible();
  await expect(drawer.getByRole('region', { name: 'Its defects' })).toHaveCount(0);
  await page.reload();
  await expect(drawer.getByRole('tab', { name: 'Inspections' })).toHaveAttribute('aria-selected', 'true');
  await expect(drawer.getByRole('region', { name: 'Its inspections' })).toBeVisible();
  await page.goBack();
  await expect(drawer).toHaveCount(0);
  await expect(heading(page)).toHaveText(/^Inspection of cabin/);
});

test('keys along the trail: Alt with the arrows, up, and home', async ({ page }) => {
  await use(page, 'mira', '/defects');
  await page.getByRole('row').nth(1).getByRole('link').click();
  await expect(heading(page)).toHaveText(/^Defect D-/);
  const defect = (await heading(page).textContent()) ?? '';
  await page.keyboard.press('Alt+ArrowLeft');
  await expect(heading(page)).toHaveText('Defects');
  await page.keyboard.press('Alt+ArrowRight');
  await expect(heading(page)).toHaveText(defect);
  await page.keyboard.press('Alt+ArrowUp');
  await expect(heading(page)).toHaveText('Defects');
  await page.keyboard.press('Alt+Home');
  await expect(heading(page)).toHaveText('Workshop board');
});
