import type { Locator, Page } from '@playwright/test';
import { heading, signIn } from './people';
import { expect, test } from './program';

// How many random walks of twenty presses are gone in the browser and in the core: AMBERGATE_WALKS=200 for more of them.
const walks = Number(process.env.AMBERGATE_WALKS ?? 4);
const from = Number(process.env.AMBERGATE_WALKS_FROM ?? 1);
const presses = 20;

// Whatever is begun at random, guided tasks say, is there when the same people begin anew.
test.use({ alone: true });

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
  slug?: string;
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

/**
 * What only moves, and what has rows that only move: on the screen with a slug; for a dialog, whose screen no address
 * names, where that holds of every screen with an element of that id. Live screens are left alone: the core’s plant is silent.
 */
function movers(d: Record<string, Entity>, slug: string | undefined) {
  const screens = Object.values(d).filter((e) => e.kind === 'screen' && (slug === undefined || e.slug === slug));
  const of = (id: string) => screens.flatMap((s) => (s.elements?.[id] ? [{ live: s.type === 'operator', e: s.elements[id] }] : []));
  const ids = [...new Set(screens.flatMap((s) => Object.keys(s.elements ?? {})))];
  const all = (id: string, is: (e: ReturnType<typeof of>[number]['e']) => boolean) => of(id).every(({ live, e }) => !live && is(e));
  return {
    buttons: ids.filter((id) => all(id, (e) => e.kind === 'button' && onlyMoves(d, e.gate))),
    lists: ids.filter((id) => all(id, (e) => e.kind === 'list' && !e.inPlace && onlyMoves(d, e.opened))),
  };
}

/** What can be pressed where one stands, in the dialog if there is one: marked in the page, all at once. */
async function pressable(page: Page, d: Record<string, Entity>): Promise<Locator[]> {
  const dialog = (await page.getByRole('dialog').count()) > 0;
  const can = movers(d, dialog ? undefined : new URL(page.url()).pathname.split('/')[3]);
  const n = await page.evaluate(({ buttons, lists }) => {
    for (const old of document.querySelectorAll('[data-try]')) old.removeAttribute('data-try');
    const shown = [...document.querySelectorAll('[role=dialog]')].filter((e) => e.checkVisibility({ visibilityProperty: true }));
    const on = shown.at(-1) ?? document.querySelector('main');
    const open = (e: Element | null | undefined): e is Element =>
      e instanceof HTMLElement && e.checkVisibility({ visibilityProperty: true }) && e.getAttribute('aria-disabled') !== 'true' && !(e as HTMLButtonElement).disabled;
    const found: Element[] = [];
    for (const box of on?.querySelectorAll('[data-is]') ?? []) {
      const id = box.getAttribute('data-is') ?? '';
      const way = box.querySelector('a, button');
      if (buttons.includes(id) && open(way)) found.push(way);
      if (!lists.includes(id)) continue;
      const rows = [...box.querySelectorAll('tbody tr, [role=row]')].flatMap((row) => [...row.querySelectorAll('a')].slice(0, 1));
      found.push(...rows.filter((a) => open(a)).slice(0, 8));
    }
    for (const [i, e] of found.entries()) e.setAttribute('data-try', String(i));
    return found.length;
  }, can);
  return Array.from({ length: n }, (_, i) => page.locator(`[data-try="${i}"]`));
}

/** Until nothing in the page has changed for a while; a dialog is drawn a moment after its press was answered. */
async function settled(page: Page) {
  await page.evaluate(
    () =>
      new Promise<void>((done) => {
        const since = Date.now();
        const rest = () => setTimeout(done, Date.now() - since > 3000 ? 0 : 300);
        let timer = rest();
        new MutationObserver(() => {
          clearTimeout(timer);
          timer = rest();
        }).observe(document.body, { subtree: true, childList: true });
      }),
  );
}

/** Whether one can be pressed, as it is now: the strip may be gone at any moment, and is not waited for. */
const isOpen = (button: Locator) => button.evaluateAll((all) => all.some((one) => !one.matches(':disabled, [aria-disabled="true"]')));

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
      let ways = await pressable(user, d);
      if (ways.length === 0) {
        await user.waitForTimeout(400); // it may be on its way
        ways = await pressable(user, d);
      }
      const dialog = await user.getByRole('dialog').count();
      const answers = user.waitForResponse((r) => /\/(press|go)$/.test(new URL(r.url()).pathname), { timeout: 15_000 }).catch(() => undefined);
      const strip = user.getByRole('navigation', { name: 'Trail' });
      const back = strip.getByRole('button', { name: /^Back/ });
      const home = strip.getByRole('button', { name: /^Home/ });
      const goesBack = await isOpen(back);
      const goesHome = await isOpen(home);
      const leaves = dialog > 0 || goesBack || goesHome;
      // A dialog may have come over it meanwhile: then what is in the dialog is next.
      const pressed = (what?: { click(o: { timeout: number }): Promise<void> }) => what?.click({ timeout: 3000 }).then(
        () => true,
        () => false,
      );
      if (ways.length > 0 && (!leaves || next(6) > 0)) {
        const way = ways[next(ways.length)];
        said.push(((await way?.innerText()) ?? '').slice(0, 30).replaceAll('\n', ' '));
        if (!(await pressed(way))) continue;
      } else if (dialog > 0) {
        said.push('close');
        await user.keyboard.press('Escape');
      } else if (goesBack || goesHome) {
        said.push(goesBack ? 'back' : 'home');
        if (!(await pressed(goesBack ? back : home))) continue;
      } else {
        break;
      }
      await answers;
      await settled(user);
      done++;
    }
    // What is over the screen is over the recording’s line too.
    for (let open = await user.getByRole('dialog').count(); open > 0; open--) {
      await user.keyboard.press('Escape');
      await expect(user.getByRole('dialog')).toHaveCount(open - 1);
    }
    if (process.env.AMBERGATE_WALKS) console.log(seed, login, said.join(' > '));
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
