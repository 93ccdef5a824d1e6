import { expect, test } from './program';
import { answered, build, intoCell, sentence, stage, undoAll } from './people';

const at = (id: string) => `[data-element="${id}"]`;

test('elements are dragged, made wider, stepped by keys, doubled and taken out; each is one step back', async ({ page }) => {
  await build(page, 's_wboard', 'Mira Holt, technician');
  const [cabins, parts] = ['Cabins', 'Parts'].map((name) => stage(page).locator('[data-element]').filter({ has: page.getByText(name, { exact: true }) }).first());
  const id = (await cabins?.getAttribute('data-element')) ?? '';
  const from = await cabins?.boundingBox();
  const to = await parts?.boundingBox();
  if (!from || !to) throw new Error('no place to drag to');
  await page.mouse.move(from.x + 80, from.y + 20);
  await page.mouse.down();
  await page.mouse.move(from.x + 120, from.y + 30, { steps: 4 });
  await page.mouse.move(to.x + 80, to.y + 20, { steps: 8 });
  await expect(page.getByRole('status').filter({ hasText: /row \d+, column 7, 6 wide; 1 goes down/ })).toBeVisible();
  await page.mouse.up();
  await expect.poll(async () => (await page.locator(at(id)).boundingBox())?.x).toBeCloseTo(to.x, 0);
  await expect(sentence(page)).toContainText('open Cabins'); // it is chosen, and was not pressed

  const width = async () => (await page.locator(at(id)).boundingBox())?.width ?? 0;
  const wide = await width();
  await page.keyboard.press('Shift+ArrowLeft');
  await expect.poll(width).toBeLessThan(wide - 30);
  const edge = await page.locator(`${at(id)} [data-edge=w]`).boundingBox();
  if (!edge) throw new Error('no edge to drag');
  await page.mouse.move(edge.x + 3, edge.y + 8);
  await page.mouse.down();
  await page.mouse.move(edge.x - 120, edge.y + 8, { steps: 6 });
  await page.mouse.up();
  await expect.poll(width).toBeLessThan(wide - 140);
  const undo = page.getByRole('banner').getByRole('button', { name: 'Undo' });
  await undo.click();
  await expect.poll(width).toBeGreaterThan(wide - 120);

  await page.keyboard.press('Control+d');
  const all = stage(page).locator('[data-element]').filter({ has: page.getByText('Cabins', { exact: true }) });
  await expect(all).toHaveCount(2);
  await page.keyboard.press('Delete');
  await expect(all).toHaveCount(1);
  await page.locator(at(id)).click({ position: { x: 60, y: 10 } });
  await page.keyboard.press('Control+c');
  await page.goto('/build/tarnhorn/screen/s_lboard');
  await expect(page.getByRole('banner').getByRole('button', { name: 'Undo' })).toBeVisible();
  await stage(page).locator('[data-element]').first().click();
  await page.keyboard.press('Control+v');
  await expect(sentence(page)).toContainText('open Cabins');
  await undoAll(page);
});

test('several at once: as wide as each other, side by side, a strip on all screens that marks where one is', async ({ page }) => {
  await build(page, 's_wboard', 'Mira Holt, technician');
  const sign = (name: string) => stage(page).locator('[data-element]').filter({ has: page.getByText(name, { exact: true }) }).first();
  await sign('Inspections').click({ position: { x: 80, y: 20 } });
  await sign('Parts').click({ position: { x: 80, y: 20 }, modifiers: ['Shift'] });
  const panel = page.getByRole('region', { name: 'The chosen way' });
  await expect(panel).toContainText('2 elements chosen');
  await sign('Cabins').click({ position: { x: 80, y: 20 }, modifiers: ['Shift'] });
  await expect(panel).toContainText('3 elements chosen');
  // The same by a frame that is drawn over them, from where nothing stands.
  await page.keyboard.press('Escape');
  const [first, last] = [await sign('Inspections').boundingBox(), await sign('Cabins').boundingBox()];
  if (!first || !last) throw new Error('no signs to draw a frame over');
  const under = Math.max(first.y + first.height, last.y + last.height);
  const edge = Math.min(first.x, last.x);
  await page.mouse.move(edge - 10, Math.min(first.y, last.y) + 4);
  await page.mouse.down();
  await page.mouse.move(edge + 40, under - 20, { steps: 4 });
  await page.mouse.move(Math.max(first.x + first.width, last.x + last.width) - 8, under - 6, { steps: 6 });
  await page.mouse.up();
  await expect(panel).toContainText(/\d+ elements chosen/);
  await page.keyboard.press('Escape');
  await sign('Inspections').click({ position: { x: 80, y: 20 } });
  for (const name of ['Parts', 'Cabins']) await sign(name).click({ position: { x: 80, y: 20 }, modifiers: ['Shift'] });
  await panel.getByRole('button', { name: 'side by side, spread evenly' }).click();
  await expect.poll(async () => (await sign('Parts').boundingBox())?.y).toBe((await sign('Cabins').boundingBox())?.y);
  const [a, b] = [await sign('Parts').boundingBox(), await sign('Inspections').boundingBox()];
  expect(a?.width).toBeCloseTo(b?.width ?? 0, 0);
  await panel.getByRole('button', { name: 'put on all screens, as a strip below' }).click();
  const strip = stage(page).getByRole('navigation', { name: 'Strip' });
  await expect(strip.getByText('Inspections')).toBeVisible();
  await page.goto('/build/tarnhorn/screen/s_parts');
  await expect(strip.locator('[aria-current]')).toContainText('Parts');
  await undoAll(page);
});

