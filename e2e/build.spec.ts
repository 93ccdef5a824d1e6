import type { Page } from '@playwright/test';
import { expect, test } from './program';
import { answered, build, heading, intoCell, putButton, putIntoUse, stage, undoAll, use } from './people';

const sentence = (page: Page) => page.getByRole('tabpanel', { name: 'Way' });

test('a builder wires a button with a role and a condition, releases it, a shift lead uses it, it is undone', async ({ page, browser }) => {
  await build(page, 's_cabin', 'Mira Holt, technician', '087');
  await expect(page.locator('[data-stage]').getByRole('heading', { name: 'Cabin 087' })).toBeVisible();
  await putButton(page, 'Add something in row 4, column 8', 'Its defects');
  // A button without a way is found at once, and its target is asked for.
  await page.getByRole('combobox', { name: 'Where it leads' }).fill('defects');
  await page.getByRole('option', { name: 'Defects list', exact: true }).click();
  await expect(sentence(page)).toContainText('open Defects with cabin this cabin');
  await sentence(page).getByRole('button', { name: 'everyone' }).click();
  await page.getByRole('button', { name: 'nobody' }).click();
  await page.getByRole('checkbox', { name: 'Shift lead' }).check();
  await page.getByRole('button', { name: 'Set roles' }).click();
  await expect(sentence(page)).toContainText('for Shift lead');
  await page.getByRole('button', { name: '+ only while' }).click();
  await page.getByRole('button', { name: '+ field' }).click();
  await page.getByRole('combobox', { name: 'Field to compare' }).fill('state');
  await page.getByRole('listbox', { name: 'Field to compare' }).getByRole('option').first().click();
  await page.getByRole('combobox', { name: 'Value' }).selectOption('in service');
  await expect(page.getByText('means: state is “in service”')).toBeVisible();
  await page.getByRole('button', { name: 'Set condition' }).click();
  await expect(sentence(page)).toContainText('while state is “in service”');

  // For the technician it is hidden, and the builder is told why.
  await expect(page.getByRole('region', { name: 'The chosen way' })).toContainText('Only for Shift lead.');
  await page.getByRole('tab', { name: 'Why' }).click();
  await expect(page.getByRole('tabpanel', { name: 'Why' })).toContainText('the user is Shift lead');
  await page.getByLabel('Walking as').selectOption({ label: 'Sela Brandt, shift lead' });
  await expect(page.getByText('Open now')).toBeVisible();
  await expect(page.getByRole('tabpanel', { name: 'Why' })).toContainText('in service');

  // In use nothing has changed before the release.
  const sela = await (await browser.newContext()).newPage();
  await use(sela, 'sela', '/cabin?cabin=87');
  await expect(sela.getByRole('link', { name: 'Its defects' })).toHaveCount(0);
  await putIntoUse(page);
  await expect(page.getByText(/release 2, no changes since/)).toBeVisible();
  await expect(async () => {
    await sela.reload();
    await expect(sela.getByRole('link', { name: 'Its defects' })).toBeVisible({ timeout: 1000 });
  }).toPass();
  await sela.getByRole('link', { name: 'Its defects' }).click();
  await expect(heading(sela)).toHaveText('Defects');
  await expect(sela.getByRole('group', { name: 'What narrows this screen' })).toContainText('087');
  for (const row of (await sela.getByRole('row').all()).slice(1)) await expect(row).toContainText('087');
  // A cabin on hold does not show it.
  await sela.goto('/use/tarnhorn/cabin?cabin=23');
  await expect(heading(sela)).toHaveText('Cabin 023');
  await expect(sela.getByText('on hold')).toBeVisible();
  await expect(sela.getByRole('link', { name: 'Its defects' })).toHaveCount(0);
  await sela.context().close();

  // Four edits, undone one after the other: the button, its way, its roles, its condition.
  const undo = page.getByRole('banner').getByRole('button', { name: 'Undo' });
  for (let left = 3; left >= 0; left--) {
    await undo.click();
    if (left > 0) await expect(undo).toBeEnabled();
  }
  await expect(page.locator('[data-stage]').getByText('Its defects')).toHaveCount(0);
  await expect(undo).toBeDisabled();
  await page.getByRole('banner').getByRole('button', { name: 'Redo' }).click();
  await expect(page.locator('[data-stage]').getByText('Its defects')).toBeVisible();
  await answered(page, /undo$/, () => undo.click()); // what comes next begins without it
});

