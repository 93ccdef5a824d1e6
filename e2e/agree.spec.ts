import type { Locator, Page } from '@playwright/test';
import { heading, signIn } from './people';
import { expect, test } from './program';

// How many random walks of twenty presses are gone in the browser and in the core: AMBERGATE_WALKS=200 for more of them.
const walks = Number(process.env.AMBERGATE_WALKS ?? 4);
const from = Number(process.env.AMBERGATE_WALKS_FROM ?? 1);
const presses = 20;

/** A series of numbers that is the same for the same seed. */
function random(seed: number) {
  let state = seed * 2654435761 + 1;
  return (below: number) => {
    state = (state * 1664525 + 1013904223) % 4294967296;
    return Math.floor((state / 4294967296) * below);
  };
}

interface Gate {
  use?: string;
  confirm?: string;
  cases?: Record<string, { do?: object; move?: { kind: string; as?: string; bind?: Record<string, { rule: string }> } }>;
}
interface Entity {
  kind: string;
  type?: string;
  gate?: Gate;
  elements?: Record<string, { kind: string; gate?: Gate; opened?: Gate; modes?: Record<string, boolean>; inPlace?: boolean }>;
}

const moves = ['screen', 'step', 'back', 'home', 'up', 'choice', 'along'];

/** Whether a gate only moves, within the application and this tab. */
function onlyMoves(d: Record<string, Entity>, gate: Gate | undefined): boolean {
  const of = gate?.use ? d[gate.use]?.gate : gate;
  const cases = Object.values(of?.cases ?? {});
  return (
    cases.length > 0 &&
    !of?.confirm &&
    cases.every((c) => !c.do && c.move && moves.includes(c.move.kind) && c.move.as !== 'tab' && !Object.values(c.move.bind ?? {}).some((b) => b.rule === 'picked'))
  );
}

/** What can be pressed where one stands, in the dialog if there is one: what only moves, and rows. */
async function pressable(page: Page, d: Record<string, Entity>): Promise<Locator[]> {
  const dialog = page.getByRole('dialog');
  const on = (await dialog.count()) > 0 ? dialog.last() : page.getByRole('main');
  const found: Locator[] = [];
  for (const box of await on.locator('[data-is]').all()) {
    const id = (await box.getAttribute('data-is')) ?? '';
    const [screen] = Object.values(d).filter((e) => e.kind === 'screen' && e.elements?.[id]);
    // The same id may stand on several screens: only where all of them only move.
    const all = Object.values(d).flatMap((e) => (e.kind === 'screen' && e.elements?.[id] ? [e.elements[id]] : []));
    if (!screen || screen.type === 'operator') continue;
    if (all.every((e) => e?.kind === 'button' && onlyMoves(d, e.gate))) {
      const way = box.locator('a, button').first();
      if ((await way.count()) > 0 && (await way.isVisible()) && (await way.getAttribute('aria-disabled')) !== 'true' && (await way.isEnabled())) found.push(way);
    }
    if (all.every((e) => e?.kind === 'list' && !e.inPlace && onlyMoves(d, e.opened))) {
      const rows = box.locator('tbody tr, [role=row]:has([role=cell]), [role=row]:has([role=gridcell])');
      const n = Math.min(await rows.count(), 8);
      for (let i = 0; i < n; i++) if (await rows.nth(i).locator('a').count()) found.push(rows.nth(i).locator('a').first());
    }
  }
  return found;
}

test('what is done at random in the browser comes to the same places in the core', async ({ page, browser, baseURL }) => {
  test.setTimeout(60_000 + walks * 60_000);
  await signIn(page, 'arno');
  const api = page.context().request;
  const d: Record<string, Entity> = (await (await api.get('/api/build/tarnhorn')).json()).entities;
  const who = ['mira', 'sela', 'priya', 'ilse'];
  const rights = async (builds: boolean) => {
    for (const login of who) expect((await api.put(`/api/build/tarnhorn/people/a_${login}/rights`, { data: { builds, administers: false } })).ok()).toBe(true);
  };
  await rights(true);
  let done = 0;
  for (let seed = from; seed < from + walks; seed++) {
    const next = random(seed);
    const login = who[seed % who.length] ?? '';
    const user = await (await browser.newContext({ baseURL })).newPage();
    await signIn(user, login);
    await user.goto('/use/tarnhorn');
    await expect(heading(user).first()).toBeVisible();
    await user.getByRole('button', { name: 'record', exact: true }).click();
    const said: string[] = [];
    for (let n = 0; n < presses; n++) {
      const ways = await pressable(user, d);
      const dialog = await user.getByRole('dialog').count();
      const answers = user.waitForResponse((r) => /\/(press|go)$/.test(new URL(r.url()).pathname), { timeout: 15_000 });
      const strip = user.getByRole('navigation', { name: 'Trail' });
      const back = strip.getByRole('button', { name: /^Back/ });
      const home = strip.getByRole('button', { name: /^Home/ });
      if (ways.length > 0 && next(6) > 0) {
        const way = ways[next(ways.length)];
        said.push(((await way?.innerText()) ?? '').slice(0, 30).replaceAll('\n', ' '));
        await way?.click();
      } else if (dialog > 0) {
        said.push('close');
        await user.keyboard.press('Escape');
      } else if ((await back.count()) > 0 && (await back.isEnabled())) {
        said.push('back');
        await back.click();
      } else if ((await home.count()) > 0 && (await home.isEnabled())) {
        said.push('home');
        await home.click();
      } else {
        answers.catch(() => undefined);
        break;
      }
      await answers.catch(() => undefined);
      await user.waitForTimeout(120);
      done++;
    }
    await user.getByRole('button', { name: 'Keep it …' }).click();
    await user.getByLabel('Name of the walk').fill(`At random ${seed}`);
    const kept = user.waitForURL(/\/walks\/wk/);
    await user.keyboard.press('Enter');
    await kept;
    const id = user.url().split('/').at(-1) ?? '';
    const [gone] = await (await api.post('/api/build/tarnhorn/walks/gone', { data: { walks: [id] } })).json();
    const told = gone.differs ? (await (await api.get('/api/build/tarnhorn/walks')).json()).find((w: { id: string }) => w.id === id) : undefined;
    expect(gone.differs, `seed ${seed} as ${login}: ${said.join(' > ')}\n${told?.steps.map((s: { words: string }) => s.words).join('\n')}`).toBeUndefined();
    await user.context().close();
    await api.post('/api/build/tarnhorn/edits', { data: { patch: [{ op: 'remove', path: `/${id}` }] } });
  }
  await rights(false);
  console.log(`${walks} random walks, ${done} presses: the browser and the core agree`);
});
