import { expect, test } from './program';
import { build, heading, intoCell, signIn, undoAll, use } from './people';
import { sound } from './sound';

// Every text of many screens is computed twice: at a third of a machine's speed that takes minutes. As they only look,
// they are gone through side by side.
test.describe.configure({ mode: 'parallel', timeout: 600_000 });

test('no serious barrier on a board, a list, a form, a dashboard and an operator screen', async ({ page }) => {
  await use(page, 'sela', '/day');
  for (const [address, title] of [
    ['/workshop', 'Workshop board'],
    ['/defects?cabin=87', 'Defects'],
    ['/defect?defect=107&~mode=edit', 'Defect D-2107'],
    ['/defects-by-component', 'Defects by component'],
    ['/drive-room?lift=1', 'Upper Tarn, drive room'],
    ['/line-overview', 'Line overview'],
  ] as const) {
    await page.goto(`/use/tarnhorn${address}`);
    await expect(heading(page)).toHaveText(title);
    await sound(page);
  }
});

test('no serious barrier in a long list at work, rows in place, dialogs and drawers', async ({ page }) => {
  await use(page, 'sela', '/defects');
  await page.getByRole('row').nth(1).getByRole('checkbox').check();
  await page.getByRole('button', { name: 'Filter State' }).click();
  await sound(page);
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: /^kept lists/ }).click();
  await sound(page);
  await page.goto('/use/tarnhorn/inspections');
  await page.getByRole('row').nth(1).getByRole('link').click();
  await page.getByRole('button', { name: 'Change Jaw wear, mm' }).click();
  await sound(page);
  await page.keyboard.press('Escape');
  await page.getByRole('link', { name: /^\d{3}$/ }).click();
  await expect(page.getByRole('dialog', { name: /^Cabin/ })).toBeVisible();
  await sound(page);
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Delete' }).click();
  await expect(page.getByRole('alertdialog')).toBeVisible();
  await sound(page);
  await page.keyboard.press('Escape');
  // A menu whose items are still asked for, too.
  let arrive = () => {};
  const asked = new Promise<void>((go) => (arrive = go));
  await page.route('**/places?*', async (route) => {
    await asked;
    await route.continue();
  });
  await page.getByRole('button', { name: 'Places you have been at' }).click();
  await expect(page.getByRole('menuitem', { name: 'Looking …' })).toBeVisible();
  await sound(page);
  arrive();
  await expect(page.getByRole('menuitem', { name: 'here' })).toBeVisible();
  await sound(page);
});

test('no serious barrier in build', async ({ page }) => {
  await build(page, 's_cabin', 'Mira Holt, technician', '087');
  await page.locator('[data-stage]').getByRole('button', { name: 'Edit' }).click();
  await expect(page.getByText('Open now')).toBeVisible();
  await sound(page);
  for (const [view, there] of [
    ['map/s_defects', '[data-plate=s_defects][data-chosen=true]'],
    ['reach/s_drive~r_office', '[data-chosen=true]'],
    ['findings', 'article'],
    ['walks', 'ol li'],
  ]) {
    await page.goto(`/build/tarnhorn/${view}`);
    await page.locator(there ?? '').first().waitFor();
    await sound(page);
  }
});

test('no serious barrier in the rights, the row builder, a text with an error, and one’s own page', async ({ page }) => {
  test.slow(); // nine pages, each looked through
  await build(page, 's_defect', 'Mira Holt, technician', 'D-2107');
  for (const item of ['tables', 'screens', 'roles', 'conditions', 't_cabins']) {
    await page.goto(`/build/tarnhorn/data/${item}`);
    await expect(heading(page)).toBeVisible();
    await sound(page);
  }
  await page.goto('/build/tarnhorn/screen/s_defect');
  await page.locator('[data-stage]').getByRole('button', { name: 'Edit' }).click({ force: true });
  await page.getByRole('tabpanel', { name: 'Way' }).getByRole('button', { name: 'state is not “closed”' }).click();
  await page.getByRole('button', { name: '+ group' }).click();
  await sound(page);
  await page.getByRole('button', { name: 'as text' }).click();
  await page.getByLabel('Condition as text').fill('stat == "open"');
  await expect(page.getByRole('alert')).toBeVisible();
  await sound(page);
  await page.goto('/me');
  await expect(page.getByText('Change your password')).toBeVisible();
  await sound(page);
});

