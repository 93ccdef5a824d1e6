import type { Page } from '@playwright/test';
import { expect, test } from './program';
import { build, heading, putButton, signIn, stage } from './people';

// Every test leaves the project as it found it: what it edits, it takes back.

const chosen = (page: Page) => page.getByRole('region', { name: 'The chosen way' });
const sentence = (page: Page) => page.getByRole('tabpanel', { name: 'Way' });

async function undo(page: Page, times: number) {
  const button = page.getByRole('banner').getByRole('button', { name: 'Undo' });
  for (let i = 0; i < times; i++) {
    await expect(button).toBeEnabled();
    const before = await page.getByText(/changes? since release|no changes since/).textContent();
    await button.click();
    await expect(page.getByText(/changes? since release|no changes since/)).not.toHaveText(before ?? '');
  }
}

test('the look of a button: words with an expression, size, place', async ({ page }) => {
  await build(page, 's_cabin', 'Sela Brandt, shift lead', '087');
  await stage(page).getByRole('button', { name: 'Hold cabin' }).click();
  await page.getByRole('tab', { name: 'Look' }).click();
  const words = page.getByRole('textbox', { name: 'Words' });
  await words.fill('Hold {record.nmber}');
  await words.press('Enter');
  await expect(page.getByText('There is no field “nmber” here.')).toBeVisible();
  await words.fill('Hold {record.number}');
  await words.press('Enter');
  await expect(stage(page).getByRole('button', { name: 'Hold 087' })).toBeVisible();
  const before = await stage(page).getByRole('button', { name: 'Hold 087' }).boundingBox();
  await page.getByRole('button', { name: 'Width more' }).click();
  await expect.poll(async () => (await stage(page).getByRole('button', { name: 'Hold 087' }).boundingBox())?.width).toBeGreaterThan((before?.width ?? 0) + 30);
  await undo(page, 2);
  await expect(stage(page).getByRole('button', { name: 'Hold cabin' })).toBeVisible();
});

test('chips change the mode, the presentation and what shows otherwise', async ({ page }) => {
  await build(page, 's_defect', 'Mira Holt, technician', 'D-2107');
  await stage(page).getByRole('button', { name: 'Its cabin' }).click();
  await expect(sentence(page)).toContainText('open Cabin on its cabin to view, in full');
  await sentence(page).getByRole('button', { name: 'in full' }).click();
  await page.getByRole('dialog', { name: 'Opened how' }).getByRole('button', { name: 'as a dialog' }).click();
  await expect(sentence(page)).toContainText('as a dialog');
  await sentence(page).getByRole('button', { name: 'view', exact: true }).click();
  await page.getByRole('dialog', { name: 'Opened to' }).getByRole('button', { name: 'edit' }).click();
  await expect(sentence(page)).toContainText('to edit, as a dialog');
  await sentence(page).getByRole('button', { name: '+ ask before' }).click();
  await page.getByRole('textbox', { name: 'What is asked before' }).fill('Leave this defect?');
  await page.keyboard.press('Enter');
  await expect(sentence(page)).toContainText('ask “Leave this defect?”');
  await undo(page, 3);
  await expect(sentence(page)).toContainText('open Cabin on its cabin to view, in full');
});

test('another record rule is proposed from the relations, best first', async ({ page }) => {
  await build(page, 's_defect', 'Mira Holt, technician', 'D-2107');
  await stage(page).getByRole('button', { name: 'Its cabin' }).click();
  await sentence(page).getByRole('button', { name: 'Cabin', exact: true }).click();
  await page.getByRole('combobox', { name: 'Where it leads' }).fill('cabins');
  await page.getByRole('option', { name: 'Cabins list' }).click();
  await expect(sentence(page)).toContainText('open Cabins, in full');
  await sentence(page).getByRole('button', { name: '+ bring along' }).click();
  await page.getByRole('option', { name: /^Lift: say which/ }).click();
  const proposals = page.getByRole('listbox', { name: 'On which record' }).getByRole('option');
  await expect(proposals.first()).toContainText('its lift');
  await expect(proposals.nth(1)).toContainText('its cabin’s lift');
  await proposals.nth(1).click();
  await expect(sentence(page)).toContainText('open Cabins with lift its cabin’s lift');
  await expect(chosen(page)).toContainText('Cabins, with lift Upper Tarn');
  await undo(page, 2);
});

