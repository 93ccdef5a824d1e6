import { expect, test } from './program';
import { answered, heading, signOut, use } from './people';

test('stepping along the list come from, with position and neighbours; greyed at the end', async ({ page }) => {
  await use(page, 'mira', '/parts?~sort=-code');
  await page.getByRole('row').nth(1).getByRole('link').click();
  const place = page.getByRole('group', { name: 'Place in the list' });
  await expect(place).toContainText('1 of 15 in Parts');
  await page.getByRole('button', { name: 'Next', exact: true }).or(page.getByRole('link', { name: 'Next', exact: true })).click();
  await expect(place).toContainText('2 of 15 in Parts');
  // The focus is on the button again, so that one can go on with Enter.
  await page.keyboard.press('Enter');
  await expect(place).toContainText('3 of 15 in Parts');
  await place.getByRole('button', { name: /^Previous/ }).click();
  await expect(place).toContainText('2 of 15 in Parts');
  await page.goBack();
  await expect(place).toContainText('3 of 15 in Parts');

  await signOut(page);
  await use(page, 'jon', '/stops');
  await page.getByRole('row').nth(1).getByRole('link').click();
  const previous = page.getByRole('button', { name: 'Previous', exact: true });
  await expect(previous).toHaveAttribute('aria-disabled', 'true');
  await previous.hover();
  await expect(page.getByText('This is the first of “Stops”.').last()).toBeVisible();
  await page.getByRole('link', { name: '⇥' }).click();
  await expect(place).toContainText('140 of 140 in Stops');
});

test('closing one and going on to the next, from a list that it leaves by that', async ({ page }) => {
  await use(page, 'sela', '/defects?~filter.state=is:waiting for parts&~sort=code');
  await expect(page.getByRole('row').nth(3).getByRole('link')).toBeVisible();
  const codes = await page.getByRole('row').getByRole('link').allTextContents();
  await page.getByRole('link', { name: codes[0] }).click();
  await page.getByRole('button', { name: 'Close, then next' }).click();
  await expect(heading(page)).toHaveText(`Defect ${codes[1]}`);
  await expect(page.getByRole('group', { name: 'Place in the list' })).toContainText(`1 of ${codes.length - 1} in Defects`);
  await page.goBack();
  await expect(page.getByRole('group', { name: 'Place in the list' })).toContainText('no longer in Defects, waiting for parts');
});

test('what was typed is found again: after a reload, in another tab, after leaving', async ({ page, context }) => {
  await use(page, 'jon', '/stops');
  await page.getByRole('link', { name: 'Report a stop' }).click();
  await expect(page.getByLabel('Cause *')).toBeVisible();
  const text = 'Half a sentence about the';
  await answered(page, /\/draft$/, () => page.getByLabel('Report').fill(text), text);
  await page.reload();
  await expect(page.getByLabel('Report')).toHaveValue('Half a sentence about the');
  await expect(page.getByRole('status').filter({ hasText: 'was not saved; here it is again' })).toBeVisible();

  // Another tab is offered to go on with it; the first is told.
  const other = await context.newPage();
  await other.goto(page.url());
  await other.getByRole('button', { name: 'Go on with it here' }).click();
  await expect(other.getByLabel('Report')).toHaveValue('Half a sentence about the');
  await page.getByLabel('Report').fill('Half a sentence about the wind');
  await expect(page.getByText('Another tab of yours has gone on with what you typed here.')).toBeVisible();
  await answered(page, /\/draft$/, () => page.getByRole('button', { name: 'Keep this version' }).click(), 'about the wind');
  await expect(page.getByText('Another tab of yours has gone on')).toHaveCount(0);
  await expect(page.getByLabel('Report')).toHaveValue('Half a sentence about the wind');
  await page.reload();
  await expect(page.getByLabel('Report')).toHaveValue('Half a sentence about the wind');
  await other.getByLabel('Report').fill('Half a sentence about the rain');
  await other.getByRole('button', { name: 'Bring that version here' }).click();
  await expect(other.getByLabel('Report')).toHaveValue('Half a sentence about the wind');
  await page.getByLabel('Report').fill('Half a sentence about the snow');
  await page.getByRole('button', { name: 'Bring that version here' }).click();
  await expect(page.getByLabel('Report')).toHaveValue('Half a sentence about the wind');
  await other.close();

  // Leaving by the strip asks; what waits is there on coming back.
  await page.getByLabel('Cause *').selectOption('wind');
  await page.getByRole('navigation', { name: 'Trail' }).getByRole('button', { name: /^Back/ }).click();
  await page.getByRole('button', { name: 'Keep it for later' }).click();
  await expect(heading(page)).toHaveText('Stops of the lifts');
  await expect(page).toHaveURL(/\/stops$/); // the browser has gone back too
  await page.goForward();
  await expect(page.getByLabel('Cause *')).toHaveValue('wind');
  await page.getByRole('button', { name: 'Start from what is saved' }).click();
  await expect(page.getByLabel('Report')).toHaveValue('');
  await expect(page.getByLabel('Written by')).toHaveValue('Jon Abeke');
});

