import { Flex } from '@chakra-ui/react';
import type { RailDrawer } from '../../document/document.gen';
import { type Part, put } from '../../document/edit';
import { Select } from '../../ui/controls';
import { Tick } from '../../ui/Tick';
import { Typed } from '../../ui/Typed';
import { useBuild } from '../context';

interface DrawerProps {
  rail: string;
  drawer: RailDrawer | undefined;
}

/** Whether a rail is fixed or comes when it is asked for, and by what. */
export function RailDrawerLine({ rail, drawer }: DrawerProps) {
  const { entities, edit } = useBuild();
  const set = (path: (keyof RailDrawer)[], value: Part | undefined) =>
    void edit(put(entities, [rail, 'drawer', ...path], value));
  const turn = (name: 'pull' | 'touch') => set([name], drawer?.[name] ? undefined : true);
  return (
    <Flex gap="14px" align="center" wrap="wrap">
      <Select
        aria-label="Fixed or a drawer"
        value={drawer ? 'drawer' : 'fixed'}
        onChange={(e) => set([], e.target.value === 'drawer' ? { pull: true } : undefined)}
      >
        <option value="fixed">fixed: always there</option>
        <option value="drawer">a drawer: when asked for</option>
      </Select>
      {drawer && (
        <>
          opened by buttons, and by
          <Tick words="a tab at the edge" on={drawer.pull ?? false} onTick={() => turn('pull')} />
          <Tick words="a touch at the edge" on={drawer.touch ?? false} onTick={() => turn('touch')} />
          <Flex as="label" gap="6px" align="center">
            size
            <Typed
              label="Size"
              width="70px"
              hint="as needed"
              value={String(drawer.size ?? '')}
              onSave={(v) => set(['size'], Number(v) > 0 ? Math.round(Number(v)) : undefined)}
            />
          </Flex>
        </>
      )}
    </Flex>
  );
}
