import { expect, test } from './program';
import { answered, build, sentence, stage, undoAll } from './people';

const at = (id: string) => `[data-element="${id}"]`;

test('elements are found by typing into an empty cell, their parts edited, their first way given', async ({ page }) => {
  await build(page, 's_wboard', 'Mira Holt, technician');
  await page.getByRole('button', { name: /^Add something in row \d+, column 1$/ }).last().click();
  await page.getByRole('combobox', { name: 'What goes here' }).fill('chart defects severity');
  await page.keyboard.press('Enter');
  await expect(stage(page).getByText('Defects by severity')).toBeVisible();
  const look = page.getByRole('tabpanel', { name: 'Look' });
  await look.getByLabel('For each').selectOption({ label: 'State' });
  await look.getByLabel('Label', { exact: true }).fill('Defects by state');
  await page.keyboard.press('Enter');
  await expect(stage(page).getByText('Defects by state')).toBeVisible();
  await expect(stage(page).locator('[data-element]').filter({ hasText: 'Defects by state' }).getByText('assigned').first()).toBeVisible();
  await page.getByLabel('Which of its ways').selectOption({ label: '+ when a point is chosen' });
  await page.getByRole('combobox', { name: 'Where it leads' }).fill('defects list');
  await page.keyboard.press('Enter');
  await expect(sentence(page)).toContainText('open Defects');

  // A list of it below, whose columns and order are chosen.
  await page.getByRole('button', { name: /^Add something in row \d+, column 1$/ }).last().click();
  await page.getByRole('combobox', { name: 'What goes here' }).fill('list parts');
  await page.keyboard.press('Enter');
  await expect(sentence(page)).toContainText('open Part'); // it is there, with its way: the tabs do not move any more
  await page.getByRole('tab', { name: 'Look' }).click();
  await look.getByLabel('Label', { exact: true }).fill('All parts');
  await page.keyboard.press('Enter');
  await expect(stage(page).getByText('All parts')).toBeVisible();
  await look.getByLabel('Add an order').selectOption({ index: 2 });
  await expect(look.getByRole('button', { name: 'Remove this order' })).toHaveCount(1);
  await page.locator('[data-stage] [data-sheet]').click({ position: { x: 2, y: 2 } });
  await page.keyboard.press('Escape'); // nothing is chosen any more, and the screen itself is told of
  await expect(page.getByRole('region', { name: 'This screen' })).toBeVisible();
  await undoAll(page);
});

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

