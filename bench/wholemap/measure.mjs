// Started by main.go with the address of its server: opens map and reach of two projects, pans and scrolls them.
import { createRequire } from 'node:module';

const require = createRequire(`${process.cwd()}/package.json`);
const { chromium } = require('@playwright/test');
const base = process.argv[2];
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync'],
});
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
await page.request.post(`${base}/api/sign-in`, { data: { login: 'arno', password: 'arno' } });

/** Frames a second while something moves, and the longest gap between two. */
async function frames(move) {
  await page.evaluate(() => {
    window.ticks = [];
    const tick = (t) => {
      window.ticks.push(t);
      window.ticking = requestAnimationFrame(tick);
    };
    window.ticking = requestAnimationFrame(tick);
  });
  await move();
  const ticks = await page.evaluate(() => {
    cancelAnimationFrame(window.ticking);
    return window.ticks;
  });
  const gaps = ticks.slice(1).map((t, i) => t - ticks[i]);
  return { rate: (1000 * gaps.length) / (ticks.at(-1) - ticks[0]), longest: Math.max(...gaps) };
}

const show = (what, value) => console.log(`${what.padEnd(62)}${value}`);
for (const slug of ['middle', 'large']) {
  const n = slug === 'large' ? '1,000' : '300';
  await page.goto(`${base}/build/${slug}/data/roles`); // the client is loaded, the draft compiled and checked
  await page.getByRole('heading', { level: 1 }).waitFor({ timeout: 60_000 });
  await page.waitForTimeout(6000);
  const map = await page.getByRole('button', { name: 'Map', exact: true }).elementHandle(); // finding it takes its time in a large page
  let began = Date.now();
  await map.click();
  await page.locator('[data-plate]').first().waitFor({ timeout: 60_000 });
  await page.locator('canvas[data-drawn]').waitFor({ timeout: 60_000 }); // all wires that are seen
  show(`map of ${n} screens: until it is drawn (budget 2 s)`, `${((Date.now() - began) / 1000).toFixed(2)} s`);
  const box = await page.locator('[data-map]').boundingBox();
  const pan = async () => {
    await page.mouse.move(box.x + 900, box.y + box.height - 60);
    await page.mouse.down();
    for (let i = 0; i < 120; i++) await page.mouse.move(box.x + 900 - (i % 60) * 10, box.y + box.height - 60 - (i % 60) * 7);
    await page.mouse.up();
  };
  const near = await frames(pan);
  show(`map of ${n} screens: panned (budget 50 frames/s)`, `${near.rate.toFixed(0)} frames/s, longest ${near.longest.toFixed(0)} ms`);
  await page.getByRole('button', { name: 'The whole' }).click();
  await page.waitForTimeout(500);
  const far = await frames(pan);
  show(`map of ${n} screens: panned, the whole of it`, `${far.rate.toFixed(0)} frames/s, longest ${far.longest.toFixed(0)} ms`);
  began = Date.now();
  await page.getByRole('button', { name: 'Reach', exact: true }).click();
  await page.getByRole('gridcell').first().waitFor({ timeout: 60_000 });
  show(`reach of ${n} screens and 20 roles: until it is drawn`, `${((Date.now() - began) / 1000).toFixed(2)} s`);
  const scrolled = await frames(async () => {
    await page.mouse.move(600, 500);
    for (let i = 0; i < 100; i++) {
      await page.mouse.wheel(i % 3 === 2 ? 40 : 0, 90);
      await page.waitForTimeout(16);
    }
  });
  show(`reach of ${n} screens and 20 roles: scrolled (budget 50)`, `${scrolled.rate.toFixed(0)} frames/s, longest ${scrolled.longest.toFixed(0)} ms`);
}
await browser.close();
