import scxml from '@scion-scxml/scxml';
import { expect, test } from './program';
import { answered, signIn, stage, undoAll } from './people';

const views = (page: import('@playwright/test').Page) => page.getByRole('navigation', { name: 'Parts of the builder' });
const side = (page: import('@playwright/test').Page) => page.getByRole('region', { name: 'The chosen cell' });
const chosen = (page: import('@playwright/test').Page) => page.getByRole('region', { name: 'What is chosen' });

test('who gets into the drive room, how, and who must not; an expectation is broken by a wire, and the path is told', async ({ page }) => {
  await signIn(page, 'arno');
  await page.goto('/build/tarnhorn/screen/s_drive');
  await views(page).getByRole('button', { name: 'Reach' }).click();
  await page.getByRole('gridcell', { name: /^Operator, Drive room: in 1 press/ }).click();
  await expect(side(page).getByRole('list', { name: 'The shortest way there' })).toContainText('Drive room');
  await expect(side(page).getByRole('list', { name: 'The way back' })).toContainText('Home, in the strip');
  // By keyboard: to the cell of the office, which is shut, and why.
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('gridcell', { name: /^Office, Drive room: never/ })).toBeFocused();
  await expect(side(page)).toContainText('The screen is not for Office.');
  await expect(side(page).getByRole('note')).toContainText(['Kept: Visitor never reaches “Drive room”', 'Kept: Office never reaches']);
  // Why can nobody get to a screen, what two roles differ in.
  await page.getByLabel('Which screens').selectOption('where two differ');
  await page.getByLabel('The one').selectOption('Operator');
  await page.getByLabel('The other').selectOption('Visitor');
  await expect(page.getByRole('gridcell', { name: /^Visitor, Welcome: starts here/ })).toBeVisible();
  await page.getByLabel('Which screens').selectOption('all screens');
  // It is expected that no button leads visitors to the stops; then a wire is pulled there on the map.
  await page.getByRole('gridcell', { name: /^Visitor, Stops/ }).click();
  // Until its own side is there, what is chosen belongs to the cell before.
  await expect(side(page).getByRole('heading', { name: 'Stops' })).toBeVisible();
  await page.getByLabel('What is expected').selectOption('is led there by no button');
  await answered(page, /edits$/, () => page.getByRole('button', { name: 'Expect it' }).click());
  await expect(page.getByRole('gridcell', { name: /^Visitor, Stops: .*; as expected$/ })).toBeVisible();
  await views(page).getByRole('button', { name: 'Map' }).click();
  await page.getByLabel('For whom').selectOption('for all roles');
  await page.getByRole('button', { name: 'The whole' }).click();
  const plate = (name: RegExp) => page.locator('[data-map]').getByRole('button', { name });
  const notch = await plate(/^Welcome, /).locator('[data-notch]').boundingBox();
  const to = await plate(/^Stops, /).boundingBox();
  if (!notch || !to) throw new Error('the plates are not drawn');
  await page.mouse.move(notch.x + notch.width / 2, notch.y + notch.height / 2);
  await page.mouse.down();
  await page.mouse.move(to.x + to.width / 2, to.y + to.height / 2, { steps: 6 });
  await page.mouse.up();
  await expect(stage(page).getByText('Stops', { exact: true })).toBeVisible();
  await views(page).getByRole('button', { name: /^Findings ?1$/ }).click();
  const broken = page.getByRole('article', { name: /no button leads Visitor to “Stops”. Visitor gets there in 1 press/ });
  await expect(broken).toContainText('By “Stops” to “Stops”.');
  await broken.getByRole('button', { name: 'Stops', exact: true }).click();
  await page.getByLabel('Which screens').selectOption('what my last edit changed');
  await expect(page.getByRole('gridcell', { name: /^Visitor, Stops: surely in 1 press; not as expected; before by its address only/ })).toBeVisible();
  await undoAll(page);
});

