import type { Locator, Page } from '@playwright/test';
import { expect, test } from './program';
import { build, sentence, stage, undoAll } from './people';

/** Hands that count what they press; typing is left out. */
class Hands {
  presses = 0;
  constructor(readonly page: Page) {}
  async click(what: Locator, how: Parameters<Locator['click']>[0] = {}) {
    this.presses++;
    await what.click(how);
  }
  async key(key: string) {
    this.presses++;
    await this.page.keyboard.press(key);
  }
  async pick(what: Locator, label: string) {
    this.presses += 2; // it is opened, and the line pressed
    await what.selectOption({ label });
  }
  /** Types into the lowest empty cell and takes the first that is offered. */
  async put(words: string) {
    await this.click(this.page.getByRole('button', { name: /^Add something in row \d+, column 1$/ }).last());
    await this.page.getByRole('combobox', { name: 'What goes here' }).fill(words);
    await this.key('Enter');
    await expect(this.page.getByRole('combobox', { name: 'What goes here' })).toHaveCount(0);
  }
}

test('a dashboard from nothing: two charts, a number and a list that narrow each other, and a menu that leads on with what was chosen', async ({ page }) => {
  await build(page, 's_wboard', 'Sela Brandt, shift lead');
  const hands = new Hands(page);
  await hands.key('Control+b');
  await hands.click(page.getByRole('button', { name: '+ a new screen' }));
  const made = page.getByRole('dialog', { name: 'A new screen' });
  await hands.pick(made.getByLabel('What it is for'), 'a dashboard of …');
  await hands.pick(made.getByLabel('Of which table'), 'Stops');
  await made.getByLabel('Its name').fill('Why it stood');
  await hands.click(made.getByLabel('empty, without'));
  await hands.click(made.getByRole('button', { name: 'Make it' }));
  await expect(page.getByRole('heading', { level: 1, name: 'Why it stood' }).first()).toBeVisible();
  await hands.put('chart stops lift');
  await hands.put('chart stops cause');
  await hands.put('number stops');
  await hands.put('list stops');
  const chart = (words: string) => stage(page).locator('[data-element]').filter({ hasText: words }).first();
  await expect(stage(page).getByRole('columnheader', { name: 'Cause' })).toBeVisible();

  // The menu of its points: another dashboard, with the lift.
  await hands.click(chart('Stops by lift'), { position: { x: 60, y: 8 } });
  await hands.pick(page.getByLabel('Which of its ways'), '+ an entry of its bars’ menu');
  await page.getByRole('combobox', { name: 'Where it leads' }).fill('wind and stops');
  await hands.key('Enter');
  await expect(sentence(page)).toContainText('open Wind and stops with lift the chosen point');
  expect(hands.presses).toBeLessThanOrEqual(40);

  // A bar that is chosen narrows the rest, chosen again it shows all.
  const total = () => stage(page).locator('[data-element]').filter({ hasText: /^Stops\s*[\d,]+$/ }).first();
  const all = await total().innerText();
  const bar = stage(page).getByRole('button', { name: /^wind, \d+$/ });
  await hands.click(chart('Stops by cause'), { position: { x: 60, y: 8 } });
  await bar.click();
  await expect.poll(async () => total().innerText()).not.toBe(all);
  await expect(stage(page).getByText('only wind')).toBeVisible();
  await bar.click();
  await expect.poll(async () => total().innerText()).toBe(all);
  // With Ctrl a second one is chosen besides it.
  await bar.click();
  await expect(stage(page).getByText('only wind')).toBeVisible();
  const one = await total().innerText();
  const other = stage(page).getByRole('button', { name: /^guest, \d+$/ });
  await other.click({ modifiers: ['Control'] });
  await expect(stage(page).getByText(/only (wind, guest|guest, wind)/)).toBeVisible();
  await expect.poll(async () => total().innerText()).not.toBe(one);
  await expect(stage(page).getByRole('group', { name: 'What narrows this screen' })).toContainText('Cause: wind or guest');
  await stage(page).getByRole('button', { name: 'show all' }).first().click();
  await expect.poll(async () => total().innerText()).toBe(all);
  console.log(`${hands.presses} presses`);
  await undoAll(page);
});

