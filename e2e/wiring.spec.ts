import { expect, test } from './program';
import { build, chosen, heading, putButton, sentence, stage, startLine, stopLine, undoAll, use } from './people';

// What gates can do: in use, by the demo's own wiring, and in build, without writing an expression.

test('story: one lift and a week of the season go along to wind and stops; cleared, all is there again', async ({ page }) => {
  await use(page, 'sela', '/season');
  await page.getByRole('button', { name: /^Upper Tarn,/ }).click();
  await expect(page.getByRole('button', { name: /^Upper Tarn,/ })).toHaveAttribute('aria-pressed', 'true');
  const week = page.getByRole('button', { name: /–.*: [\d,]+ riders/ }).nth(-2);
  const words = ((await week.getAttribute('aria-label')) ?? '').split(':')[0] ?? '';
  await week.click();
  await expect(page.getByText(`only ${words}`)).toBeVisible();
  await page.getByRole('link', { name: 'Wind and stops' }).click();
  await expect(heading(page)).toHaveText('Wind and stops');
  await expect(page.getByText('Lift: Upper Tarn')).toBeVisible();
  await expect(page.getByText(/^From:/)).toBeVisible();
  await expect(page.getByRole('button', { name: /m\/s$/ })).toHaveCount(7);
  await page.getByRole('button', { name: 'show all' }).click();
  await expect(page.getByText('Lift: Upper Tarn')).toHaveCount(0);
  await expect(page.getByRole('button', { name: /m\/s$/ })).toHaveCount(31);
  await page.goBack(); // with what it was narrowed by
  await expect(page.getByText('Lift: Upper Tarn')).toBeVisible();
  await page.goBack();
  await expect(heading(page)).toHaveText('Season');
  await page.getByRole('button', { name: /^Upper Tarn,/ }).click(); // chosen again: taken back
  await expect(page.getByRole('button', { name: /^Upper Tarn,/ })).toHaveAttribute('aria-pressed', 'false');
  await expect(page.getByText(`only ${words}`)).toBeVisible();
  // A stretch of time: drawn over its weeks with the pointer, and shortened with Shift.
  const weeks = page.getByRole('button', { name: /–.*: [\d,]+ riders/ });
  const [from, to] = [await weeks.nth(-8).boundingBox(), await weeks.nth(-4).boundingBox()];
  if (!from || !to) throw new Error('no weeks to draw over');
  await page.mouse.move(from.x + from.width / 2, from.y + 90);
  await page.mouse.down();
  await page.mouse.move(to.x + to.width / 2, to.y + 90, { steps: 12 });
  await page.mouse.up();
  const pressed = page.getByRole('button', { name: /riders/, pressed: true });
  await expect(pressed).toHaveCount(5);
  await weeks.nth(-6).click({ modifiers: ['Shift'] });
  await expect(pressed).toHaveCount(3);
  await page.getByRole('button', { name: 'show all' }).first().click();
  await expect(pressed).toHaveCount(0);
});

test('story: from a part in the workshop to its orders in the stores, and back', async ({ page }) => {
  await use(page, 'mira', '/parts');
  await page.getByRole('link', { name: 'P-107', exact: true }).click();
  await expect(heading(page)).toHaveText(/Part/);
  await page.getByRole('link', { name: 'Its orders in Stores' }).click();
  await expect(heading(page)).toHaveText('What was ordered');
  await expect(page).toHaveURL(/\/use\/stores\/part-orders\?part=P-107/);
  await expect(page.getByText('Part: P-107')).toBeVisible();
  await page.getByRole('link', { name: 'P-107', exact: true }).first().click();
  await expect(heading(page)).toHaveText(/^Order O-/);
  await page.goBack();
  await expect(heading(page)).toHaveText('What was ordered');
  await page.getByRole('link', { name: 'Back to the workshop' }).click();
  await expect(page).toHaveURL(/\/use\/tarnhorn\/parts\?code=P-107/);
  await expect(page.getByText('Code: P-107')).toBeVisible();
});