test('a button that sets a field, then stays: made without an expression', async ({ page }) => {
  await build(page, 's_cabin', 'Sela Brandt, shift lead', '087');
  await putButton(page, 'Add something in row 4, column 8', 'Put in store');
  await expect(page.getByRole('combobox', { name: 'Where it leads' })).toBeVisible();
  await page.keyboard.press('Escape');
  await stage(page).locator('[data-element]', { hasText: 'Put in store' }).click({ force: true });
  await sentence(page).getByRole('button', { name: '+ do something and stay' }).click();
  await page.getByRole('combobox', { name: 'First do' }).fill('field set');
  await page.keyboard.press('Enter');
  const form = page.getByRole('dialog', { name: 'Set fields' });
  await form.getByRole('combobox', { name: 'Field' }).selectOption('state');
  await form.getByRole('combobox', { name: 'To what' }).selectOption('on hold');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(sentence(page)).toContainText('set state to “on hold”, and stay here');
  // It is changed where it stands, and another one is put before it.
  await sentence(page).getByRole('button', { name: 'set state to “on hold”' }).click();
  await form.getByRole('combobox', { name: 'To what' }).selectOption('in store');
  await form.getByRole('button', { name: 'Set', exact: true }).click();
  await expect(sentence(page)).toContainText('set state to “in store”, and stay here');
  await sentence(page).getByRole('button', { name: '+ first do' }).click();
  await page.getByRole('combobox', { name: 'First do' }).fill('read everything again');
  await page.keyboard.press('Enter');
  await sentence(page).getByRole('button', { name: 'read everything again' }).click();
  await page.getByRole('button', { name: 'do it sooner' }).click();
  await expect(sentence(page)).toContainText('read everything again, then set state to “in store”');
  await sentence(page).getByRole('button', { name: 'read everything again' }).click();
  await page.getByRole('button', { name: 'Remove this action' }).click();
  await expect(sentence(page)).toContainText('everyone: set state to “in store”, and stay here');
  await expect(chosen(page)).toContainText('Open now');
  await stage(page).getByRole('button', { name: 'Put in store' }).click(); // it is chosen: it acts
  await expect(stage(page).getByText('in store', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Start afresh' }).click();
  await expect(stage(page).getByText('in service', { exact: true })).toBeVisible();
  await sentence(page).getByRole('button', { name: 'set state to “in store”' }).click();
  await page.getByRole('button', { name: 'Remove this action' }).click();
  await expect(page.getByRole('note').filter({ hasText: 'Nothing is wired to “Put in store”' })).toBeVisible();
  await undo(page, 6);
  await page.getByRole('banner').getByRole('button', { name: 'Undo' }).click();
  await expect(stage(page).getByText('Put in store')).toHaveCount(0);
});

test('removing a screen breaks what leads to it; the findings say where, and undo mends it', async ({ page }) => {
  await build(page, 's_defect', 'Mira Holt, technician', 'D-2107');
  const answer = await page.request.post('/api/build/tarnhorn/edits', { data: { patch: [{ op: 'remove', path: '/s_cabin' }] } });
  expect(answer.ok()).toBe(true);
  await page.getByRole('button', { name: /^Findings ?[1-9]/ }).click();
  const found = page.getByRole('article', { name: 'The screen that “Its cabin” led to is gone.' });
  await found.getByRole('button', { name: 'Defect', exact: true }).click();
  await expect(page.getByRole('note').filter({ hasText: '“Its cabin” led to is gone' })).toBeVisible();
  await expect(sentence(page)).toContainText('a screen that is gone');
  await undo(page, 1);
  await expect(page.getByRole('note').filter({ hasText: 'led to is gone' })).toHaveCount(0);
  await expect(sentence(page)).toContainText('open Cabin on its cabin');
});

test('two builders see each other’s changes, and a clash says who', async ({ page, browser }) => {
  await build(page, 's_cabins', 'Mira Holt, technician');
  const other = await (await browser.newContext()).newPage();
  await signIn(other, 'arno');
  await other.goto('/build/tarnhorn/screen/s_cabins');
  await expect(other.locator('[data-stage]').getByRole('heading', { name: 'Cabins' })).toBeVisible();
  const rename = (heading: string) => page.request.post('/api/build/tarnhorn/edits', { data: { patch: [{ op: 'test', path: '/s_cabins/heading', value: 'Cabins' }, { op: 'replace', path: '/s_cabins/heading', value: heading }] } });
  expect((await rename('All the cabins')).ok()).toBe(true);
  await expect(other.locator('[data-stage]').getByRole('heading', { name: 'All the cabins' })).toBeVisible();
  const clash = await rename('Cabins of today');
  expect(clash.status()).toBe(409);
  expect((await clash.json()).what).toMatch(/^Arno Vey changed this at \d\d:\d\d\.$/);
  await other.context().close();
  await undo(page, 1);
});

test('the keyboard alone: choose, act, undo', async ({ page }) => {
  await build(page, 's_defect', 'Mira Holt, technician', 'D-2107');
  const cabin = stage(page).getByRole('button', { name: 'Its cabin' });
  await cabin.focus();
  await page.keyboard.press('Enter');
  await expect(sentence(page)).toContainText('open Cabin on its cabin');
  await expect(heading(page).first()).toHaveText('Defect');
  await page.keyboard.press('Enter');
  await expect(stage(page).getByRole('heading', { name: 'Cabin 087' })).toBeVisible();
  await page.goBack();
  await expect(stage(page).getByRole('heading', { name: 'Defect D-2107' })).toBeVisible();
});

test('a plate leads on: building follows the wiring, in both directions', async ({ page }) => {
  await build(page, 's_defect', 'Mira Holt, technician', 'D-2107');
  await page.getByRole('region', { name: 'Ways in' }).getByRole('button', { name: 'Go to Cabin, row opened' }).click();
  await expect(stage(page).getByRole('heading', { name: /^Cabin \d+/ })).toBeVisible();
  await page.getByRole('region', { name: 'Ways out' }).getByRole('button', { name: /^Way \d to Defect$/ }).click();
  await expect(sentence(page)).toContainText('open Defect on');
  await page.getByRole('button', { name: 'build Defect' }).click();
  await expect(heading(page).first()).toHaveText('Defect');
});

test('walking as somebody who may not enter says so, and who may', async ({ page }) => {
  await build(page, 's_drive', 'Mira Holt, technician');
  await expect(stage(page)).toContainText('Drive room');
  await expect(stage(page)).toContainText('Walk as Shift lead or Operator to see it.');
  await page.getByLabel('Walking as').selectOption({ label: 'Jon Abeke, operator' });
  await expect(stage(page).getByRole('heading', { name: /drive room$/ })).toBeVisible();
  await expect(stage(page).getByText('values good')).toBeVisible();
});