test('the map: a plate, a wire whose sentence is changed there, every path between two, by keyboard', async ({ page }) => {
  await signIn(page, 'arno');
  await page.goto('/build/tarnhorn/map');
  await page.getByLabel('For whom').selectOption('for Technician');
  await page.getByLabel('Find a screen').fill('workshop board');
  await page.keyboard.press('Enter');
  await expect(chosen(page)).toContainText('Ways out');
  await page.getByLabel('Find a screen').fill('');
  const plate = (name: RegExp) => page.locator('[data-map]').getByRole('button', { name });
  await plate(/^Workshop board, the start/).focus();
  await page.keyboard.press('ArrowRight');
  const first = page.locator('[data-plate]:focus');
  await expect(first).not.toHaveAttribute('data-plate', 's_wboard');
  await page.keyboard.press('ArrowLeft');
  await expect(plate(/^Workshop board/)).toBeFocused();
  await page.keyboard.press('Enter');
  await chosen(page).getByRole('button', { name: 'Cabins', exact: true }).click();
  await expect(chosen(page).getByRole('heading', { name: 'Workshop board → Cabins' })).toBeVisible();
  await chosen(page).getByRole('button', { name: 'everyone' }).first().click();
  const forWhom = page.getByRole('dialog', { name: 'For whom' });
  await forWhom.getByRole('button', { name: 'nobody' }).click();
  await forWhom.getByRole('checkbox', { name: 'Technician' }).check();
  await answered(page, /edits$/, () => forWhom.getByRole('button', { name: 'Set roles' }).click());
  await expect(chosen(page)).toContainText('for Technician');
  await undoAll(page);
  await page.getByRole('button', { name: 'The whole' }).click();
  await plate(/^Workshop board/).click();
  await plate(/^Cabin, /).click({ modifiers: ['Shift'] });
  await expect(chosen(page).getByRole('list', { name: 'Path 1', exact: true })).toContainText('Cabins');
  await expect(chosen(page)).toContainText('the shortest first');
  await plate(/^Cabin, /).dblclick();
  await expect(stage(page).getByRole('heading', { level: 1 })).toContainText('Cabin');
});

test('a finding is accepted with a reason, and told again when it says something else', async ({ page }) => {
  await signIn(page, 'arno');
  await page.goto('/build/tarnhorn/findings');
  await page.getByLabel('Which check').selectOption('granted without a way');
  const grant = page.getByRole('article', { name: 'Shift lead may add cabins, and nothing that they reach does it.' });
  await grant.getByRole('button', { name: 'accept because …' }).click();
  await grant.getByLabel('Accepted because').fill('new cabins come once in ten years');
  await answered(page, /edits$/, () => page.keyboard.press('Enter'));
  await expect(grant).toHaveCount(0);
  await page.getByRole('checkbox', { name: /also the \d+ accepted/ }).check();
  await expect(grant).toContainText('Accepted because “new cabins come once in ten years”, by Arno Vey');
  const body = { patch: [{ op: 'add', path: '/gr_lead_cabins/delete', value: true }] };
  await page.request.post('/api/build/tarnhorn/edits', { data: body });
  const again = page.getByRole('article', { name: 'Shift lead may add and delete cabins, and nothing that they reach does it.' });
  await expect(again).toContainText('It was accepted because “new cabins come once in ten years”; it says something else now.');
  await undoAll(page);
});

test('the map is handed over as a picture, and as a state machine that a reader of such can run', async ({ page }) => {
  await signIn(page, 'arno');
  const svg = await (await page.request.get('/api/build/tarnhorn/map.svg')).text();
  expect(svg).toContain('<title>Tarnhorn Ropeway</title>');
  const answer = await page.request.get('/api/build/tarnhorn/map.scxml?who=r_tech');
  expect(answer.headers()['content-type']).toContain('application/scxml+xml');
  const text = await answer.text();
  const machine = await new Promise<{ start(): string[]; gen(event: { name: string }): string[] }>((done, fail) =>
    scxml.documentStringToModel('tarnhorn.scxml', text, (e, model) =>
      e ? fail(e) : model.prepare((problem, fn) => (problem ? fail(problem) : done(new scxml.core.Statechart(fn)))),
    ),
  );
  expect(machine.start()).toEqual(['s_wboard']);
  expect(machine.gen({ name: 'release.e_cabins' })).toEqual(['s_cabins']);
  expect(machine.gen({ name: 'row.e_list' })).toEqual(['s_cabin']);
  expect(machine.gen({ name: 'home' })).toEqual(['s_wboard']);
});