test('this cabin’s last inspection, greyed where there is none; a record asked for; a help picture in a dialog', async ({ page }) => {
  await use(page, 'mira', '/cabin?cabin=87');
  await page.getByRole('link', { name: 'Last inspection' }).click();
  await expect(heading(page)).toHaveText(/Inspection/);
  await page.goBack();
  await page.getByRole('button', { name: 'Another cabin' }).click();
  const ask = page.getByRole('alertdialog', { name: /^Which / });
  await ask.getByRole('combobox').fill('010');
  await expect(ask.getByRole('option').first()).toHaveText('010');
  await page.keyboard.press('Enter');
  const card = page.getByRole('dialog');
  await expect(card.getByRole('heading', { name: /010/ }).first()).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(card).toHaveCount(0);
  await page.getByRole('navigation', { name: 'Workshop tools' }).getByRole('button', { name: 'Grip gauge' }).click();
  const picture = page.getByRole('dialog').getByRole('img', { name: /^A dial/ });
  await expect(picture).toBeVisible();
  await expect.poll(() => picture.evaluate((i: HTMLImageElement) => i.naturalWidth)).toBeGreaterThan(100);
  await page.getByRole('dialog').getByRole('button', { name: 'Got it' }).click();
  await expect(picture).toHaveCount(0);
  await page.goto('/use/tarnhorn/cabin?cabin=29'); // a spare that was never inspected
  const last = page.getByRole('button', { name: 'Last inspection' });
  await expect(last).toHaveAttribute('aria-disabled', 'true');
  await last.focus();
  await expect(page.getByText('This cabin has never been inspected.')).toBeVisible();
  // The tools stand only on cabins in service: this one is in store.
  await expect(page.getByRole('navigation', { name: 'Workshop tools' })).toHaveCount(0);
});

test('menus of rows, by mouse and keyboard; shortcuts; filters, order and find by buttons', async ({ page }) => {
  await use(page, 'mira', '/defects');
  await page.getByRole('button', { name: /^More for D-/ }).nth(2).click();
  const menu = page.getByRole('menu');
  await expect(menu.getByRole('menuitem').first()).toBeFocused();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Escape');
  await expect(menu).toHaveCount(0);
  await page.getByRole('button', { name: 'High only' }).click();
  await expect(page).toHaveURL(/~filter\.severity=is:high|~filter\.severity=is%3Ahigh/);
  await page.getByRole('button', { name: 'Doors' }).click();
  await expect(page).toHaveURL(/~find=door/);
  await page.getByRole('button', { name: 'Show all' }).click();
  await expect(page).toHaveURL(/\/defects$/);
  await page.goBack();
  await expect(page).toHaveURL(/~find=door/);
  await page.goto('/use/tarnhorn/defect?defect=107');
  await expect(heading(page)).toHaveText('Defect D-2107');
  await page.keyboard.press('F2');
  await expect(page.getByText('editing', { exact: true })).toBeVisible();
});

test('a rail folds what does not fit into “More”', async ({ page }) => {
  await page.setViewportSize({ width: 1280, height: 380 });
  await use(page, 'sela', '/season');
  const rail = page.getByRole('navigation', { name: 'Main' });
  await expect(rail.getByRole('link', { name: 'Season' })).toHaveCount(0);
  await rail.getByRole('button', { name: 'More' }).click();
  await page.getByRole('menuitem', { name: 'Season' }).click();
  await expect(heading(page)).toHaveText('Season');
});

test('a shared gate: whom it touches, made its own again, shared again', async ({ page }) => {
  await build(page, 's_cabin', 'Sela Brandt, shift lead', '087');
  await stage(page).getByRole('button', { name: 'Newest open defect' }).click();
  await expect(sentence(page)).toContainText('through “Open the defect” with defect this cabin’s last defect where state is not “closed”');
  await sentence(page).getByRole('button', { name: '“Open the defect”' }).click();
  const pop = page.getByRole('dialog', { name: 'Shared gate' });
  await expect(pop).toContainText('Used by 5: a change touches all of them');
  await pop.getByRole('button', { name: 'Make it this way’s own again' }).click();
  await expect(sentence(page)).toContainText('When released, for everyone: open Defect on this cabin’s last defect where state is not “closed”');
  await sentence(page).getByRole('button', { name: '+ share it' }).click();
  await page.getByRole('textbox', { name: 'Name' }).fill('Newest defect');
  await page.keyboard.press('Enter');
  await expect(sentence(page)).toContainText('through “Newest defect” with cabin this cabin');
  await expect(sentence(page)).toContainText('open Defect on the given cabin’s last defect');
  await undoAll(page);
  await expect(sentence(page)).toContainText('through “Open the defect”');
});