test('screens are listed, made for a purpose, set, copied and removed; everything is found by its words', async ({ page }) => {
  await build(page, 's_wboard', 'Mira Holt, technician');
  await page.keyboard.press('Control+b');
  const list = page.getByRole('complementary', { name: 'Screens' });
  await expect(list.getByRole('button', { name: /^Workshop board .*ways in/ })).toHaveAttribute('aria-current', 'page');
  await list.getByRole('searchbox').fill('choose cab');
  await expect(list.getByRole('button', { name: /ways in/ })).toHaveCount(1);
  await list.getByRole('button', { name: '+ a new screen' }).click();
  const made = page.getByRole('dialog', { name: 'A new screen' });
  await made.getByLabel('What it is for').selectOption('dashboard');
  await made.getByLabel('Of which table').selectOption({ label: 'Stops' });
  await made.getByLabel('Its name').fill('Why it stood');
  await made.getByRole('button', { name: 'Make it' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Why it stood' }).first()).toBeVisible();
  await expect(stage(page).getByText('Stops by cause')).toBeVisible();

  await page.getByRole('tab', { name: 'Settings' }).click();
  const about = page.getByRole('region', { name: 'This screen' });
  await about.getByLabel('Area').fill('Line');
  await page.keyboard.press('Enter');
  await about.getByLabel('Address ends in').fill('Why did it stand?');
  await page.keyboard.press('Enter');
  await expect(about.getByLabel('Address ends in')).toHaveValue('why-did-it-stand');
  await about.getByRole('button', { name: 'Copy this screen' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Why it stood, copy' }).first()).toBeVisible();
  await list.getByRole('searchbox').fill('');
  await expect(list.getByRole('region', { name: 'Line' }).getByRole('button', { name: /^Why it stood/ })).toHaveCount(2);
  await page.getByRole('tab', { name: 'Settings' }).click();
  await about.getByRole('button', { name: 'Remove this screen' }).click();
  await expect(page.getByRole('dialog', { name: 'Remove this screen' })).toContainText('Nothing leads to “Why it stood, copy”');
  await page.getByRole('button', { name: 'Remove it' }).click();
  await expect(list.getByRole('button', { name: /^Why it stood/ })).toHaveCount(1);

  await page.keyboard.press('Control+k');
  await page.getByRole('combobox', { name: 'Find a screen or table' }).fill('stops by cause');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'The chosen way' })).toContainText('a point of the chart');
  await page.keyboard.press('Control+k');
  await page.getByRole('combobox', { name: 'Find a screen or table' }).fill('the keys');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toContainText('move the chosen element by a cell');
  await page.keyboard.press('Escape');
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

test('a chart is drawn in several ways, and is a table too', async ({ page }) => {
  await build(page, 's_bycomp', 'Mira Holt, technician');
  await page.getByRole('button', { name: /^Add something in row \d+, column 1$/ }).last().click();
  // Enter is not lost on who types faster than the program answers.
  await page.route('**/cells', (route) => setTimeout(() => void route.continue(), 700));
  await page.getByRole('combobox', { name: 'What goes here' }).fill('chart stops cause');
  await page.keyboard.press('Enter');
  const made = stage(page).locator('[data-element]').filter({ hasText: 'Stops by cause' });
  await expect(made.getByText('wind').first()).toBeVisible();
  await page.getByRole('tab', { name: 'Look' }).click();
  const look = page.getByRole('tabpanel', { name: 'Look' });
  await look.getByLabel('Drawn as').selectOption({ label: 'shares of one bar' });
  await expect(made.getByRole('button', { name: /^wind \d+ \d+ %$/ })).toBeVisible();
  await look.getByLabel('Drawn as').selectOption({ label: 'a line' });
  await expect(made.locator('polyline')).toHaveCount(1);
  await made.getByRole('button', { name: 'as a table' }).click();
  await expect(made.getByRole('row', { name: /^wind \d+$/ })).toBeVisible();
  await made.getByRole('button', { name: 'as a drawing' }).click();
  await look.getByLabel('Drawn as').selectOption({ label: 'a table' });
  await expect(made.getByRole('row', { name: /^wind \d+$/ })).toBeVisible();

  // Dots have a second measure and a third; counted by something else, it narrows its screen by that.
  await look.getByLabel('Drawn as').selectOption({ label: 'dots, by two measures' });
  await look.getByLabel('Higher by', { exact: true }).selectOption({ label: 'the average of' });
  await look.getByLabel('How large').selectOption({ label: 'by a measure' });
  await expect(made.getByRole('button', { name: /^wind: stops \d+, average length, m [\d.,]+, stops \d+$/ })).toBeVisible();
  await look.getByLabel('Drawn as').selectOption({ label: 'bars' });
  await page.getByRole('button', { name: /^Add something in row \d+, column 1$/ }).last().click();
  await page.getByRole('combobox', { name: 'What goes here' }).fill('chart defects severity');
  await page.keyboard.press('Enter');
  await expect(stage(page).getByText('Defects by severity', { exact: true })).toBeVisible();
  await page.getByRole('tab', { name: 'Look' }).click();
  await look.getByLabel('For each').selectOption({ label: 'Hours' });
  await look.getByLabel('In ranges of').fill('2');
  await page.keyboard.press('Enter');
  await expect(stage(page).getByRole('button', { name: /^2 to 4: \d+/ })).toBeVisible();
  await page.getByRole('tab', { name: 'Way' }).click();
  await expect(sentence(page)).toContainText('hours below the end of the chosen point');

  // A picture is put by dropping its file; what is none is refused where it fell.
  const dropped = (name: string, type: string, base64: string) =>
    page.evaluateHandle(
      ([n, t, b]) => {
        const files = new DataTransfer();
        files.items.add(new File([Uint8Array.from(atob(b), (c) => c.charCodeAt(0))], n, { type: t }));
        return files;
      },
      [name, type, base64] as const,
    );
  await stage(page).dispatchEvent('drop', { dataTransfer: await dropped('notes.txt', 'text/plain', 'aGVsbG8=') });
  await expect(page.getByRole('alert')).toContainText('Only pictures and clips can be put here.');
  await stage(page).dispatchEvent('drop', { dataTransfer: await dropped('none.webm', 'video/webm', 'aGVsbG8=') });
  await expect(page.getByRole('alert')).toContainText('This file is no clip that can be played.');
  // One of more than 20 MB is made smaller before it is sent.
  const huge = await page.evaluateHandle(async () => {
    const canvas = Object.assign(document.createElement('canvas'), { width: 2600, height: 2200 });
    const brush = canvas.getContext('2d');
    const noise = brush?.createImageData(2600, 2200);
    for (let i = 0; noise && i < noise.data.length; i += 65_536) crypto.getRandomValues(noise.data.subarray(i, i + 65_536));
    if (noise) brush?.putImageData(noise, 0, 0);
    const png = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/png'));
    const files = new DataTransfer();
    if (png) files.items.add(new File([png], 'huge.png', { type: 'image/png' }));
    if (!png || png.size < 20_000_000) throw new Error(`it has ${png?.size} bytes`);
    return files;
  });
  await answered(page, /\/pictures$/, () => stage(page).dispatchEvent('drop', { dataTransfer: huge }));
  await expect(stage(page).locator('img.image')).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(stage(page).locator('img.image')).toHaveCount(0);
  await stage(page).dispatchEvent('drop', { dataTransfer: await dropped('none.png', 'image/png', 'aGVsbG8=') });
  await expect(page.getByRole('alert')).toContainText('This file is no picture that can be shown.');
  const scripted = Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>').toString('base64');
  await stage(page).dispatchEvent('drop', { dataTransfer: await dropped('bad.svg', 'image/svg+xml', scripted) });
  await expect(page.getByRole('alert')).toContainText('without scripts and links');
  const dot = 'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==';
  await stage(page).dispatchEvent('drop', { dataTransfer: await dropped('red dot.png', 'image/png', dot) });
  await look.getByLabel('What it shows').fill('A red dot');
  await page.keyboard.press('Enter');
  await expect(stage(page).getByRole('img', { name: 'A red dot' })).toBeAttached();
  await undoAll(page);
});

test('records on a picture narrow the screen; a text has links that are ways; a list stands under headings', async ({ page }) => {
  await build(page, 's_bycomp', 'Sela Brandt, shift lead');
  const put = async (words: string) => {
    await page.getByRole('button', { name: /^Add something in row \d+, column 1$/ }).last().click();
    await page.getByRole('combobox', { name: 'What goes here' }).fill(words);
    await page.keyboard.press('Enter');
    await expect(page.getByRole('combobox', { name: 'What goes here' })).toHaveCount(0);
  };
  const lookTab = async () => {
    await page.getByRole('tab', { name: 'Look' }).click();
    return page.getByRole('tabpanel', { name: 'Look' });
  };
  await put('site plan cabins');
  let look = await lookTab();
  for (const [edge, value] of [['right', '3'], ['lower', '60000']] as const) {
    await look.getByLabel(`At the ${edge} edge`).fill(value);
    await page.keyboard.press('Enter');
  }
  const site = stage(page).locator('[data-element]').filter({ hasText: /as a (list|picture)/ }).last();
  await expect(site.locator('.site-point').nth(30)).toBeAttached(); // as their numbers lie on it now
  await put('list defects');
  const list = stage(page).locator('[data-element]').filter({ has: page.getByRole('columnheader', { name: 'Code' }) }).last();
  await expect(list).toBeVisible();
  look = await lookTab();
  await look.getByLabel('Under headings by').selectOption({ label: 'State' });
  await expect(list.getByRole('rowheader', { name: /^assigned \d+$/ })).toBeVisible();
  await look.getByRole('button', { name: /^More of the column Code/ }).click();
  await page.getByRole('dialog', { name: 'The column Code' }).getByLabel('At the foot').selectOption({ label: 'how many' });
  const foot = list.locator('tfoot');
  await expect(foot).toContainText(/how many \d+/);
  const all = await foot.innerText();
  await page.keyboard.press('Escape');

  // A point that is pressed narrows the rest, by mouse or from the list of points; pressed again it shows all.
  await site.getByRole('button', { name: 'as a list' }).click();
  await site.getByRole('button', { name: 'as a list' }).click();
  await site.getByRole('button', { name: '087', exact: true }).click();
  await expect(site.getByText('only 087')).toBeVisible();
  await expect.poll(() => foot.innerText()).not.toBe(all);
  await site.getByRole('button', { name: 'show all' }).click();
  await expect.poll(() => foot.innerText()).toBe(all);

  await put('a text');
  await expect(stage(page).getByText('New text')).toBeVisible();
  await page.getByLabel('Which of its ways').selectOption({ label: '+ a link in it' });
  await page.getByRole('combobox', { name: 'Where it leads' }).fill('print');
  await page.getByRole('option', { name: /^print/ }).click();
  await expect(sentence(page)).toContainText('link');
  look = await lookTab();
  await look.getByLabel('Words', { exact: true }).fill('**Mind** the wear:\n\n- it is measured\n- see [the list](k_1)');
  await page.keyboard.press('Control+Enter');
  const text = stage(page).locator('[data-element]').filter({ hasText: 'Mind the wear' });
  await expect(text.getByRole('listitem')).toHaveCount(2);
  await expect(text.getByRole('link', { name: 'the list' })).toBeVisible();
  await expect(text.locator('strong')).toHaveText('Mind');
  await undoAll(page);
});

test('of two who drag the same element the second is told who was first', async ({ page, browser }) => {
  await build(page, 's_wboard', 'Mira Holt, technician');
  const other = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  await other.route('**/api/build/tarnhorn/events', (r) => r.abort()); // it does not hear of the first in time
  await build(other, 's_wboard', 'Mira Holt, technician');
  const cabins = (p: typeof page) => stage(p).locator('[data-element]').filter({ has: p.getByText('Cabins', { exact: true }) }).first();
  for (const p of [page, other]) await cabins(p).click({ position: { x: 80, y: 20 } });
  await other.route('**/api/build/tarnhorn', (r) => r.abort()); // nor by asking again when it gets the focus
  await answered(page, /\/edits$/, () => page.keyboard.press('Shift+ArrowLeft'));
  await other.keyboard.press('Shift+ArrowRight');
  await expect(other.getByText(/^Arno Vey changed this at/)).toBeVisible();
  await other.context().close();
  await undoAll(page);
});

test('what a screen of another application needs is chosen by chips', async ({ page }) => {
  await build(page, 's_part', 'Mira Holt, technician');
  await page.getByRole('button', { name: /^Add something in row \d+, column 1$/ }).last().click();
  await page.getByRole('combobox', { name: 'What goes here' }).fill('Orders elsewhere');
  await page.keyboard.press('Enter');
  await page.getByRole('combobox', { name: 'Where it leads' }).fill('what was ordered');
  await page.keyboard.press('Enter');
  await sentence(page).getByRole('button', { name: /^(which|any) part/ }).click();
  await page.getByRole('option', { name: /^its number|^its code/ }).click();
  await expect(sentence(page)).toContainText(/What was ordered of Tarnhorn Stores with part = its (number|code)/);
  await expect(stage(page).getByRole('button', { name: 'Orders elsewhere' })).not.toHaveAttribute('aria-disabled', 'true');
  await undoAll(page);
});

test('a clip is put by its file, and its end leads on', async ({ page }) => {
  await build(page, 's_wboard', 'Mira Holt, technician');
  // A second of film, drawn and recorded here.
  const film = await page.evaluateHandle(async () => {
    const canvas = Object.assign(document.createElement('canvas'), { width: 64, height: 36 });
    const brush = canvas.getContext('2d');
    const recorder = new MediaRecorder(canvas.captureStream(20), { mimeType: 'video/webm' });
    const parts: Blob[] = [];
    recorder.ondataavailable = (e) => parts.push(e.data);
    const over = new Promise((done) => (recorder.onstop = done));
    recorder.start();
    for (let i = 0; i < 20; i++) {
      brush?.fillRect(i * 3, 0, 3, 36);
      await new Promise((done) => setTimeout(done, 40));
    }
    recorder.stop();
    await over;
    const files = new DataTransfer();
    files.items.add(new File(parts, 'gate.webm', { type: 'video/webm' }));
    return files;
  });
  await stage(page).dispatchEvent('drop', { dataTransfer: film });
  const clip = stage(page).locator('video');
  await expect(clip).toBeVisible();
  await page.getByRole('tab', { name: 'Look' }).click();
  const look = page.getByRole('tabpanel', { name: 'Look' });
  await expect(look.getByRole('button', { name: 'clip: gate' })).toBeVisible();
  await look.getByLabel('Starts').selectOption({ label: 'by itself, without sound' });
  await page.getByLabel('Which of its ways').selectOption({ label: '+ when it was played to its end' });
  await page.getByRole('combobox', { name: 'Where it leads' }).fill('parts list');
  await page.keyboard.press('Enter');
  await expect(sentence(page)).toContainText('open Parts');
  await expect(sentence(page)).toContainText('played to its end');
  await clip.evaluate((v: HTMLVideoElement) => v.play());
  await expect(stage(page).getByRole('heading', { level: 1, name: 'Parts' })).toBeVisible();
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
    await page.getByRole('button', { name: /^Add something in row \d+, column 1$/ }).last().click();
    await page.getByRole('combobox', { name: 'What goes here' }).fill(words);
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
