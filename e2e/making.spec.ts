import { expect, test } from './program';
import { answered, build, intoCell, sentence, stage, undoAll } from './people';

test('elements are found by typing into an empty cell, their parts edited, their first way given', async ({ page }) => {
  await build(page, 's_wboard', 'Mira Holt, technician');
  await intoCell(page.getByRole('button', { name: /^Add something in row \d+, column 1$/ }).last(), 'chart defects severity');
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
  await intoCell(page.getByRole('button', { name: /^Add something in row \d+, column 1$/ }).last(), 'list parts');
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
  await intoCell(page.getByRole('button', { name: /^Add something in row \d+, column 1$/ }).last(), 'chart defects severity');
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
    const png = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/png'));
    const files = new DataTransfer();
    // What follows the end of a picture is not drawn: it is large, and does not take long.
    if (png) files.items.add(new File([png, new Uint8Array(20_000_000)], 'huge.png', { type: 'image/png' }));
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
    await intoCell(page.getByRole('button', { name: /^Add something in row \d+, column 1$/ }).last(), words);
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

test('what a screen of another application needs is chosen by chips', async ({ page }) => {
  await build(page, 's_part', 'Mira Holt, technician');
  await intoCell(page.getByRole('button', { name: /^Add something in row \d+, column 1$/ }).last(), 'Orders elsewhere');
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

test('going down and being let go are two ways of one button; a tab that is opened is one', async ({ page }) => {
  await build(page, 's_wboard', 'Mira Holt, technician');
  const cell = () => page.getByRole('button', { name: /^Add something in row \d+, column 1$/ }).last();
  const lead = async (to: string) => {
    await page.getByRole('combobox', { name: 'Where it leads' }).fill(to);
    await page.keyboard.press('Enter');
  };
  await intoCell(cell(), 'Look in');
  await page.getByRole('option', { name: 'a button “Look in”' }).click();
  await lead('parts list');
  await expect(sentence(page)).toContainText('open Parts');
  await page.getByLabel('Which of its ways').selectOption({ label: '+ when it goes down, apart from when it is let go' });
  await lead('print');
  await expect(sentence(page)).toContainText('When pressed down');
  await expect(page.getByText('For Mira Holt: print.')).toBeVisible(); // the screen is drawn anew before it is pressed
  // It goes down, which is told at once, and is let go. The list above it has its rows anew by then, and has moved nothing.
  const button = stage(page).getByRole('button', { name: 'Look in' });
  await button.hover();
  await answered(page, /\/practise$/, () => page.mouse.down(), '"trigger":"down"');
  await expect(stage(page).getByRole('heading', { level: 1, name: 'Workshop board' })).toBeVisible();
  await page.mouse.up();
  await expect(stage(page).getByRole('heading', { level: 1, name: 'Parts' })).toBeVisible();

  await page.goto('/build/tarnhorn/screen/s_wboard');
  await intoCell(cell(), 'tabs');
  await page.keyboard.press('Enter');
  await page.getByLabel('Which of its ways').selectOption({ label: '+ when the tab “Second” is opened' });
  await lead('cabins list');
  await expect(sentence(page)).toContainText('the tab “Second” is opened');
  await expect(sentence(page)).toContainText('open Cabins');
  await stage(page).getByRole('tab', { name: 'Second' }).click();
  await expect(stage(page).getByRole('heading', { level: 1, name: 'Cabins' })).toBeVisible();
  await undoAll(page);
});
