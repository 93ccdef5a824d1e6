// Measures the users' side in the browser, on the built program with the demo's data: what is
// loaded before the first screen is drawn, how long a press takes to the next screen, a form of 60
// fields and 3 lists of children; and on the builder's side a crowded screen. Run from e2e/: node ../bench/browser/measure.mjs
import { spawn } from 'node:child_process';
import { rmSync } from 'node:fs';
import { createRequire } from 'node:module';
import { gzipSync } from 'node:zlib';
import { crowd } from '../../e2e/crowded.mjs';

const require = createRequire(new URL('../../e2e/', import.meta.url));
const { chromium } = require('@playwright/test');
const root = new URL('../../', import.meta.url).pathname;
const port = 8096;
const base = `http://127.0.0.1:${port}`;
const rounds = 25;

rmSync(`${root}.test/bench`, { recursive: true, force: true });
const server = spawn(`${root}bin/ambergate`, ['demo', '--dir', `${root}.test/bench`, '--address', `127.0.0.1:${port}`], { stdio: 'ignore' });
for (let i = 0; i < 300; i++) {
  if (await fetch(`${base}/api/status`).then((r) => r.ok, () => false)) break;
  await new Promise((done) => setTimeout(done, 100));
}

const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync'] });
try {
  const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  await page.goto(base);
  await page.getByLabel('Name').fill('arno');
  await page.getByLabel('Password').fill('arno');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.getByLabel('Password').waitFor({ state: 'detached' });
  await wideForm(page);

  const user = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  await user.goto(base);
  await user.getByLabel('Name').fill('sela');
  await user.getByLabel('Password').fill('sela');
  await user.getByRole('button', { name: 'Sign in' }).click();
  await user.getByLabel('Password').waitFor({ state: 'detached' });

  console.log('first load, KB of JavaScript, gzip'.padEnd(52), (await firstLoad(user)).toFixed(0).padStart(8));
  await user.goto(`${base}/use/tarnhorn/parts`);
  await shown(user, 'Parts in store');
  report('press to next screen: a row opened', await each(user, async () => {
    const took = await timed(user, () => user.getByRole('row').nth(2).getByRole('link').click(), /^Part P/);
    await back(user, 'Parts in store');
    return took;
  }));
  await user.goto(`${base}/use/tarnhorn/parts`);
  await user.getByRole('row').nth(1).getByRole('link').click();
  await shown(user, /^Part P/);
  report('press to next screen: the next record', await each(user, async () => {
    const now = await user.getByRole('heading', { level: 1 }).textContent();
    return timed(user, () => user.locator('[data-is=e_next] :is(a, button)').click(), new RegExp(`^(?!${now}$)`));
  }));
  report('a form of 60 fields and 3 lists, opened', await each(user, async () => {
    await user.goto(`${base}/use/tarnhorn/day`);
    await shown(user, 'Day board');
    const took = await timed(user, () => user.getByRole('link', { name: 'Wide' }).click(), /^Wide form/);
    return took;
  }));
  report('the same to edit', await each(user, async () => {
    await user.goto(`${base}/use/tarnhorn/day`);
    await shown(user, 'Day board');
    return timed(user, () => user.getByRole('link', { name: 'Broad' }).click(), /^Wide form/);
  }));
  await crowd(page);
  await page.goto(`${base}/build/tarnhorn/screen/s_crowd3`);
  await page.getByText('To the rounds').first().waitFor();
  report('build: a screen of 60 ways out and 40 in, opened', await each(page, async () => {
    const took = await timed(page, () => page.getByRole('button', { name: /^Go to All rounds, “Check 4”/ }).click(), /^All rounds$/, 'Check 60');
    await page.goBack();
    await shown(page, 'Round 4');
    await page.waitForTimeout(300);
    return took;
  }));
  await hundred(page);
  await page.goto(`${base}/build/tarnhorn/screen/s_hundred`);
  await page.getByText('Field 100').first().waitFor();
  const [frames, drops] = await dragged(page);
  report('build: a frame while one of 100 elements is dragged', frames);
  report('build: a drop, until it is saved', drops);
} finally {
  await browser.close();
  server.kill('SIGINT');
}

/** A form of 60 fields and 3 lists of children, put into use with two buttons that lead to it. */
async function wideForm(page) {
  const fields = ['f_lift', 'f_state', 'f_grip', 'f_wear', 'f_distance', 'f_built', 'f_note', 'f_number'];
  const elements = {};
  for (let i = 0; i < 60; i++) {
    elements[`e_f${i}`] = { kind: 'field', pos: i, path: fields[i % fields.length], cell: { row: 1 + Math.floor(i / 4), col: 1 + (i % 4) * 3, w: 3 } };
  }
  const list = (row, table, columns) => ({ kind: 'list', pos: 100 + row, table, relation: 'f_cabin', rows: 20, cell: { row, col: 1, w: 12 }, columns: Object.fromEntries(columns.map((path, i) => [`k_${i}`, { path, pos: i }])) });
  elements.e_l1 = list(20, 't_defects', ['f_code', 'f_what', 'f_severity', 'f_state', 'f_assigned', 'f_due']);
  elements.e_l2 = list(21, 't_inspections', ['f_done', 'f_result', 'f_inspector', 'f_remarks']);
  elements.e_l3 = list(22, 't_defects', ['f_code', 'f_component', 'f_hours', 'f_reporter']);
  const screen = { kind: 'screen', type: 'form', title: 'Wide form', heading: 'Wide form {record.f_number}', slug: 'wide', record: 'i_c', inputs: { i_c: { alias: 'cabin', label: 'Cabin', pos: 1, required: true, table: 't_cabins', type: 'record' } }, elements };
  const button = (words, mode, row) => ({ kind: 'button', pos: row, words, cell: { row, col: 1, w: 3 }, gate: { cases: { c_1: { pos: 1, move: { kind: 'screen', target: 's_wide', mode, bind: { i_c: { rule: 'value', value: '87' } } } } } } });
  const patch = [
    { op: 'add', path: '/s_wide', value: screen },
    { op: 'add', path: '/s_day/elements/e_wide', value: button('Wide', 'view', 40) },
    { op: 'add', path: '/s_day/elements/e_broad', value: button('Broad', 'edit', 41) },
  ];
  await call(page, 'edits', { patch });
  const { stops } = await (await page.request.get(`${base}/api/build/tarnhorn/readiness`)).json();
  await call(page, 'releases', { accepted: stops.map(({ key }) => ({ key, because: 'it is measured' })) });
}

