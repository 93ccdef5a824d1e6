import { Flex } from '@chakra-ui/react';
import { useState } from 'react';
import type { FieldView } from '../../api/client';
import { Action } from '../../ui/controls';
import { useScreen } from '../context';

const widest = 1600; // px: what is larger is made smaller before it is sent
const small = 400_000; // bytes that are sent as they are

interface PictureProps {
  id?: string;
  field: FieldView;
  value: string; // the digest of the one that is kept, or a data URL of the one that was chosen
  invalid: boolean;
  onType: (value: string) => void;
}

/** Chooses a picture: from a file, or with a camera where there is one. */
export function PictureInput({ id, field, value, invalid, onType }: PictureProps) {
  const { work } = useScreen();
  const [problem, setProblem] = useState<string>();
  const shown = value.startsWith('data:') ? value : value && work?.picture(field.path, value);
  const choose = async (file: File | undefined) => {
    if (!file) return;
    try {
      onType(await readPicture(file));
      setProblem(undefined);
    } catch {
      setProblem('This file is no picture that can be shown.');
    }
  };
  return (
    <div>
      {shown && <img className="picture" src={shown} alt={field.label} />}
      <Flex gap="8px" align="center" wrap="wrap">
        <input
          id={id}
          type="file"
          accept="image/png,image/jpeg,image/webp,image/gif"
          aria-invalid={invalid || undefined}
          onChange={(e) => void choose(e.target.files?.[0])}
        />
        {value !== '' && <Action onClick={() => onType('')}>Remove the picture</Action>}
      </Flex>
      {problem && (
        <div className="field-error" role="alert">
          {problem}
        </div>
      )}
    </div>
  );
}

/** A file as a data URL, made smaller where it is large. */
async function readPicture(file: File): Promise<string> {
  const bitmap = await createImageBitmap(file); // fails on what is no picture
  if (file.size <= small) return asURL(file);
  const scale = Math.min(1, widest / Math.max(bitmap.width, bitmap.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(bitmap.width * scale);
  canvas.height = Math.round(bitmap.height * scale);
  canvas.getContext('2d')?.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  return canvas.toDataURL('image/jpeg', 0.8);
}

function asURL(file: File): Promise<string> {
  return new Promise((done, failed) => {
    const reader = new FileReader();
    reader.onload = () => done(String(reader.result));
    reader.onerror = () => failed(reader.error);
    reader.readAsDataURL(file);
  });
}
