// A crowded screen, as one edit of the demo's project: 60 buttons on it that lead to 24 screens, and
// 40 screens with a button that leads to it. Used by the browser tests, the bench and the pictures.

const areas = ['Workshop', 'Line', 'Figures', 'Tickets', 'Depot'];

/** The operations of the edit. */
export function crowded() {
  const ops = [];
  const button = (row, col, words, target, more = {}) => ({
    kind: 'button', pos: row * 12 + col, cell: { row, col, w: 2 }, words,
    gate: { ...more, cases: { c_1: { pos: 1, move: { kind: 'screen', target } } } },
  });
  for (let i = 0; i < 40; i++) {
    ops.push({
      op: 'add', path: `/s_crowd${i}`,
      value: {
        kind: 'screen', type: i % 3 ? 'list' : 'menu', title: `Round ${i + 1}`, slug: `round-${i + 1}`, area: areas[i % 5],
        elements: { e_hub: button(1, 1, 'To the rounds', 's_crowdhub') },
      },
    });
  }
  const elements = {};
  for (let i = 0; i < 60; i++) {
    const while_ = i % 7 === 3 ? { while: 'user.is("Office")' } : i % 11 === 5 ? { while: 'user.is("Office")', otherwise: { grey: 'The office does this.' } } : {};
    const target = i === 17 ? 's_gone' : `s_crowd${i % 24}`;
    elements[`e_out${i}`] = button(1 + Math.floor(i / 6), 1 + (i % 6) * 2, `Check ${i + 1}`, target, while_);
  }
  ops.push({ op: 'add', path: '/s_crowdhub', value: { kind: 'screen', type: 'menu', title: 'All rounds', slug: 'all-rounds', area: 'Workshop', elements } });
  return ops;
}

/** Puts it into the project of whoever is signed in on the page, a builder. */
export async function crowd(page) {
  const origin = new URL(page.url()).origin;
  const answer = await page.request.post(`${origin}/api/build/tarnhorn/edits`, { data: { patch: crowded() }, headers: { origin } });
  if (!answer.ok()) throw new Error(`the crowded screen was refused: ${await answer.text()}`);
}