async function call(page, path, data) {
  const answer = await page.request.post(`${base}/api/build/tarnhorn/${path}`, { data, headers: { origin: base } });
  if (!answer.ok()) throw new Error(`${path}: ${answer.status()} ${await answer.text()}`);
}

/** A screen of a hundred elements. */
async function hundred(page) {
  const elements = {};
  for (let i = 0; i < 100; i++) {
    const cell = { row: 1 + Math.floor(i / 6), col: 1 + (i % 6) * 2, w: 2 };
    elements[`e_h${i}`] = i % 2 ? { kind: 'button', pos: i, words: `Field ${i + 1}`, cell, gate: { cases: { c_1: { pos: 1, move: { kind: 'home' } } } } } : { kind: 'text', pos: i, words: `Text ${i + 1}`, cell };
  }
  const patch = [{ op: 'add', path: '/s_hundred', value: { kind: 'screen', type: 'menu', title: 'A hundred', slug: 'hundred', elements } }];
  await call(page, 'edits', { patch });
}

/** ms between frames while an element is dragged across all others, and from each drop until the edit is acknowledged. */
async function dragged(page) {
  const frames = [];
  const drops = [];
  for (let i = 0; i < 6; i++) {
    const at = await page.locator('[data-element="e_h1"]').boundingBox();
    await page.mouse.move(at.x + 30, at.y + 12);
    await page.mouse.down();
    await page.evaluate(() => {
      window.frames_ = [];
      let last = performance.now();
      const next = (now) => {
        window.frames_.push(now - last);
        last = now;
        window.going = requestAnimationFrame(next);
      };
      window.going = requestAnimationFrame(next);
    });
    for (let step = 0; step < 60; step++) await page.mouse.move(200 + ((step * 37) % 700), 150 + ((step * 23) % 380));
    await page.mouse.move(at.x + 30 + (i % 2 ? -1 : 1) * 130, at.y + 60);
    frames.push(...(await page.evaluate(() => {
      cancelAnimationFrame(window.going);
      return window.frames_.slice(2);
    })));
    const saved = page.waitForResponse((r) => r.url().includes('/edits'));
    const began = performance.now();
    await page.mouse.up();
    await saved;
    drops.push(performance.now() - began);
    await page.waitForTimeout(400);
  }
  return [frames.sort((a, b) => a - b), drops.sort((a, b) => a - b)];
}

/** KB of JavaScript, gzip, that come before the first screen is drawn, in a browser that has nothing yet. */
async function firstLoad(page) {
  let bytes = 0;
  const waiting = [];
  const count = (r) => {
    if (new URL(r.url()).pathname.endsWith('.js')) waiting.push(r.body().then((b) => { bytes += gzipSync(b).length; }, () => {}));
  };
  const session = await page.context().newCDPSession(page);
  await session.send('Network.setCacheDisabled', { cacheDisabled: true });
  page.on('response', count);
  await page.goto(`${base}/use/tarnhorn/day`);
  await shown(page, 'Day board');
  page.off('response', count);
  await Promise.all(waiting);
  await session.detach();
  return bytes / 1024;
}

function shown(page, heading) {
  return page.getByRole('heading', { level: 1, name: heading }).first().waitFor();
}

/** ms from the press to the frame after the next screen's heading stands there, in the page's own clock. */
async function timed(page, press, heading, also = '') {
  await page.evaluate(([source, also]) => {
    const wanted = new RegExp(source);
    window.pressed = undefined;
    window.arrived = new Promise((done) => {
      const look = () => {
        if (wanted.test(document.querySelector('h1')?.textContent ?? '') && document.body.textContent.includes(also)) requestAnimationFrame(() => done(performance.now()));
        else requestAnimationFrame(look);
      };
      document.addEventListener('click', () => { window.pressed = performance.now(); look(); }, { capture: true, once: true });
    });
  }, [heading.source, also]);
  await press();
  return page.evaluate(async () => (await window.arrived) - window.pressed);
}

async function back(page, heading) {
  await page.goBack();
  await shown(page, heading);
}

async function each(page, run) {
  const took = [];
  for (let i = 0; i < rounds && took.length < 14; i++) took.push(await run());
  return took.sort((a, b) => a - b);
}

function report(what, took) {
  const at = (share) => took[Math.min(took.length - 1, Math.floor(took.length * share))].toFixed(0).padStart(8);
  console.log(`${what}, ms: median, worst`.padEnd(52), at(0.5), at(1));
}
