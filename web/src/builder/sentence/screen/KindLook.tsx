import { put } from '../../../document/edit';
import { entityOf } from '../../../document/parts';
import { Select } from '../../../ui/controls';
import { useBuild } from '../../context';

const kinds: Record<string, string> = {
  notice: 'notices',
  menu: 'menus',
  list: 'lists',
  form: 'forms',
  dashboard: 'dashboards',
  operator: 'operator screens',
};

/** How all screens of a kind look, whatever their users have chosen: control rooms are not to change at dusk. */
export function KindLook({ type }: { type: string }) {
  const { entities, edit } = useBuild();
  const fixed = entityOf(entities, 'project', 'project')?.appearance?.[type] ?? '';
  return (
    <Select
      aria-label={`How all ${kinds[type]} look`}
      value={fixed}
      onChange={(e) => void edit(put(entities, ['project', 'appearance', type], e.target.value || undefined))}
    >
      <option value="">{kinds[type]}: light or dark as users like</option>
      <option value="light">{kinds[type]}: always light</option>
      <option value="dark">{kinds[type]}: always dark</option>
    </Select>
  );
}