test('bounds, moments, Enter and Ctrl+S, Escape; the first wrong field has the focus', async ({ page }) => {
  await use(page, 'jon', '/stops');
  await page.getByRole('link', { name: 'Report a stop' }).click();
  await page.getByLabel('Lift *').fill('Horn');
  await page.getByRole('option', { name: 'Horn Saddle' }).click();
  await page.getByLabel('Report').fill('Gusts at the saddle.');
  await page.keyboard.press('Control+s');
  await expect(page.getByText('Fill in “Cause”.')).toBeVisible();
  await expect(page.getByLabel('Cause *')).toBeFocused();
  await page.getByLabel('Cause *').selectOption('wind');
  await page.getByLabel('Began *').fill('20 Nov 2026 08:30');
  await page.getByLabel('Began *').press('Enter');
  await expect(heading(page)).toHaveText('Stop of Horn Saddle');
  await expect(page.getByText(/20 Nov.* 08:30/)).toBeVisible();
  await page.getByRole('link', { name: 'Edit' }).click();
  await expect(page.getByLabel('Began *')).toHaveValue('20 Nov 2026 08:30');
  await page.getByLabel('Report').press('Escape');
  await expect(page.getByRole('link', { name: 'Edit' })).toBeVisible();

  await signOut(page);
  await use(page, 'sela', '/part?part=1&~mode=edit');
  await page.getByLabel('Code *').fill('107');
  await page.getByLabel('In stock *').fill('-1');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('Code must look like P-107.')).toBeVisible();
  await expect(page.getByText('In stock must be from 0 to 100000.')).toBeVisible();
  await page.getByLabel('Code *').fill('P-107');
  await page.getByLabel('In stock *').fill('5');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('There is another part with this already.')).toBeVisible();
});

test('a photo is looked at, chosen and removed', async ({ page }) => {
  await use(page, 'sela', '/defect?defect=107');
  const photo = page.getByRole('img', { name: 'Photo' });
  await expect.poll(() => photo.evaluate((e: HTMLImageElement) => e.naturalWidth)).toBe(480);
  await page.getByRole('link', { name: 'Edit' }).click();
  await page.getByLabel('Photo').setInputFiles({ name: 'note.txt', mimeType: 'image/png', buffer: Buffer.from('no picture') });
  await expect(page.getByText('This file is no picture that can be shown.')).toBeVisible();
  const dot = Buffer.from('R0lGODlhAQABAIAAAAAAAP///yH5BAEAAAAALAAAAAABAAEAAAIBRAA7', 'base64');
  await page.getByLabel('Photo').setInputFiles({ name: 'dot.gif', mimeType: 'image/gif', buffer: dot });
  await expect.poll(() => photo.evaluate((e: HTMLImageElement) => e.naturalWidth)).toBe(1);
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('link', { name: 'Edit' })).toBeVisible();
  await expect.poll(() => photo.evaluate((e: HTMLImageElement) => e.naturalWidth)).toBe(1);
  await page.getByRole('link', { name: 'Edit' }).click();
  await page.getByRole('button', { name: 'Remove the picture' }).click();
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('link', { name: 'Edit' })).toBeVisible();
  await expect(photo).toHaveCount(0);
});

