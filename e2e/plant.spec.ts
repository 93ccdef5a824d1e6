import type { Browser, Page } from '@playwright/test';
import { heading, signIn, startLine, stopLine, use, putIntoUse } from './people';
import { expect, test } from './program';

/** A page of somebody else, beside the one of the test. */
async function another(browser: Browser, baseURL: string | undefined, login: string, address: string): Promise<Page> {
  const page = await (await browser.newContext({ baseURL })).newPage();
  await use(page, login, address);
  return page;
}

/** Does something that changes the application, and waits until it is kept. */
async function edited(page: Page, act: () => Promise<unknown>) {
  const kept = page.waitForResponse((r) => r.url().endsWith('/edits') && r.ok());
  await act();
  await kept;
}

const blows = (page: Page) => page.getByText(/^(▲ )?gusts over 15 m\/s$/);

/** Lets it blow, or be calm, on wind watch: pressed again where the values came too late for it. */
async function weather(page: Page, which: 'A gust' | 'Calm') {
  await expect(async () => {
    const there = await blows(page).isVisible();
    if (there !== (which === 'A gust'))
      await page.getByRole('button', { name: `${which}, for trying` }).click({ timeout: 3000 });
    await expect(blows(page)).toHaveCount(which === 'A gust' ? 1 : 0, {
      timeout: 8000,
    });
  }).toPass();
}

