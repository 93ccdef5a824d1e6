import { build, stage, undoAll } from './people';
import { expect, test } from './program';

test('what a table is: called, ordered, of which kinds, seen from both sides; and how numbers are written', async ({ page }) => {
  await build(page, 's_wboard', 'Mira Holt, technician');
  await page.getByRole('navigation', { name: 'Parts of the builder' }).getByRole('button', { name: 'Data' }).click();
  const nav = page.getByRole('navigation', { name: 'Data' });
  await nav.getByRole('button', { name: 'Parts', exact: true }).click();
  // Each change is one step, and undo takes it back.
  await page.getByLabel('What tells a record').selectOption({ label: 'Code' });
  await page.getByLabel(/^(Order by|Then by)$/).selectOption({ label: 'In stock' });
  await page.getByRole('button', { name: 'Order 2 least first: turn' }).click();
  await expect(page.getByRole('button', { name: /greatest first: turn$/ })).toBeVisible();
  await page.getByRole('banner').getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: 'Order 2 least first: turn' })).toBeVisible();

  await nav.getByRole('button', { name: 'Defects', exact: true }).click();
  await page.getByRole('button', { name: 'What Hours is' }).click();
  await page.getByLabel('Most of Hours').fill('80');
  await page.keyboard.press('Enter');
  await expect(page.getByText('number in h, 0 to 80')).toBeVisible();
  await page.getByRole('button', { name: 'What Cabin is' }).click();
  await page.getByLabel('What records are called from the other side of Cabin').fill('defects found on it');
  await page.keyboard.press('Enter');
  await nav.getByRole('button', { name: 'Cabins', exact: true }).click();
  await expect(page.getByRole('option', { name: 'defects found on it' })).toHaveCount(1);
  await nav.getByRole('button', { name: 'Defects', exact: true }).click();
  const board = page.getByRole('listitem').filter({ has: page.getByRole('button', { name: 'Workshop board', exact: true }) });
  await board.getByRole('combobox', { name: 'Add a column' }).selectOption({ label: 'Hours' });
  await expect(board.getByRole('button', { name: 'Remove the column Hours' })).toBeVisible();

  await nav.getByRole('button', { name: 'Application' }).click();
  await page.getByLabel('Language of numbers and dates').selectOption({ label: 'Deutsch' });
  await expect(page.getByText('14.200 on 03.11.2026')).toBeVisible();
  await page.getByLabel('Offer a screen').selectOption({ label: 'Workshop board' });
  await expect(page.getByRole('button', { name: 'Offer Workshop board no more' })).toBeVisible();

  await page.getByLabel('ground by day', { exact: true }).fill('#203040');
  await expect(page.getByText('by day, ink on ground reads badly', { exact: false })).toBeVisible();
  const usual = page.getByRole('button', { name: 'ground by day: the usual one' });
  await usual.click();
  await expect(usual).toHaveCount(0); // each change is an edit: the next is made on what it left
  await page.getByLabel('ground by day', { exact: true }).fill('#fff0d0');
  await expect(usual).toBeVisible();
  await expect(page.getByText('reads badly')).toHaveCount(0);

  // A colour with a name of one's own, for all buttons of a look: outlined by night it would not read, and says so.
  await page.getByRole('button', { name: '+ a colour of your own' }).click();
  const called = page.getByLabel('What the colour New colour is called');
  await called.fill('Tarn blue');
  await called.press('Enter');
  await page.getByLabel('Tarn blue by day').fill('#1d4e89');
  await page.getByLabel('Tarn blue by night').fill('#102040');
  await page.getByLabel('Colour of plain buttons').selectOption({ label: 'Tarn blue' });
  await expect(page.getByRole('button', { name: 'Remove the colour Tarn blue' })).toBeDisabled(); // it is used
  await page.getByLabel('How plain buttons are drawn').selectOption({ label: 'outlined' });
  await expect(page.getByText('by night, outlined plain buttons read badly', { exact: false })).toBeVisible();
  await page.getByRole('button', { name: 'fill them' }).click();
  await expect(page.getByText('read badly')).toHaveCount(0);
  await page.getByLabel('Corners').selectOption({ label: 'round' });
  await expect(page.getByLabel('Corners')).toHaveValue('round');

  await nav.getByRole('button', { name: 'Plant', exact: true }).click();
  const lifts = page.getByRole('region', { name: 'Lifts' });
  await expect(lifts.getByRole('row').filter({ has: page.getByLabel('Name of gates') })).toContainText('yes');

  await page.getByRole('button', { name: 'Take in single values' }).click();
  await page.getByRole('searchbox').fill('gust ut');
  await page.getByRole('button', { name: 'Take in Ropeway › UT › wind › gust' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'Taken in: “Gust”' })).toBeVisible();
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  const single = page.getByRole('region', { name: 'Single values' });
  await expect(single.getByRole('row').filter({ has: page.getByLabel('Name of gust') })).toContainText(/\d m\/s/);

  // A dashboard of a table: told first, made in one step, each chart narrowing the rest.
  await nav.getByRole('button', { name: 'Defects', exact: true }).click();
  await page.getByRole('button', { name: 'a dashboard' }).click();
  const proposal = page.getByRole('region', { name: 'What would be made' });
  await expect(proposal).toContainText('A chart of defects by severity.');
  await proposal.getByRole('button', { name: 'Make it' }).click();
  await expect(stage(page).getByRole('heading', { level: 1 })).toHaveText('Defects in figures');
  await expect(stage(page).getByText('Defects by state')).toBeVisible();
  await page.getByRole('banner').getByRole('button', { name: 'Undo' }).click();

  // The screen at work has it at once: the column, and dates as they are written there.
  await page.goto('/build/tarnhorn/screen/s_wboard');
  await expect(stage(page).getByRole('columnheader', { name: 'Hours' })).toBeVisible();
  await expect(stage(page).getByText(/^\d{2}\.\d{2}\.20\d{2}$/).first()).toBeVisible();
  await expect(stage(page)).toHaveCSS('background-color', 'rgb(255, 240, 208)');
  await page.goto('/build/tarnhorn/screen/s_bycomp');
  const plain = stage(page).locator('.face[data-tone=plain]:not([aria-disabled=true])').first();
  await expect(plain).toHaveCSS('background-color', 'rgb(29, 78, 137)');
  await expect(plain).toHaveCSS('border-radius', '12px');
  await undoAll(page);
});
