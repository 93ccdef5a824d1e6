import { expect, test } from './program';
import { crowd } from './crowded.mjs';
import { build, chosen, heading, sentence, stage, undoAll, use } from './people';

// What a tab keeps, drawers, dialogs that come back, rows as spots: in use, and wired in build.

test('a tab keeps which lift is one’s own; a drawer leads there from elsewhere', async ({ page, context }) => {
  await use(page, 'jon', '/drive-room?lift=2');
  await page.getByRole('button', { name: 'Make it mine' }).click();
  await expect(page.getByRole('button', { name: 'It is mine: forget' })).toBeVisible();
  await page.getByRole('button', { name: 'Other drives' }).click();
  const drawer = page.getByRole('navigation', { name: 'Drives' });
  await expect(drawer.getByRole('link', { name: 'Mine: Lower Tarn' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(drawer).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Other drives' })).toBeFocused();
  await page.goto('/use/tarnhorn/stops'); // in the same tab
  await page.getByRole('button', { name: 'Open Drives' }).click();
  await drawer.getByRole('link', { name: 'Mine: Lower Tarn' }).click();
  await expect(heading(page)).toHaveText('Lower Tarn, drive room');
  await expect(drawer).toHaveCount(0);
  await page.reload();
  await expect(page.getByRole('button', { name: 'It is mine: forget' })).toBeVisible();
  const other = await context.newPage(); // a tab of its own keeps nothing yet
  await other.goto('/use/tarnhorn/drive-room?lift=2');
  await expect(other.getByRole('button', { name: 'Make it mine' })).toBeVisible();
  await other.getByRole('button', { name: 'Other drives' }).click();
  await expect(other.getByRole('navigation', { name: 'Drives' }).getByRole('button', { name: 'Mine: none yet' })).toHaveAttribute('aria-disabled', 'true');
  await other.getByRole('navigation', { name: 'Drives' }).getByRole('button', { name: 'Put away' }).click();
  await expect(other.getByRole('navigation', { name: 'Drives' })).toHaveCount(0);
});

test('a drawer comes by a touch at its edge and by a pull on its tab', async ({ page }) => {
  await use(page, 'jon', '/lifts');
  const drawer = page.getByRole('navigation', { name: 'Drives' });
  await expect(heading(page)).toHaveText('Lifts');
  await expect(page.getByRole('button', { name: 'Open Drives' })).toBeVisible();
  await page.mouse.click(1277, 700);
  await expect(drawer).toBeVisible();
  await drawer.getByRole('button', { name: 'Close Drives' }).click();
  const tab = page.getByRole('button', { name: 'Open Drives' });
  const box = await tab.boundingBox();
  if (!box) throw new Error('the tab has no place');
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x - 40, box.y + box.height / 2, { steps: 6 });
  await page.mouse.up();
  await expect(drawer).toBeVisible();
  await expect(drawer.getByRole('link', { name: 'Upper Tarn', exact: true })).toBeFocused();
});

test('a dialog comes back with the row that was chosen; a list is opened at a row', async ({ page }) => {
  await use(page, 'sela', '/defects?~filter.state=is:open&~sort=code');
  await page.getByRole('row').nth(2).getByRole('link').first().click();
  await expect(heading(page)).toHaveText(/^Defect D-/);
  const name = (await heading(page).textContent()) ?? '';
  await page.getByRole('button', { name: 'Put it on another one …' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('searchbox').or(dialog.getByPlaceholder('Find in this list')).fill('021');
  await page.keyboard.press('Enter');
  await dialog.getByRole('row', { name: /^021/ }).click();
  await expect(dialog).toHaveCount(0);
  await expect(heading(page)).toHaveText(name);
  await expect(page.locator('[data-is=e_cab]')).toContainText('021');
  // Closed without a choice, nothing follows.
  await page.getByRole('button', { name: 'Put it on another one …' }).click();
  await expect(dialog).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect(page.locator('[data-is=e_cab]')).toContainText('021');
  await page.getByRole('link', { name: 'Its cabin' }).click();
  await page.getByRole('link', { name: 'Show it among all' }).click();
  await expect(heading(page)).toHaveText('Cabins');
  const row = page.getByRole('row', { name: /^021/ });
  await expect(row).toHaveAttribute('aria-current', 'true');
  await expect(row).toBeInViewport();
  await expect(page.getByRole('row', { name: /^001/ })).toHaveCount(0); // the list begins near it
});

test('what is left is remembered: the drive room left last leads back to it', async ({ page }) => {
  await use(page, 'jon', '/lifts');
  const again = page.getByRole('link', { name: /^Again/ }).or(page.getByRole('button', { name: /^Again/ }));
  await expect(again).toHaveAttribute('aria-disabled', 'true');
  await page.getByRole('row', { name: /Lower Tarn/ }).click();
  await expect(heading(page)).toHaveText('Lower Tarn, drive room');
  await page.goBack();
  await expect(again).toContainText('Again Lower Tarn'); // without loading the page again
  await again.click();
  await expect(heading(page)).toHaveText('Lower Tarn, drive room');
});

test('a screen is left: what is done then is wired, and said in one sentence', async ({ page }) => {
  await build(page, 's_bycomp', 'Sela Brandt, shift lead');
  await page.getByLabel('A way of the screen itself').selectOption({ label: 'when it is left' });
  await expect(page.getByRole('combobox', { name: 'First do' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(sentence(page)).toContainText('choose what is done');
  await expect(page.getByRole('note').filter({ hasText: 'does nothing yet' })).toBeVisible();
  await sentence(page).getByRole('button', { name: 'choose what is done' }).click();
  await page.getByRole('combobox', { name: 'First do' }).fill('set a variable');
  await page.keyboard.press('Enter');
  const form = page.getByRole('dialog', { name: 'Set a variable' });
  await form.getByLabel('Variable', { exact: true }).selectOption({ label: 'with the parts (this screen)' });
  await form.getByLabel('To what').selectOption({ label: 'the other of the two' });
  await form.getByRole('button', { name: 'Add' }).click();
  await expect(sentence(page)).toContainText('When the screen is left, for everyone: turn with the parts on or off.');
  await undoAll(page);
});

test('variables: made while wiring, switched, read by a condition, practised', async ({ page }) => {
  await build(page, 's_card', 'Mira Holt, technician');
  await stage(page).getByText('Open the whole cabin').click();
  await sentence(page).getByRole('button', { name: '+ first do' }).click();
  await page.getByRole('combobox', { name: 'First do' }).fill('set variable');
  await page.keyboard.press('Enter');
  const form = page.getByRole('dialog', { name: 'Set a variable' });
  await form.getByLabel('Variable', { exact: true }).selectOption('+');
  await form.getByLabel('Its name').fill('Seen the whole');
  await form.getByLabel('What it holds').selectOption('yesno');
  await form.getByLabel('To what').selectOption({ label: 'yes' });
  await form.getByRole('button', { name: 'Add' }).click();
  await expect(sentence(page)).toContainText('set seen the whole to yes, then open Cabin');
  await chosen(page).getByRole('button', { name: 'right now' }).click();
  await expect(page.getByRole('dialog', { name: 'Right now' })).toContainText('seen the whole');
  await expect(page.getByRole('dialog', { name: 'Right now' })).toContainText('no');
  await page.keyboard.press('Escape');
  // A condition reads it like any other name.
  await sentence(page).getByRole('button', { name: '+ only while' }).click();
  const editor = page.getByRole('dialog', { name: 'Condition' });
  await editor.getByRole('button', { name: 'as text' }).click();
  await page.getByLabel('Condition as text').fill('!vars.seen_the_whole');
  await editor.getByRole('button', { name: /^(Save|Set|Keep)/ }).click();
  await expect(sentence(page)).toContainText('while seen the whole is no');
  await expect(chosen(page)).toContainText('Open now');
  await stage(page).getByText('Open the whole cabin').click(); // a second click on the chosen one acts
  await expect(page.getByRole('main').getByRole('heading', { level: 1 }).first()).toHaveText('Cabin');
  await page.goBack();
  await stage(page).getByText('Open the whole cabin').click({ force: true }); // hidden by now
  await expect(chosen(page)).toContainText('Hidden');
  await page.getByRole('banner').getByRole('link', { name: 'Data' }).or(page.getByRole('banner').getByRole('button', { name: 'Data' })).click();
  await page.getByRole('navigation', { name: 'Data' }).getByText('Variables', { exact: true }).click();
  const card = page.getByRole('region', { name: 'Seen the whole' });
  await expect(card).toContainText('vars.seen_the_whole');
  await expect(card.getByRole('button', { name: 'Cabin card' })).toBeVisible();
  await undoAll(page);
});

test('a dialog that comes back, a row as the spot, a rail made a drawer: wired without an expression', async ({ page }) => {
  await build(page, 's_card', 'Mira Holt, technician');
  await stage(page).getByText('Open the whole cabin').click();
  await sentence(page).getByRole('button', { name: 'Cabin', exact: true }).click();
  await page.getByRole('combobox', { name: 'Where it leads' }).fill('Choose a cabin');
  await page.keyboard.press('Enter');
  await sentence(page).getByRole('button', { name: 'in full' }).click();
  await page.getByRole('dialog', { name: 'Opened how' }).getByText('as a dialog').click();
  await sentence(page).getByRole('button', { name: '+ when it comes back' }).click();
  await expect(sentence(page)).toContainText('When the dialog comes back');
  await sentence(page).getByRole('button', { name: 'choose what happens' }).click();
  await page.getByRole('combobox', { name: 'Where it leads' }).fill('Cabin card');
  await page.keyboard.press('Enter');
  await expect(sentence(page)).toContainText('open Cabin card on what it came back with');
  await page.getByLabel('Which of its ways').selectOption({ label: 'when released' });
  await expect(sentence(page)).toContainText('open Choose a cabin, as a dialog, and when it comes back open Cabin card');
  await sentence(page).getByRole('button', { name: 'open Cabin card' }).click(); // leads to that way
  await expect(sentence(page)).toContainText('When the dialog comes back');
  await sentence(page).getByRole('button', { name: 'Cabin card', exact: true }).click();
  await page.getByRole('combobox', { name: 'Where it leads' }).fill('Cabins');
  await page.keyboard.press('Enter');
  await expect(sentence(page)).toContainText('open Cabins');
  await sentence(page).getByRole('button', { name: '+ at a spot' }).click();
  await page.getByRole('combobox', { name: 'Where in it' }).fill('list');
  await page.keyboard.press('Enter');
  await sentence(page).getByRole('button', { name: '+ at a row' }).click();
  await page.getByRole('option', { name: /what it came back with/ }).click();
  await expect(sentence(page)).toContainText('at what it came back with');
  await page.keyboard.press('Escape');
  await undoAll(page);
  await page.goto('/build/tarnhorn/screen/s_stops');
  await page.getByLabel('Rails').selectOption({ label: 'Workshop tools' });
  const rail = page.getByRole('dialog', { name: 'Rail Workshop tools' });
  await rail.getByLabel('Fixed or a drawer').selectOption('drawer');
  await expect(rail.getByLabel('a tab at the edge')).toBeChecked();
  await rail.getByLabel('Only on', { exact: true }).selectOption({ label: 'Stops' });
  await expect(rail.getByRole('checkbox', { name: 'Stops', exact: true })).toBeChecked();
  await rail.getByRole('tab', { name: 'What is on it' }).click();
  await rail.getByRole('button', { name: /^Move .* later$/ }).first().click();
  await expect(rail.getByLabel('Words').first()).toHaveValue('Parts');
  await rail.getByRole('button', { name: '+ a text' }).click();
  await expect(rail.getByLabel('Words').last()).toHaveValue('New text');
  // However much stands on it, its box stays in the window and scrolls.
  const words = await rail.getByLabel('Words').count();
  for (let more = 1; more < 10; more++) {
    await rail.getByRole('button', { name: '+ a text' }).click();
    await expect(rail.getByLabel('Words')).toHaveCount(words + more);
  }
  await page.setViewportSize({ width: 1280, height: 720 });
  expect((await rail.boundingBox())?.y).toBeGreaterThan(0);
  await rail.getByRole('button', { name: 'Remove the rail' }).scrollIntoViewIfNeeded();
  await expect(rail.getByRole('button', { name: 'Remove the rail' })).toBeInViewport();
  await page.keyboard.press('Escape');
  await undoAll(page);
});

test('a crowded screen: found, folded, at most eight wires, undone', async ({ page }) => {
  await build(page, 's_day', 'Sela Brandt, shift lead');
  await crowd(page);
  await page.goto('/build/tarnhorn/screen/s_crowdhub');
  await expect(stage(page).getByText('Check 60')).toBeVisible();
  const out = page.getByRole('region', { name: 'Ways out' });
  const into = page.getByRole('region', { name: 'Ways in' });
  await expect(out).toContainText('60');
  await expect(into).toContainText('40');
  await expect(out.getByRole('button').first()).toContainText('a screen that is gone'); // findings first
  await expect(into.getByRole('button')).toHaveCount(8); // the first area; the others are folded
  await into.getByText('Workshop · 8').click();
  await expect(into.getByRole('button')).toHaveCount(16);
  await into.getByLabel('Find a way in').fill('round 33');
  await expect(into.getByRole('button')).toHaveCount(1);
  await out.getByLabel('Find a way out').fill('check 20');
  await expect(out.getByRole('button', { name: /^Way/ })).toHaveCount(1);
  await out.getByLabel('Find a way out').fill('');
  await stage(page).getByText('Check 41', { exact: true }).click();
  await expect(out.getByRole('button', { name: 'build Round 17' })).toBeInViewport(); // its plate comes into view
  expect(await page.locator('[data-wires] g').count()).toBeLessThanOrEqual(8);
  await undoAll(page);
});