test('wired without an expression: the last inspection by a rule, what happens where there is none, at a tab, or else', async ({ page }) => {
  await build(page, 's_card', 'Mira Holt, technician', '087');
  await stage(page).getByRole('button', { name: 'Open the whole cabin' }).click();
  await sentence(page).getByRole('button', { name: '+ at a spot' }).click();
  await page.getByRole('combobox', { name: 'Where in it' }).fill('inspections');
  await page.getByRole('option', { name: /the tab “Inspections”/ }).click();
  await expect(sentence(page)).toContainText('at the tab “Inspections”');
  await sentence(page).getByRole('button', { name: 'Cabin', exact: true }).click();
  await page.getByRole('combobox', { name: 'Where it leads' }).fill('inspection form');
  await page.keyboard.press('Enter');
  await sentence(page).getByRole('button', { name: /cabin’s|choose which|inspection$/ }).last().click();
  await page.getByRole('combobox', { name: 'On which record' }).fill('last inspection');
  await page.getByRole('option', { name: /this cabin’s last inspection/ }).click();
  await expect(sentence(page)).toContainText('open Inspection on this cabin’s last inspection');
  await sentence(page).getByRole('button', { name: 'this cabin’s last inspection' }).click();
  await page.getByRole('option', { name: 'if there is none' }).click();
  await page.getByRole('dialog', { name: 'If there is none' }).getByText('offer to add one').click();
  await page.keyboard.press('Enter');
  await expect(sentence(page)).toContainText('(if none: offer to add)');
  await expect(chosen(page)).toContainText('Open now');
  await undoAll(page);
  await expect(sentence(page)).toContainText('open Cabin on this cabin');
});

test('always the same lift, the last seven days: constants by name, the record in words', async ({ page }) => {
  await build(page, 's_day', 'Sela Brandt, shift lead');
  await stage(page).getByText('Wind and stops').click();
  const carry = async (input: string, find: string) => {
    await sentence(page).getByRole('button', { name: '+ bring along' }).click();
    await page.getByRole('option', { name: `${input}: say which` }).click();
    await page.getByRole('combobox', { name: 'On which record' }).fill(find);
    await expect(page.getByRole('listbox', { name: 'On which record' }).getByRole('option').first()).toContainText(find);
    // While what was typed last is looked for there is nothing to choose yet: then Enter is pressed again.
    const dialog = page.getByRole('dialog', { name: 'On which record' });
    await expect(async () => {
      if ((await dialog.count()) > 0) await page.keyboard.press('Enter');
      await expect(dialog).toHaveCount(0, { timeout: 4000 });
    }).toPass();
  };
  await carry('Lift', 'Upper Tarn');
  await expect(sentence(page)).toContainText('open Wind and stops with lift Upper Tarn');
  await carry('From', '7 days ago');
  await expect(sentence(page)).toContainText('with lift Upper Tarn, from 7 days ago');
  await carry('To', '2026-11-30');
  await expect(sentence(page)).toContainText('to 30 Nov 2026');
  await expect(chosen(page)).toContainText('with lift Upper Tarn, from');
  await expect(chosen(page)).toContainText('to 30 Nov 2026');
  // The same record kept by the tab.
  await sentence(page).getByRole('button', { name: '+ first do' }).click();
  await page.getByRole('combobox', { name: 'First do' }).fill('set a variable');
  await page.keyboard.press('Enter');
  const form = page.getByRole('dialog', { name: 'Set a variable' });
  await form.getByLabel('Variable').selectOption({ label: 'my lift' });
  await form.getByLabel('To what').selectOption({ label: 'always one that I choose' });
  await form.getByRole('button', { name: 'which record?' }).click();
  await page.getByRole('combobox', { name: 'Which record' }).fill('Upper');
  await page.getByRole('option', { name: 'Upper Tarn' }).click();
  await form.getByRole('button', { name: 'Add' }).click();
  await expect(sentence(page)).toContainText('set my lift to Upper Tarn');
  await undoAll(page);
});

