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
  console.log(`${hands.presses} presses`);
  await undoAll(page);
});
