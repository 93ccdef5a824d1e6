import { expect, test } from './program';
import { answered, heading, use } from './people';

test('a long list: both ends, find, filters by type, two sort keys, all in the address', async ({ page }) => {
  await use(page, 'sela', '/inspections');
  const list = page.getByRole('region', { name: 'Inspections' });
  await expect(page.getByText(/^50\d rows$/)).toBeVisible();
  await page.getByRole('button', { name: 'to the last' }).click();
  await expect(page.getByRole('button', { name: 'to the first' })).toBeVisible();
  await list.focus();
  await page.keyboard.press('Home');
  await expect(page.getByRole('button', { name: 'to the first' })).toHaveCount(0);
  // Scrolling fetches what is seen; the headings stay.
  await list.evaluate((e) => e.scrollTo(0, 2500));
  await expect(page.getByRole('columnheader', { name: /Done/ })).toBeInViewport();
  await expect.poll(() => page.getByRole('row').count()).toBeLessThan(80);

  await page.getByRole('searchbox', { name: 'Find in this list' }).fill('failed');
  await expect(page).toHaveURL(/~find=failed/);
  await expect(page.getByRole('row').nth(1)).toContainText('failed');
  await page.getByRole('button', { name: 'Filter Done' }).click();
  await page.getByRole('combobox', { name: 'Days' }).selectOption('the last 365 days');
  await page.getByRole('button', { name: 'Show these' }).click();
  const chips = page.getByRole('group', { name: 'What narrows this screen' });
  await expect(chips).toContainText('the last 365 days');
  await page.getByRole('button', { name: 'Inspector', exact: true }).click();
  await expect(page).toHaveURL(/~sort=inspector/);
  await page.getByRole('button', { name: 'Done', exact: true }).click({ modifiers: ['Shift'] });
  await expect(page).toHaveURL(/~sort=inspector&~sort=done_on/);
  await page.reload();
  await expect(page.getByRole('searchbox', { name: 'Find in this list' })).toHaveValue('failed');
  await expect(chips).toContainText('the last 365 days');
  await page.getByRole('searchbox', { name: 'Find in this list' }).fill('no such words');
  await expect(page.getByText('Nothing here fits.')).toBeVisible();
  await page.goBack();
  await expect(page.getByRole('row').nth(1)).toContainText('failed');
});

test('a list is found again as it was left: scrolled, with its row chosen', async ({ page }) => {
  await use(page, 'sela', '/inspections');
  const list = page.getByRole('region', { name: 'Inspections' });
  await answered(page, /\/look$/, () => list.evaluate((e) => e.scrollTo(0, 2400)));
  await expect.poll(() => list.evaluate((e) => e.scrollHeight)).toBeGreaterThan(3000);
  const row = page.getByRole('row').nth(12);
  const words = await row.getByRole('link').textContent();
  const cabin = await row.getByRole('cell').nth(1).textContent();
  await row.getByRole('link').click();
  await expect(heading(page)).toHaveText(`Inspection of cabin ${cabin}`);
  await page.goBack();
  const again = page.getByRole('row', { name: new RegExp(`^${words} ${cabin}`) }).first();
  await expect(again).toBeInViewport();
  await expect(again).toHaveAttribute('aria-current', 'true');
});

test('several rows at once, all or none; a view that one keeps; the list as a file', async ({ page }) => {
  await use(page, 'sela', '/defects?~filter.state=in:open');
  const rows = page.getByRole('row');
  const first = await rows.nth(1).getByRole('link').textContent();
  await rows.nth(1).getByRole('checkbox').check();
  await rows.nth(2).getByRole('checkbox').check();
  const bar = page.getByRole('toolbar', { name: 'Chosen rows' });
  await expect(bar).toContainText('2 chosen');
  await bar.getByRole('button', { name: 'Take on' }).click();
  await expect(page.getByRole('status')).toContainText('Done with 2 defects');
  await expect(page.getByRole('row', { name: new RegExp(`${first}`) })).toHaveCount(0); // it is not open any more
  await expect(bar).toHaveCount(0);

  await page.getByRole('button', { name: /^kept lists/ }).click();
  await page.getByRole('textbox', { name: 'Name of the kept list' }).fill('Open ones');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Open ones', exact: true })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Clear State' }).click();
  await expect(page).toHaveURL(/\/defects$/);
  await page.getByRole('button', { name: /kept lists \(1\)/ }).click();
  await page.getByRole('button', { name: 'Open ones', exact: true }).click();
  await expect(page).toHaveURL(/~filter.state=in/);
  await page.getByRole('button', { name: /kept lists \(1\)/ }).click();
  await page.getByRole('button', { name: 'Remove Open ones' }).click();
  await expect(page.getByRole('button', { name: 'Open ones', exact: true })).toHaveCount(0);
  await page.keyboard.press('Escape');

  const file = page.waitForEvent('download');
  await page.getByRole('link', { name: 'as CSV file' }).click();
  const csv = await (await file).createReadStream();
  let text = '';
  for await (const chunk of csv) text += chunk;
  expect(text.split('\r\n')[0]).toBe('Code,What,Cabin,Component,Severity,State,Assigned to,Due');
  expect(text).not.toContain('assigned');
});

test('column widths are kept; a list by keyboard alone', async ({ page }) => {
  await use(page, 'sela', '/parts');
  const edge = page.getByRole('separator', { name: 'Width of Name' });
  const before = Number(await edge.getAttribute('aria-valuenow'));
  await edge.focus();
  for (let i = 0; i < 7; i++) await page.keyboard.press('ArrowRight');
  await answered(page, /\/views\//, () => page.keyboard.press('ArrowRight'));
  await expect(edge).not.toHaveAttribute('aria-busy', 'true'); // until then one is still being kept
  await expect.poll(async () => Number(await edge.getAttribute('aria-valuenow'))).toBeGreaterThan(before + 4);
  const wide = await edge.getAttribute('aria-valuenow');
  await page.reload();
  await expect(edge).toHaveAttribute('aria-valuenow', wide ?? '');
  const list = page.getByRole('region', { name: 'Parts' });
  await list.focus();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowDown');
  await expect(page.getByRole('row').nth(2)).toHaveAttribute('aria-current', 'true');
  await page.keyboard.press('Enter');
  await expect(heading(page)).toHaveText('Part P-107');
  // Alt and the arrows go along the trail.
  await page.keyboard.press('Alt+ArrowLeft');
  await expect(heading(page)).toHaveText('Parts in store');
  await page.keyboard.press('Alt+ArrowRight');
  await expect(heading(page)).toHaveText('Part P-107');
  await page.keyboard.press('Alt+ArrowUp');
  await expect(heading(page)).toHaveText('Parts in store');
  await page.keyboard.press('Alt+Home');
  await expect(heading(page)).not.toHaveText('Parts in store');
});