test('a wire is pulled from its notch to a plate; its wiring is copied; all ways are led elsewhere', async ({ page }) => {
  await build(page, 's_card', 'Mira Holt, technician', '087');
  const button = stage(page).locator('[data-element="e_full"]');
  const notch = await button.locator('[data-notch]').boundingBox();
  const plate = await page.getByRole('region', { name: 'Ways in' }).getByRole('button').first().boundingBox();
  const to = await page.getByRole('region', { name: 'Ways in' }).getByRole('button').first().getAttribute('aria-label');
  if (!notch || !plate) throw new Error('no notch or plate');
  await page.mouse.move(notch.x + 6, notch.y + 6);
  await page.mouse.down();
  await page.mouse.move(plate.x + 40, plate.y + 10, { steps: 6 });
  await page.mouse.up();
  await expect(sentence(page)).toContainText(`open ${to?.replace(/^Go to ([^,]*),.*/, '$1')}`);
  // From the target in the sentence, too: to the way that comes second.
  const chip = await sentence(page).locator('[data-pull]').boundingBox();
  const second = page.getByRole('region', { name: 'Ways in' }).getByRole('button', { name: /^Go to / }).nth(1);
  const there = await second.boundingBox();
  const next = (await second.getAttribute('aria-label'))?.replace(/^Go to ([^,]*),.*/, '$1');
  if (!chip || !there) throw new Error('no chip or plate');
  await page.mouse.move(chip.x + 5, chip.y + 8);
  await page.mouse.down();
  await page.mouse.move(there.x + 40, there.y + 10, { steps: 6 });
  await page.mouse.up();
  await expect(sentence(page)).toContainText(`open ${next}`);
  await expect(page.getByRole('combobox', { name: 'Where it leads' })).toHaveCount(0);
  await page.getByRole('banner').getByRole('button', { name: 'Undo' }).click();
  await expect(sentence(page)).toContainText(`open ${to?.replace(/^Go to ([^,]*),.*/, '$1')}`);
  await page.getByRole('button', { name: 'copy, paste, remove' }).click();
  await page.getByRole('button', { name: 'copy both' }).click();
  await stage(page).getByRole('button', { name: 'First', exact: true }).click();
  await page.getByRole('button', { name: 'copy, paste, remove' }).click();
  await page.getByRole('button', { name: 'paste both' }).click();
  await expect(sentence(page)).toContainText(`open ${to?.replace(/^Go to ([^,]*),.*/, '$1')}`);
  await undoAll(page);
  await page.goto('/build/tarnhorn/screen/s_card');
  await page.getByRole('button', { name: 'redirect its ways in' }).click();
  await page.getByRole('combobox', { name: 'Where they lead from now on' }).fill('cabin form');
  await page.keyboard.press('Enter');
  const pop = page.getByRole('dialog', { name: 'Lead them elsewhere' });
  await expect(pop).toContainText(/\d+ ways to “Cabin card” will lead to “Cabin”/);
  await pop.getByRole('button', { name: 'Do it' }).click();
  await expect(page.getByRole('region', { name: 'Ways in' })).toContainText('No way leads here yet.');
  await undoAll(page);
  await expect(page.getByRole('region', { name: 'Ways in' })).not.toContainText('No way leads here yet.');
});

test('a record is added without a form, and led to: wired without an expression, practised, undone', async ({ page }) => {
  await build(page, 's_cabin', 'Mira Holt, technician', '087');
  await putButton(page, 'Add something in row 4, column 8', 'Log an inspection');
  await expect(page.getByRole('combobox', { name: 'Where it leads' })).toBeVisible();
  await page.keyboard.press('Escape');
  await stage(page).locator('[data-element]', { hasText: 'Log an inspection' }).click({ force: true });
  await sentence(page).getByRole('button', { name: '+ do something and stay' }).click();
  await page.getByRole('combobox', { name: 'First do' }).fill('record add');
  await page.keyboard.press('Enter');
  const form = page.getByRole('dialog', { name: 'Add a record' });
  await form.getByLabel('Of which table').selectOption('inspection');
  await expect(form.getByLabel('Field', { exact: true })).toHaveCount(3); // what an inspection cannot be without
  await expect(form.getByLabel('To what').first()).toHaveValue('=record');
  await form.getByLabel('To what').last().selectOption('passed with remarks');
  await form.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(sentence(page)).toContainText('add a new inspection with cabin = this cabin and done = today and result = “passed with remarks”, and stay here');
  await sentence(page).getByRole('button', { name: 'stay here' }).click();
  await page.getByRole('combobox', { name: 'Where it leads' }).fill('inspection form');
  await page.keyboard.press('Enter');
  await expect(sentence(page)).toContainText('then open Inspection on the inspection just added');
  await stage(page).getByRole('button', { name: 'Log an inspection' }).click();
  await expect(stage(page).getByRole('heading', { level: 1 })).toHaveText('Inspection of cabin 087');
  await expect(stage(page).getByText('passed with remarks')).toBeVisible();
  await page.getByRole('button', { name: 'Start afresh' }).click();
  await undoAll(page);
});

