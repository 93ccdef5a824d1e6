import { useState } from 'react';
import { Action } from '../../../ui/controls';
import { EquipmentProposal } from './EquipmentProposal';
import { FromPlant } from './FromPlant';

/** Finding the folders of a plant that are one piece of equipment each. */
export function TakeIn({ onClose }: { onClose: () => void }) {
  const [path, setPath] = useState<string>();
  const other = () => setPath(undefined);
  return (
    <FromPlant
      title="Take in equipment"
      find="Find the folder that holds a folder for each of them: for each lift, press or pump."
      action={(n) =>
        n.folder && (
          <Action aria-label={`The folders in ${n.name}`} onClick={() => setPath(n.path)}>
            the folders in it
          </Action>
        )
      }
      instead={
        path === undefined
          ? undefined
          : (over) => <EquipmentProposal connection={over} path={path} onOther={other} onDone={onClose} />
      }
      onOther={other}
      onClose={onClose}
    />
  );
}