/** Begins a new screen for a purpose, of a table where it is of one. */
async function begin(hands: Hands, purpose: string, table: string | undefined, name: string, empty = false) {
  const { page } = hands;
  await hands.key('Control+b');
  await hands.click(page.getByRole('button', { name: '+ a new screen' }));
  const made = page.getByRole('dialog', { name: 'A new screen' });
  await hands.pick(made.getByLabel('What it is for'), purpose);
  if (table) await hands.pick(made.getByLabel('Of which table'), table);
  await made.getByLabel('Its name').fill(name);
  if (empty) await hands.click(made.getByLabel('empty, without'));
  await hands.click(made.getByRole('button', { name: 'Make it' }));
  await expect(page.getByRole('heading', { name, exact: true }).first()).toBeVisible();
  await hands.key('Control+b');
}

const sheet = (page: Page) => stage(page).locator('[data-sheet]');
const on = (page: Page, words: string | RegExp) => sheet(page).locator('[data-element]').filter({ hasText: words }).first();

test('a form with a heading, two groups, tabs with two lists whose rows open, and buttons that are there in their modes', async ({ page }) => {
  await build(page, 's_wboard', 'Sela Brandt, shift lead');
  const hands = new Hands(page);
  await begin(hands, 'a form for one of …', 'Cabins', 'Cabin file');
  const panel = page.getByRole('region', { name: 'The chosen way' });
  const choose = async (...words: RegExp[]) => {
    for (const [i, w] of words.entries()) await hands.click(on(page, w), { position: { x: 20, y: 8 }, modifiers: i > 0 ? ['Shift'] : [] });
  };
  for (const [heading, ...fields] of [
    ['What it is', /^Number/, /^Lift/, /^State/],
    ['Its wear', /^Grip wear/, /^Distance run/],
  ] as [string, ...RegExp[]][]) {
    await choose(...fields);
    await hands.click(panel.getByRole('button', { name: 'into a group' }));
    await hands.click(panel.getByLabel('Heading', { exact: true }));
    await panel.getByLabel('Heading', { exact: true }).fill(heading);
    await hands.key('Enter');
    await expect(sheet(page).getByRole('group', { name: heading })).toBeVisible();
  }
  await expect(sheet(page).getByRole('group', { name: 'What it is' })).toContainText('Upper Tarn');
  await choose(/^Defects/, /^Inspections/);
  await hands.click(panel.getByRole('button', { name: 'into tabs' }));
  await expect(sheet(page).getByRole('tab', { name: 'Inspections' })).toBeVisible();
  await hands.key('Escape');
  await hands.click(page.getByRole('button', { name: /^Add something in row \d+, column 1$/ }).last());
  await page.getByRole('combobox', { name: 'What goes here' }).fill('All about this cabin');
  await hands.click(page.getByRole('option', { name: 'a heading “All about this cabin”' }));
  await expect(page.getByRole('combobox', { name: 'What goes here' })).toHaveCount(0);
  await hands.put('Close');
  await page.getByRole('combobox', { name: 'Where it leads' }).fill('close');
  await hands.key('Enter');
  await expect(sentence(page)).toContainText('close');
  expect(hands.presses).toBeLessThanOrEqual(45);
  console.log(`${hands.presses} presses`);

  // Each button is there in its modes alone, and a row of the second tab opens its inspection.
  await sheet(page).getByRole('tab', { name: 'Inspections' }).click();
  await sheet(page).getByRole('tab', { name: 'Inspections' }).click();
  await expect(sheet(page).getByRole('button', { name: 'Add inspection' })).toBeVisible();
  await expect(sheet(page).getByRole('button', { name: 'Add defect' })).toHaveCount(0);
  await choose(/^Inspections/);
  await expect(sentence(page)).toContainText('open Inspection on the chosen row');
  for (const [edit, save] of [[1, 0], [0, 1]] as const) {
    await expect(sheet(page).getByRole('button', { name: 'Edit', exact: true })).toHaveCount(edit);
    for (const name of ['Save', 'Cancel']) await expect(sheet(page).getByRole('button', { name, exact: true })).toHaveCount(save);
    if (edit) {
      await sheet(page).getByRole('button', { name: 'Edit', exact: true }).click();
      await sheet(page).getByRole('button', { name: 'Edit', exact: true }).click();
    }
  }
  // At 390 the stage shows what a phone does: one below the other, within their group.
  await page.getByLabel('Width of the screen').selectOption({ label: '390 wide' });
  const group = sheet(page).getByRole('group', { name: 'What it is' });
  await expect.poll(async () => (await group.boundingBox())?.width ?? 999).toBeLessThan(390);
  const [number, lift] = [await on(page, /^Number/).boundingBox(), await on(page, /^Lift/).boundingBox()];
  expect(lift?.x).toBeCloseTo(number?.x ?? 0, 0);
  await undoAll(page);
});