test('lists and forms work at a width of 390', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await use(page, 'mira');
  await page.getByRole('link', { name: /My open defects/ }).click();
  await expect(heading(page)).toHaveText('Defects');
  await page.getByRole('link', { name: 'D-2107' }).click();
  await expect(heading(page)).toHaveText('Defect D-2107');
  await page.getByRole('link', { name: 'Edit' }).click();
  await page.getByLabel('Reported by').fill('Tomas Lind');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('Tomas Lind')).toBeVisible();
  const wide = await page.evaluate(() => document.documentElement.scrollWidth);
  expect(wide).toBeLessThanOrEqual(390);
});

test('a defect is reported, edited and closed at a width of 390, by keyboard alone', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await use(page, 'mira', '/cabin?cabin=30');
  await expect(heading(page)).toBeFocused();
  const to = async (reach: () => Promise<boolean>) => {
    for (let i = 0; i < 60; i++) {
      if (await reach()) return;
      await page.keyboard.press('Tab');
    }
    throw new Error('it was not reached by Tab');
  };
  const words = (w: RegExp) => to(async () => w.test((await page.evaluate(() => document.activeElement?.textContent)) ?? ''));
  const field = (label: string) =>
    to(async () => page.getByLabel(label).evaluate((e) => e === document.activeElement));
  await words(/^Report a defect$/);
  await page.keyboard.press('Enter');
  await expect(heading(page)).toHaveText('New defect');
  await field('What *');
  await page.keyboard.type('Bench slat loose');
  await field('Severity *');
  await page.keyboard.type('medium');
  await field('State *');
  await page.keyboard.type('open');
  await field('Component *');
  await page.keyboard.type('Seats');
  await expect(page.getByRole('option', { name: 'Seats and floor' })).toBeVisible();
  await page.keyboard.press('Enter');
  await page.keyboard.press('Control+s');
  await expect(heading(page)).toHaveText(/^Defect D-/);
  await words(/^Edit$/);
  await page.keyboard.press('Enter');
  await field('Hours (h)');
  await page.keyboard.type('1.5');
  await page.keyboard.press('Enter');
  await expect(page.getByText('1.5 h')).toBeVisible();
  await words(/^Take it on$/);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'Close it' })).not.toHaveAttribute('aria-disabled', 'true');
  await words(/^Close it$/);
  await page.keyboard.press('Enter');
  await to(async () => page.getByRole('button', { name: 'Yes' }).evaluate((e) => e === document.activeElement));
  await page.keyboard.press('Enter');
  await expect(heading(page)).toHaveText('Cabin 030');
  await page.keyboard.press('Alt+ArrowRight');
  await expect(heading(page)).toHaveText(/^Defect D-/);
  const edit = page.getByRole('button', { name: 'Edit' });
  await expect(edit).toHaveAttribute('aria-disabled', 'true');
  await edit.focus();
  await expect(page.getByText('Closed defects are read only.')).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});

test('by keyboard alone: from the board to the cabin and back', async ({ page }) => {
  await use(page, 'mira');
  await expect(heading(page)).toBeFocused();
  const tabTo = async (name: RegExp) => {
    for (let i = 0; i < 60; i++) {
      await page.keyboard.press('Tab');
      if (name.test((await page.evaluate(() => document.activeElement?.textContent)) ?? '')) return;
    }
    throw new Error(`${name} was not reached by Tab`);
  };
  await tabTo(/My open defects/);
  await page.keyboard.press('Enter');
  await expect(heading(page)).toHaveText('Defects');
  await expect(heading(page)).toBeFocused();
  await tabTo(/^D-2107$/);
  await page.keyboard.press('Enter');
  await expect(heading(page)).toHaveText('Defect D-2107');
  await tabTo(/^Its cabin$/);
  await page.keyboard.press('Enter');
  await expect(heading(page)).toHaveText('Cabin 087');
  await page.goBack();
  await expect(heading(page)).toHaveText('Defect D-2107');
});

test('a link to a screen opens in a new tab with a trail of its own', async ({ page, context }) => {
  await use(page, 'mira', '/defect?defect=107');
  await expect(heading(page)).toHaveText('Defect D-2107');
  const opened = context.waitForEvent('page');
  await page.getByRole('link', { name: 'Its cabin' }).click({ modifiers: ['Control'] });
  const other = await opened;
  await expect(heading(other)).toHaveText('Cabin 087');
  await expect(heading(page)).toHaveText('Defect D-2107');
  await other.getByRole('button', { name: 'Back', exact: true }).click(); // nothing behind it: up
  await expect(heading(other)).toHaveText('Cabins');
});

