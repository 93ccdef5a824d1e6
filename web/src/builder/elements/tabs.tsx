import { Flex } from '@chakra-ui/react';
import { newId, put } from '../../document/edit';
import { inOrder, posBehind } from '../../document/parts';
import { Action } from '../../ui/controls';
import { Labelled } from '../../ui/Labelled';
import { Typed } from '../../ui/Typed';
import { useBuild } from '../context';
import type { BuiltElement, LookProps } from './element';
import { usePlacedIn } from './usePlacedIn';

export const tabs: BuiltElement<'tabs'> = {
  spots: (e) => inOrder(e.tabs).map((t) => ({ id: `${e.id}.${t.id}`, words: `the tab “${t.label}”`, group: 'Tabs' })),
  startsOf: (e) =>
    inOrder(e.tabs)
      .filter((t) => !t.opened)
      .map((t) => ({
        trigger: `tab.${t.id}`,
        at: `tabs/${t.id}/opened`,
        words: `when the tab “${t.label}” is opened`,
      })),
  Look: TabsLook,
};

/** The tabs by their words, in order. What stands in one goes back to standing always when it is removed. */
function TabsLook({ path, element }: LookProps<'tabs'>) {
  const { entities, edit } = useBuild();
  const { freed, swapped } = usePlacedIn(path);
  const tabs = inOrder(element.tabs);
  const remove = (tab: string) => void edit([...freed(tab), ...put(entities, [...path, 'tabs', tab], undefined)]);
  const swap = (i: number) => void edit(swapped('tabs', tabs[i - 1], tabs[i]));
  return (
    <Labelled label="Tabs">
      <Flex gap="10px" wrap="wrap" align="center">
        {tabs.map((t, i) => (
          <Flex key={t.id} align="center">
            <Typed
              label={`Tab ${i + 1}`}
              width="130px"
              value={t.label}
              onSave={(v) => v && void edit(put(entities, [...path, 'tabs', t.id, 'label'], v))}
            />
            {i > 0 && (
              <Action tone="quiet" px="6px" aria-label={`${t.label} further to the front`} onClick={() => swap(i)}>
                ◀
              </Action>
            )}
            {tabs.length > 1 && (
              <Action tone="quiet" px="6px" aria-label={`Remove the tab ${t.label}`} onClick={() => remove(t.id)}>
                ✕
              </Action>
            )}
          </Flex>
        ))}
        <Action
          onClick={() =>
            void edit(
              put(entities, [...path, 'tabs', newId('t')], { pos: posBehind(tabs), label: `Tab ${tabs.length + 1}` }),
            )
          }
        >
          + a tab
        </Action>
      </Flex>
    </Labelled>
  );
}
