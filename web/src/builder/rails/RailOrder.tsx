import type { Rail } from '../../document/document.gen';
import { put } from '../../document/edit';
import { entityOf } from '../../document/parts';
import { railsOf } from '../../document/project';
import { Select } from '../../ui/controls';
import { useBuild } from '../context';

/** Which of the rails of one edge stands outermost: it is put before another, or last. */
export function RailOrder({ rail, edge }: { rail: string; edge: Rail['edge'] }) {
  const { entities, edit } = useBuild();
  const own = entityOf(entities, rail, 'rail')?.pos ?? 0;
  const others = railsOf(entities).filter((r) => r.id !== rail && r.edge === edge);
  const next = others.find((r) => r.pos > own)?.id ?? '';
  const before = (id: string) => {
    const i = id ? others.findIndex((o) => o.id === id) : others.length;
    const low = others[i - 1]?.pos ?? (others[0]?.pos ?? 0) - 2;
    const high = others[i]?.pos ?? low + 2;
    void edit(put(entities, [rail, 'pos'], (low + high) / 2));
  };
  return (
    <Select
      aria-label="Nearer to the edge than"
      value={next}
      disabled={others.length === 0}
      onChange={(e) => before(e.target.value)}
    >
      {others.map((r) => (
        <option key={r.id} value={r.id}>
          {r.name}
        </option>
      ))}
      <option value="">{others.length === 0 ? 'no other is there' : 'none: it is innermost'}</option>
    </Select>
  );
}