test('points of an inspection: edited in place, added, removed, stepped through', async ({ page }) => {
  await use(page, 'mira', '/inspections');
  await page.getByRole('row').nth(4).getByRole('link').click();
  const list = page.getByRole('region', { name: 'Points' });
  await list.getByRole('button', { name: 'Change Jaw wear, mm' }).click();
  await list.getByRole('textbox', { name: 'Measured' }).fill('999');
  await list.getByRole('textbox', { name: 'Measured' }).press('Enter');
  await expect(list.getByText('Measured must be from 0 to 200.')).toBeVisible();
  await list.getByRole('textbox', { name: 'Measured' }).fill('3.25');
  await list.getByRole('textbox', { name: 'Measured' }).press('Enter');
  await expect(list.getByRole('row', { name: /Jaw wear/ })).toContainText('3.25');

  await page.getByRole('button', { name: 'Add a point' }).click();
  await list.getByRole('textbox', { name: 'No.' }).fill('9');
  await list.getByRole('textbox', { name: 'What was looked at' }).fill('Lamp');
  await list.getByRole('combobox', { name: 'Outcome' }).selectOption('watch');
  await list.getByRole('button', { name: 'Add' }).click();
  const lamp = list.getByRole('row', { name: /Lamp/ });
  await expect(lamp).toContainText('watch');
  await expect(lamp).toHaveAttribute('aria-current', 'true');
  await expect(page.getByRole('button', { name: 'Next point' })).toHaveAttribute('aria-disabled', 'true');
  await page.getByRole('button', { name: 'Previous point' }).click();
  await expect(list.getByRole('row', { name: /Hanger play/ })).toHaveAttribute('aria-current', 'true');
  await lamp.click();
  await expect(lamp).toHaveAttribute('aria-current', 'true');
  await expect(page.getByRole('button', { name: 'Next point' })).toHaveAttribute('aria-disabled', 'true');
  await page.getByRole('button', { name: 'Remove it' }).click();
  await page.getByRole('alertdialog').getByRole('button', { name: 'Delete' }).click();
  await expect(lamp).toHaveCount(0);
});

test('a missing component is added in a dialog, and comes back into the field', async ({ page }) => {
  await use(page, 'sela', '/cabin?cabin=20');
  await page.getByRole('link', { name: 'Report a defect' }).click();
  await page.getByLabel('What *').fill('Lamp out');
  await page.getByRole('button', { name: 'Add a missing component' }).click();
  const dialog = page.getByRole('dialog', { name: 'New component' });
  await dialog.getByLabel('Code *').fill('LMP');
  await dialog.getByLabel('Name *').fill('Cabin lamp');
  await dialog.getByLabel('Area *').selectOption('cabin');
  await page.reload();
  await expect(dialog.getByLabel('Name *')).toHaveValue('Cabin lamp');
  await dialog.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(dialog).toHaveCount(0);
  await expect(page.getByRole('combobox', { name: /Component/ })).toHaveValue('Cabin lamp');
  await expect(page.getByLabel('What *')).toHaveValue('Lamp out');
  await page.getByLabel('Severity *').selectOption('low');
  await page.getByLabel('State *').selectOption('open');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(heading(page)).toHaveText(/^Defect D-/);
  await expect(page.getByText('Cabin lamp')).toBeVisible();
});

test('deleting shows what hangs on it; back passes over the deleted record', async ({ page }) => {
  await use(page, 'sela', '/inspections?~sort=done_on');
  await page.getByRole('row').nth(1).getByRole('link').click();
  await expect(heading(page)).toHaveText(/^Inspection of/);
  await page.getByRole('navigation', { name: 'Trail' }).getByRole('button', { name: /^Home/ }).click();
  await expect(heading(page)).toHaveText('Day board');
  await page.goBack();
  await page.getByRole('button', { name: 'Delete' }).click();
  const question = page.getByRole('alertdialog', { name: 'Delete for good' });
  await expect(question).toContainText('inspection points, which will be deleted too');
  await question.getByRole('button', { name: 'Delete' }).click();
  await expect(heading(page)).toHaveText('Inspections');
  await page.goForward();
  await expect(page.getByText(/^Skipped .*gone, or not open to you\.$/)).toBeVisible();
  await expect(heading(page)).toHaveText('Day board');
});