test('a list is narrowed and ordered at first: wired by its fields, taken away again', async ({ page }) => {
  await build(page, 's_wboard', 'Mira Holt, technician');
  await stage(page).getByText('My open defects').click();
  await expect(sentence(page)).toContainText('where state is not closed');
  await sentence(page).getByRole('button', { name: 'state is not closed' }).click();
  const form = page.getByRole('dialog', { name: 'Narrowed at first' });
  await form.getByRole('button', { name: '+ narrow by a field' }).click();
  await form.getByLabel('Field').last().selectOption('due');
  await form.getByLabel('How').last().selectOption('in the next … days');
  await form.getByRole('button', { name: 'Set', exact: true }).click();
  await expect(form.getByRole('alert')).toHaveText('Type how many days.');
  await form.getByLabel('Value').last().fill('14');
  await form.getByRole('button', { name: 'Set', exact: true }).click();
  await expect(sentence(page)).toContainText('where state is not closed and due the next 14 days');
  await expect(chosen(page)).toContainText('Open now');
  await undoAll(page);
  await expect(sentence(page)).not.toContainText('the next 14 days');
});

test('a stop is logged by one press while the line stands', async ({ page }) => {
  await use(page, 'jon', '/drive-room?lift=2');
  const log = page.getByRole('button', { name: 'Log this stop' });
  await expect(log).toHaveAttribute('aria-disabled', 'true');
  await stopLine(page);
  await expect(log).not.toHaveAttribute('aria-disabled', 'true', { timeout: 30_000 });
  await log.click();
  await expect(heading(page)).toHaveText(/^Stop/);
  await expect(page.getByRole('combobox', { name: 'Lift' })).not.toHaveValue('');
  await expect(page.getByRole('combobox', { name: 'Cause' })).toHaveValue('operator');
  await expect(page).toHaveURL(/\/stop\?/); // the browser's history has the new place
  await page.goBack();
  await expect(log).toBeVisible(); // until then “Start” is a button of the rail
  await startLine(page);
  await expect(log).toHaveAttribute('aria-disabled', 'true', { timeout: 30_000 });
});

test('another case: a screen made while naming its target is that case’s alone', async ({ page }) => {
  await build(page, 's_card', 'Mira Holt, technician', '087');
  await stage(page).getByRole('button', { name: 'Open the whole cabin' }).click();
  await sentence(page).getByRole('button', { name: '+ or else' }).click();
  const pop = page.getByRole('dialog', { name: 'Another case' });
  await pop.getByRole('button', { name: '+ field' }).click();
  await page.getByRole('combobox', { name: 'Field to compare' }).fill('state');
  await page.keyboard.press('Enter');
  await pop.getByRole('combobox', { name: 'Compared with' }).or(pop.getByRole('combobox', { name: 'Value' })).selectOption('on hold');
  await pop.getByRole('button', { name: 'Set condition' }).click();
  await sentence(page).getByRole('button', { name: /choose|stay here/ }).first().click();
  await page.getByRole('combobox', { name: 'Where it leads' }).fill('What a hold means');
  await page.keyboard.press('Enter');
  await page.getByRole('dialog', { name: 'A new screen' }).getByRole('button', { name: 'Make it' }).click();
  await expect(sentence(page)).toContainText('open What a hold means');
  await expect(sentence(page)).toContainText('open Cabin on this cabin');
  await undoAll(page);
  await expect(sentence(page)).not.toContainText('What a hold means');
});