test('no serious barrier for who runs the program', async ({ page }) => {
  await signIn(page, 'nora');
  for (const [address, title] of [
    ['/', 'Applications'],
    ['/connections', 'Connections'],
    ['/people', 'People'],
    ['/displays', 'Displays'],
    ['/new', 'New application'],
    ['/log', 'Log'],
  ] as const) {
    await page.goto(address);
    await expect(heading(page)).toHaveText(title);
    await sound(page);
  }
  await page.goto('/people');
  await page.getByRole('button', { name: 'Mira Holt' }).click();
  await sound(page);
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Add people' }).click();
  await page.getByRole('button', { name: 'Many, from a list' }).click();
  await sound(page);
  await page.goto('/connections');
  await page.getByRole('button', { name: 'Add a database' }).click();
  await sound(page);
  await page.goto('/new?over=tarnhorn');
  await page.getByRole('checkbox', { name: 'Take in tarnhorn.lifts' }).check();
  await expect(page.getByRole('region', { name: 'What will be made' })).toBeVisible();
  await sound(page);
  await page.goto('/join#nothing');
  await expect(page.getByRole('alert')).toContainText('does not hold any more');
  await page.goto('/first#nothing');
  await sound(page);
  await page.goto('/build/tarnhorn/data/application');
  await expect(page.getByLabel('Table of users')).toBeVisible();
  await sound(page);
  await page.goto('/build/tarnhorn/data/database');
  await expect(page.getByRole('list', { name: 'Not taken in' }).first()).toBeVisible();
  await sound(page);
});

test('no serious barrier where plants, equipment and tables are', async ({ page }) => {
  await signIn(page, 'nora');
  await page.goto('/connections');
  await page.getByRole('button', { name: 'Browse ropeway' }).click();
  await page.getByRole('button', { name: 'Ropeway', exact: true }).click();
  await page.getByRole('button', { name: 'UT', exact: true }).click();
  await page.getByRole('button', { name: 'wind', exact: true }).click();
  await expect(page.getByText(/m\/s now; a number, 0 to 60/)).toBeVisible();
  await page.getByRole('button', { name: 'Add a plant' }).click();
  await page.getByRole('button', { name: 'Try it' }).click();
  await expect(page.getByText('An address of OPC UA begins with opc.tcp://')).toBeVisible();
  await sound(page);
  await page.goto('/build/tarnhorn/data/plant');
  await page.getByRole('button', { name: 'Take in equipment' }).click();
  await page.getByRole('button', { name: 'The folders in Ropeway' }).click();
  await expect(page.getByText('3 of 3 folders belong to a record')).toBeVisible();
  await sound(page);
  await page.goto('/build/tarnhorn/data/t_defects');
  await page.getByRole('button', { name: 'What Severity is' }).click();
  await page.getByRole('button', { name: 'a dashboard' }).click();
  await expect(page.getByText('A chart of defects by severity.')).toBeVisible();
  await sound(page);
});

test('no serious barrier where screens are made', async ({ page }) => {
  await build(page, 's_bycomp', 'Sela Brandt, shift lead');
  await page.keyboard.press('Control+b');
  await page.getByRole('tab', { name: 'Settings' }).click();
  await sound(page);
  await page.getByRole('button', { name: '+ a new screen' }).click();
  await expect(page.getByRole('dialog', { name: 'A new screen' })).toBeVisible();
  await sound(page);
  await page.keyboard.press('Escape');
  await intoCell(page.getByRole('button', { name: /^Add something in row/ }).last(), 'number defects');
  await expect(page.getByRole('option', { name: 'number of defects' })).toBeVisible();
  await sound(page);
  await page.keyboard.press('Enter');
  await page.getByRole('tab', { name: 'Look' }).click();
  await sound(page);
  await page.locator('[data-stage] [data-sheet] [data-element]').first().click({ modifiers: ['Shift'], position: { x: 20, y: 5 } });
  await expect(page.getByText('2 elements chosen')).toBeVisible();
  await sound(page);
  await undoAll(page);
});