test('story: a gust calls the operator up from a half-written report; he acts, goes back, and it is there', async ({
  page,
  browser,
  baseURL,
}) => {
  test.setTimeout(120_000);
  const sela = await another(browser, baseURL, 'sela', '/wind-watch?lift=1');
  await use(page, 'jon', '/stop?~mode=add');
  await page.getByLabel('Report').fill('Half a report');
  await weather(sela, 'A gust');
  await expect(heading(page)).toHaveText('Upper Tarn, wind watch', {
    timeout: 30_000,
  });
  await expect(page.getByRole('alert').filter({ hasText: 'Gusts over 15 m/s at Upper Tarn' })).toBeVisible();
  await expect(heading(page)).toBeFocused(); // never a button
  await expect(page.getByRole('button', { name: 'Called up: 1 not seen yet' })).toBeVisible();
  await page.getByRole('button', { name: 'Seen', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Called up: nothing new' })).toBeVisible();
  // Whoever stands there already is only told.
  await expect(sela.getByRole('alert').filter({ hasText: 'Gusts over 15 m/s at Upper Tarn' })).toBeVisible();
  await expect(heading(sela)).toHaveText('Upper Tarn, wind watch');
  await page.getByRole('navigation', { name: 'Trail' }).getByRole('button', { name: 'Back to New stop' }).click();
  await expect(heading(page)).toHaveText('New stop');
  await expect(page.getByLabel('Report')).toHaveValue('Half a report');
  await expect(page.getByRole('alertdialog')).toHaveCount(0);
  // It is listed, and leads there again.
  await page.getByRole('button', { name: /^Called up/ }).click();
  await page
    .getByRole('menuitem', { name: /Gusts over 15 m\/s at Upper Tarn.*seen/ })
    .first()
    .click();
  await page
    .getByRole('alertdialog')
    .getByRole('button', { name: 'Keep it for later' })
    .click({ timeout: 3000 })
    .catch(() => {});
  await expect(heading(page)).toHaveText('Upper Tarn, wind watch');
  await weather(sela, 'Calm');
});

test('a call-up is made by clicking, released, comes, and is taken out again', async ({ page, browser, baseURL }) => {
  test.setTimeout(120_000);
  await signIn(page, 'arno');
  await page.goto('/build/tarnhorn/data/callups');
  await page.getByLabel('Name of a new call-up').fill('Line stands');
  await page.getByRole('button', { name: 'Say when …' }).click();
  const editor = page.getByRole('dialog', { name: 'New call-up' });
  await editor.getByRole('button', { name: '+ field' }).click();
  await page.getByRole('combobox').last().fill('drive running');
  await page
    .getByRole('option', { name: /drive running/ })
    .first()
    .click();
  await editor.getByRole('button', { name: 'Set condition' }).click();
  const card = page.getByRole('region', { name: 'Line stands' });
  await expect(card).toContainText('drive running');
  await card.getByRole('button', { name: 'Its condition' }).click();
  const again = page.getByRole('dialog', { name: 'Condition of Line stands' });
  await again
    .getByRole('combobox')
    .filter({ hasText: /yes|is/ })
    .last()
    .selectOption({ label: 'no' })
    .catch(() => again.getByRole('combobox').nth(1).selectOption({ index: 1 }));
  await again.getByRole('button', { name: 'Set condition' }).click();
  await card.getByLabel('Which screen comes').selectOption({ label: 'Drive room' });
  await card.getByRole('group', { name: 'For whom' }).getByLabel('Operator').click();
  await card.getByLabel('What it says').fill('{record.name} stands');
  await edited(page, () => page.keyboard.press('Enter'));
  await putIntoUse(page);
  await expect(page.getByText('no changes since')).toBeVisible({
    timeout: 20_000,
  });
  const jon = await another(browser, baseURL, 'jon', '/stops');
  const lead = await another(browser, baseURL, 'sela', '/drive-room?lift=3');
  await stopLine(lead);
  await expect(heading(jon)).toHaveText('Horn Saddle, drive room', {
    timeout: 40_000,
  });
  await expect(jon.getByRole('alert').filter({ hasText: 'Horn Saddle' })).toBeVisible();
  await startLine(lead);
  await page.goto('/build/tarnhorn/screen/s_drive');
  await expect(
    page.getByRole('region', { name: 'Ways in' }).getByRole('button', {
      name: 'Go to Line stands, called up by the plant',
    }),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Go to Line stands, called up by the plant' }).click();
  await edited(page, () => card.getByRole('button', { name: 'remove' }).click());
  await expect(card).toHaveCount(0);
  await putIntoUse(page);
  await expect(page.getByText('no changes since')).toBeVisible({
    timeout: 20_000,
  });
});

test('it creeps only while the button is held, by pointer or key; what is turned on and off shows how it is', async ({
  page,
}) => {
  test.setTimeout(120_000);
  await use(page, 'jon', '/drive-room?lift=3');
  await stopLine(page);
  const inch = page.getByRole('button', { name: /^Inch while held/ });
  await expect(inch).not.toHaveAttribute('aria-disabled', 'true', {
    timeout: 30_000,
  });
  // A busy machine may be late with saying that it is held still, or with the values: then it has ended, and is held anew.
  const holds = (down: () => Promise<void>, up: () => Promise<void>) =>
    expect(async () => {
      await expect(inch).not.toHaveAttribute('aria-disabled', 'true');
      await down();
      try {
        await expect(inch).toContainText('on', { timeout: 3000 });
      } finally {
        await up();
      }
      await expect(inch).toContainText('off');
    }).toPass({ timeout: 60_000 });
  await holds(
    async () => {
      const box = await inch.boundingBox();
      await page.mouse.move((box?.x ?? 0) + 30, (box?.y ?? 0) + 10);
      await page.mouse.down();
    },
    async () => {
      await page.mouse.move(10, 10); // wherever the finger is by then
      await page.mouse.up();
    },
  );
  await holds(
    async () => {
      await inch.focus();
      await page.keyboard.down(' ');
    },
    () => page.keyboard.up(' '),
  );
  const light = page.getByRole('button', { name: /^Line lighting/ });
  const was = (await light.textContent())?.includes('on') ? 'on' : 'off';
  const other = was === 'on' ? 'off' : 'on';
  const turnedTo = (how: string) =>
    expect(async () => {
      if (!(await light.textContent())?.endsWith(how)) await light.click({ timeout: 3000 });
      await expect(light).toContainText(how, { timeout: 3000 });
    }).toPass({ timeout: 60_000 });
  await turnedTo(other);
  await expect(light).toHaveAttribute('aria-pressed', String(other === 'on'));
  await turnedTo(was);
  await startLine(page);
});

test('eight tabs of one person are all live over one stream, and one that is left is no bother', async ({
  page,
  context,
}) => {
  await use(page, 'sela', '/line-overview');
  const tabs = [page];
  for (const address of [
    '/drive-room?lift=1',
    '/drive-room?lift=2',
    '/drive-room?lift=3',
    '/wind-watch?lift=1',
    '/wind-watch?lift=2',
    '/wind-watch?lift=3',
    '/line-overview',
  ]) {
    const tab = await context.newPage();
    await tab.goto(`/use/tarnhorn${address}`); // browsers keep six connections to a server: a stream for each would wait
    tabs.push(tab);
  }
  for (const tab of tabs) {
    await tab.bringToFront(); // what nobody sees waits
    await expect(tab.getByText(/^plant connected/)).toBeVisible();
  }
  await tabs[3]?.close();
  const moving = tabs[7]?.getByRole('meter', { name: 'Gusts' }).last();
  const was = await moving?.innerText();
  await expect.poll(() => moving?.innerText()).not.toBe(was);
});
