import { Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { mainListOf } from '../../../document/screens';
import { useBuild } from '../../context';
import { descending } from '../../descending';
import type { BuiltEffect, FormProps } from './effect';
import { listFields } from './here';
import { EffectFrame } from './parts/EffectFrame';
import { FieldSelect } from './parts/FieldSelect';

/** Orders the list by a field. */
export const sort: BuiltEffect<'sort'> = {
  actions: ({ entities, screen }) =>
    mainListOf(entities, screen) ? [{ id: 'sort', words: 'order the list by …', group: 'What is looked at' }] : [],
  Form: SortForm,
};

function SortForm({ effect, standing, onClose, onDone }: FormProps<'sort'>) {
  const { entities, screen } = useBuild();
  const fields = listFields({ entities, screen });
  const [path, setPath] = useState(effect?.path || fields[0]?.id || '');
  const [desc, setDesc] = useState(effect?.desc ?? false);
  return (
    <EffectFrame
      label="How the list is shown"
      width="500px"
      problem={undefined}
      onSave={() => onDone({ kind: 'sort', path, ...(desc ? { desc } : {}) })}
      onClose={onClose}
      standing={standing}
    >
      order by
      <FieldSelect fields={fields} path={path} onPath={setPath} />
      <Flex as="label" gap="6px">
        <input type="checkbox" checked={desc} onChange={(e) => setDesc(e.target.checked)} />
        {descending(fields.find((f) => f.id === path))}
      </Flex>
    </EffectFrame>
  );
}
