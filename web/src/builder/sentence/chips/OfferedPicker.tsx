import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask } from '../../../api/client';
import type { ProjectMove } from '../../../document/document.gen';
import { ownedOf } from '../../../document/owner';
import { useBuild } from '../../context';
import { Picker } from '../../Picker';
import { Pop } from '../../Pop';
import { putInMove } from '../wiring';
import { type AtHand, atHand } from './atHand';
import type { ChipProps } from './chip';
import { ValueForm } from './ValueForm';

interface OfferedProps extends ChipProps {
  move: ProjectMove;
}

/** What an input of another application’s screen gets: of what is at hand, or worked out. */
export function OfferedPicker({ chunk, wayRef, move, onClose }: OfferedProps) {
  const { edit, entities, project } = useBuild();
  const [typing, setTyping] = useState(false);
  const offers = useQuery({
    queryKey: ['offers', project],
    queryFn: () => ask(api.GET('/api/build/{project}/offers', { params: { path: { project } } })),
  });
  const name = chunk.item ?? '';
  const offer = offers.data?.find((o) => o.project === move.project && o.entry === move.entry);
  const input = offer?.inputs.find((i) => i.alias === name);
  const words = input?.label.toLowerCase() ?? name;
  const put = (value: string | undefined) => {
    onClose();
    void edit(putInMove(wayRef, chunk.case, ['with', name], value));
  };
  if (typing)
    return (
      <Pop label={`What ${words} is`} onClose={onClose}>
        <ValueForm
          label={`What “${words}” is`}
          stored={move.with?.[name] ?? ''}
          wayRef={wayRef}
          hint="record.code"
          onSave={put}
        />
      </Pop>
    );
  const element = ownedOf(entities, wayRef.screen, wayRef.element ?? '')?.element;
  const row = element && 'table' in element && wayRef.trigger !== 'release' ? element.table : undefined;
  const choices: AtHand[] = [
    ...atHand(entities, wayRef.screen, row, input?.type ?? 'record'),
    { id: 'typed', text: '', words: 'work it out …', note: 'an expression' },
    ...(move.with?.[name] ? [{ id: 'none', text: '', words: 'bring nothing', note: 'leave this input open' }] : []),
  ];
  return (
    <Picker
      label={`Which ${words}`}
      up
      coming={offers.isPending}
      choices={choices}
      onClose={onClose}
      onChoose={(c) => (c.id === 'typed' ? setTyping(true) : put(c.id === 'none' ? undefined : c.text))}
    />
  );
}