test('of two who drag the same element the second is told who was first', async ({ page, browser }) => {
  await build(page, 's_wboard', 'Mira Holt, technician');
  const other = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  await other.route(/\/api\/build\/tarnhorn\/events\b/, (r) => r.abort()); // it does not hear of the first in time
  await build(other, 's_wboard', 'Mira Holt, technician');
  const cabins = (p: typeof page) => stage(p).locator('[data-element]').filter({ has: p.getByText('Cabins', { exact: true }) }).first();
  for (const p of [page, other]) await cabins(p).click({ position: { x: 80, y: 20 } });
  await other.route(/\/api\/build\/tarnhorn(\?|$)/, (r) => r.abort()); // nor by asking again when it gets the focus
  await answered(page, /\/edits$/, () => page.keyboard.press('Shift+ArrowLeft'));
  await other.keyboard.press('Shift+ArrowRight');
  await expect(other.getByText(/^Arno Vey changed this at/)).toBeVisible();
  await other.context().close();
  await undoAll(page);
});

test('one for all: moved on other forms too, wired like another, behind “more” where it is narrow', async ({ page }) => {
  await build(page, 's_wboard', 'Sela Brandt, shift lead');
  for (const [table, name] of [['Components', 'One component'], ['Parts used', 'One part used']] as const) {
    await page.keyboard.press('Control+b');
    await page.getByRole('button', { name: '+ a new screen' }).click();
    const made = page.getByRole('dialog', { name: 'A new screen' });
    await made.getByLabel('What it is for').selectOption({ label: 'a form for one of …' });
    await made.getByLabel('Of which table').selectOption({ label: table });
    await made.getByLabel('Its name').fill(name);
    await made.getByRole('button', { name: 'Make it' }).click();
    await expect(page.getByRole('heading', { name, exact: true }).first()).toBeVisible();
    await page.keyboard.press('Control+b');
  }
  const edit = stage(page).locator('[data-element]').filter({ has: page.getByRole('button', { name: 'Edit', exact: true }) }).first();
  const left = async () => (await edit.boundingBox())?.x ?? 0;
  await expect(edit).toBeVisible();
  const before = await left();
  await edit.click({ position: { x: 10, y: 6 } });
  await page.keyboard.press('ArrowRight');
  await expect(page.getByText('The same stands in that place on one other screen.')).toBeVisible();
  await page.keyboard.press('ArrowRight');
  await expect.poll(left).toBeGreaterThan(before + 100); // two steps, however fast they came
  const moved = await left();
  await page.getByRole('button', { name: 'move it there too' }).click();
  await page.keyboard.press('Control+b');
  await page.getByRole('complementary', { name: 'Screens' }).getByRole('button', { name: /^One component/ }).click();
  await page.keyboard.press('Control+b');
  await expect.poll(left).toBeCloseTo(moved, 0);

  // Its wiring, for two others at once.
  await edit.click({ position: { x: 10, y: 6 } });
  await page.getByRole('button', { name: 'copy, paste, remove' }).click();
  await page.getByRole('button', { name: 'copy its wiring' }).click();
  for (const words of ['Change it', 'Correct it']) {
    await intoCell(page.getByRole('button', { name: /^Add something in row \d+, column 1$/ }).last(), words);
    await page.getByRole('option', { name: `a button “${words}”` }).click();
    await expect(page.getByRole('combobox', { name: 'Where it leads' })).toBeVisible();
    await page.keyboard.press('Escape'); // both get their target below
  }
  const put = (words: string) => stage(page).locator('[data-element]').filter({ hasText: words }).first();
  await put('Change it').click({ position: { x: 10, y: 6 } });
  await put('Correct it').click({ position: { x: 10, y: 6 }, modifiers: ['Shift'] });
  await page.getByRole('button', { name: /^paste the wiring of/ }).click();
  await page.keyboard.press('Escape');
  await put('Correct it').click({ position: { x: 10, y: 6 } });
  await expect(sentence(page)).toContainText('edit');

  // On a tablet it is behind “more”, in its own place.
  await page.getByRole('tab', { name: 'Look' }).click();
  await page.getByRole('tabpanel', { name: 'Look' }).getByLabel('Behind “more”').selectOption({ label: 'on a tablet, too' });
  await page.getByLabel('Width of the screen').selectOption({ label: '768 wide' });
  await expect(put('Correct it')).toBeHidden();
  await stage(page).getByRole('button', { name: '1 more' }).click();
  await expect(put('Correct it')).toBeVisible();
  await undoAll(page);
});
