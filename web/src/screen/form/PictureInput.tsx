import { Flex } from '@chakra-ui/react';
import { useState } from 'react';
import type { FieldView } from '../../api/client';
import { Action } from '../../ui/controls';
import { DropFile } from '../../ui/files/DropFile';
import { readPicture } from '../../ui/files/pictureFile';
import { useScreen } from '../context';

interface PictureProps {
  id?: string;
  field: FieldView;
  value: string; // the digest of the one that is kept, or a data URL of the one that was chosen
  invalid: boolean;
  onType: (value: string) => void;
}

const most = 700_000; // bytes, of a picture in a record

/** Chooses a picture: dropped here, from a file, or with a camera where there is one. */
export function PictureInput({ id, field, value, invalid, onType }: PictureProps) {
  const { work } = useScreen();
  const [problem, setProblem] = useState<string>();
  const shown = value.startsWith('data:') ? value : value && work?.picture(field.path, value);
  const choose = async (file: File | undefined) => {
    if (!file) return;
    try {
      onType(await readPicture(file, most));
      setProblem(undefined);
    } catch {
      setProblem('This file is no picture that can be shown.');
    }
  };
  return (
    <DropFile onFile={(f) => void choose(f)}>
      {shown && <img className="picture" src={shown} alt={field.label} />}
      <Flex gap="8px" align="center" wrap="wrap">
        <input
          id={id}
          type="file"
          accept="image/png,image/jpeg,image/webp,image/gif,image/avif"
          aria-invalid={invalid || undefined}
          onChange={(e) => void choose(e.target.files?.[0])}
        />
        {value === '' && <span className="drop-words">or drop one here</span>}
        {value !== '' && <Action onClick={() => onType('')}>Remove the picture</Action>}
      </Flex>
      {problem && (
        <div className="field-error" role="alert">
          {problem}
        </div>
      )}
    </DropFile>
  );
}