test('a gate to a screen that does not exist makes it, with a way back', async ({ page }) => {
  await build(page, 's_cabin', 'Sela Brandt, shift lead', '087');
  await putButton(page, 'Add something in row 4, column 8', 'Hand over');
  await page.getByRole('combobox', { name: 'Where it leads' }).fill('Hand-over sheet');
  await page.getByRole('option', { name: /make Hand-over sheet/ }).click();
  await page.getByRole('button', { name: 'Make it' }).click();
  await expect(sentence(page)).toContainText('open Hand-over sheet');
  await page.getByRole('button', { name: 'build Hand-over sheet' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Hand-over sheet' }).first()).toBeVisible();
  await expect(page.getByRole('region', { name: 'Ways in' }).getByText('Cabin')).toBeVisible();
  await expect(page.locator('[data-stage]').getByRole('button', { name: 'Back' })).toBeVisible();
  // Without its strip and its button there is no way back: found, with its mend.
  await page.getByRole('button', { name: 'Hide the top strip' }).click();
  await page.locator('[data-stage]').getByRole('button', { name: 'Back' }).click();
  await page.getByRole('tab', { name: 'Look' }).click();
  await page.getByRole('button', { name: 'Remove this button' }).click();
  const note = page.getByRole('note').filter({ hasText: 'No way back from “Hand-over sheet”' });
  await expect(note).toBeVisible();
  await note.getByRole('button', { name: 'add one' }).click();
  await expect(note).toHaveCount(0);
  await expect(page.locator('[data-stage]').getByRole('button', { name: 'Back' })).toBeVisible();
  // Everything is taken back, to the last edit.
  const undo = page.getByRole('banner').getByRole('button', { name: 'Undo' });
  for (let left = 5; left > 0; left--) {
    const before = await page.getByText(/changes? since release|no changes since/).textContent();
    await undo.click();
    await expect(page.getByText(/changes? since release|no changes since/)).not.toHaveText(before ?? '');
  }
  await expect(undo).toBeDisabled();
});

test('practice acts and keeps nothing', async ({ page, browser }) => {
  await build(page, 's_cabin', 'Sela Brandt, shift lead', '087');
  const stage = page.locator('[data-stage]');
  const hold = stage.getByRole('button', { name: 'Hold cabin' });
  await hold.click(); // chooses
  await expect(page.getByRole('alertdialog')).toHaveCount(0);
  await hold.click(); // acts
  await page.getByRole('alertdialog').getByRole('button', { name: 'Yes' }).click();
  await expect(page.getByText('1 press practised; nothing is saved.')).toBeVisible();
  await expect(stage.getByText('on hold', { exact: true })).toBeVisible();
  const sela = await (await browser.newContext()).newPage();
  await use(sela, 'sela', '/cabin?cabin=87');
  await expect(sela.getByText('in service', { exact: true })).toBeVisible();
  await sela.context().close();
  await page.getByRole('button', { name: 'Start afresh' }).click();
  await expect(stage.getByText('in service', { exact: true })).toBeVisible();
});

test('a condition as text: a misspelt field is underlined, with a proposal', async ({ page }) => {
  await build(page, 's_defect', 'Mira Holt, technician', 'D-2107');
  await page.locator('[data-stage]').getByRole('button', { name: 'Edit' }).click();
  await page.getByRole('tab', { name: 'As text' }).click();
  const text = page.getByLabel('Condition as text');
  await expect(text).toHaveValue('record.state != "closed"');
  await text.fill('record.stat != "closed" && record.cabin.lift.code == "UT"');
  await expect(page.getByText('There is no field “stat” here.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Set condition' })).toBeDisabled();
  await page.getByRole('button', { name: 'state', exact: true }).click();
  await expect(page.getByText('means: state is not “closed” and cabin’s lift’s code is “UT”')).toBeVisible();
});

test('Ctrl+K finds a screen by any word', async ({ page }) => {
  await build(page, 's_cabin', 'Mira Holt, technician');
  await page.keyboard.press('Control+k');
  await page.getByRole('combobox', { name: 'Find a screen or table' }).fill('by compon');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/s_bycomp/);
});

test('a text is put somewhere, and the page acts on at once', async ({ page }) => {
  await build(page, 's_cabin', 'Sela Brandt, shift lead', '087');
  await intoCell(page.getByRole('button', { name: 'Add something in row 4, column 8' }), 'Look twice');
  await page.getByRole('option', { name: 'a text “Look twice”' }).click();
  await expect(stage(page).getByText('Look twice')).toBeVisible();
  await stage(page).getByRole('button', { name: 'Edit' }).click(); // nothing lies over it
  await expect(sentence(page)).toContainText('to edit');
  await undoAll(page);
});