test('an operator screen from nothing: a picture, four lamps, two gauges, a trend, start and stop', async ({ page }) => {
  await build(page, 's_wboard', 'Sela Brandt, shift lead');
  const hands = new Hands(page);
  await begin(hands, 'an operator screen for one of …', undefined, 'Upper drive', true);
  await hands.put('the line');
  for (const lamp of ['running', 'brake', 'remote', 'gates']) await hands.put(`lamp ${lamp}`);
  for (const gauge of ['rope speed', 'torque']) await hands.put(`gauge ${gauge}`);
  await hands.put('trend rope speed');
  for (const command of ['start', 'stop']) await hands.put(`button ${command} command`);
  await expect(sheet(page).locator('[data-element]')).toHaveCount(10);
  await expect(sentence(page)).toContainText('drive stop command');
  expect(hands.presses).toBeLessThanOrEqual(40);
  console.log(`${hands.presses} presses`);
  await expect(on(page, /^Drive running/)).toContainText(/yes|no/);
  await undoAll(page);
});

test('a help picture in a dialog from a button, and a button with a picture for each of two states', async ({ page }) => {
  await build(page, 's_drive', 'Sela Brandt, shift lead', 'Upper');
  const help = new Hands(page);
  await help.put('Help');
  await page.getByRole('combobox', { name: 'Where it leads' }).fill('How a grip is gauged');
  await help.key('Enter');
  const made = page.getByRole('dialog', { name: 'A new screen' });
  await help.pick(made.getByLabel('Kind of screen'), 'notice of text and pictures');
  await help.click(made.getByRole('button', { name: 'Make it' }));
  await expect(sentence(page)).toContainText('open How a grip is gauged, as a dialog');
  await help.click(page.getByRole('button', { name: 'build How a grip is gauged' }));
  await expect(page.getByRole('heading', { name: 'How a grip is gauged' }).first()).toBeVisible();
  await help.put('grip gauge');
  await expect(sheet(page).getByRole('img', { name: /dial from 0 to 24/ })).toBeVisible();
  expect(help.presses).toBeLessThanOrEqual(10);

  await page.goto('/build/tarnhorn/screen/s_drive');
  const two = new Hands(page);
  await two.put('Which state');
  await page.getByRole('combobox', { name: 'Where it leads' }).fill('stay');
  await two.key('Enter');
  await two.click(page.getByRole('tab', { name: 'Look' }));
  const look = page.getByRole('tabpanel', { name: 'Look' });
  await two.click(look.getByRole('button', { name: 'picture …' }));
  await two.click(page.getByRole('dialog', { name: 'Picture' }).getByRole('button', { name: /Grip gauge|dial/ }));
  await two.click(look.getByRole('button', { name: 'faces …' }));
  const faces = page.getByRole('dialog', { name: 'Faces' });
  await two.click(faces.getByRole('button', { name: 'picture …' }));
  await two.click(page.getByRole('dialog', { name: 'Picture' }).getByRole('button', { name: /The line/ }));
  await two.click(faces.getByRole('button', { name: 'always' }));
  const while_ = page.getByRole('dialog', { name: 'While this face shows' });
  await two.click(while_.getByRole('button', { name: '+ field' }));
  await page.getByRole('combobox', { name: 'Field to compare' }).fill('running');
  await two.key('Enter');
  await two.click(while_.getByRole('button', { name: 'Set condition' }));
  await expect(on(page, 'Which state').locator('img')).toBeVisible();
  expect(two.presses).toBeLessThanOrEqual(14);
  console.log(`${help.presses} and ${two.presses} presses`);
  await undoAll(page);
});
