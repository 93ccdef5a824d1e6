import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import type { Settings } from '../../../document/document.gen';
import { put } from '../../../document/edit';
import { picturesOf } from '../../../document/project';
import { Select } from '../../../ui/controls';
import { dressSheet } from '../../../ui/theme/style';
import { keep, whyNotKept } from '../../keep';
import { KeptFile } from '../../sentence/look/KeptFile';
import { useRights } from '../context';
import { ButtonStyles } from './ButtonStyles';
import { OwnColours } from './OwnColours';
import { PaletteLines } from './PaletteLines';
import { SettingLine } from './SettingLine';

const corners = [
  ['', 'a little round'],
  ['square', 'square'],
  ['round', 'round'],
] as const;

const sizes = [
  ['', 'of the usual size'],
  ['small', 'smaller'],
  ['large', 'larger'],
] as const;

/** What an application looks like: its colours, its buttons, its corners, its texts, its logo. */
export function StyleLines({ settings }: { settings: Settings }) {
  const { project, entities, edit } = useRights();
  const [problem, setProblem] = useState<string>();
  const style = settings.style;
  const set = (name: string, value: string | undefined) =>
    void edit(put(entities, ['project', 'style', name], value || undefined));
  const take = async (file: File) => {
    setProblem(undefined);
    try {
      const { id, op } = await keep(project, file, 'picture', settings.title);
      await edit([op, ...put(entities, ['project', 'style', 'logo'], id)]);
    } catch (e) {
      setProblem(whyNotKept(e));
    }
  };
  return (
    <Box data-styled>
      <style>{dressSheet({ palette: settings.palette, style: { colours: style?.colours } }, '[data-styled]')}</style>
      <SettingLine words="Its colours are" tall>
        <Box>
          <PaletteLines settings={settings} />
          <OwnColours settings={settings} />
        </Box>
      </SettingLine>
      <SettingLine words="All its buttons that look one way are" tall>
        <ButtonStyles settings={settings} />
      </SettingLine>
      <SettingLine words="Its corners are">
        <Select aria-label="Corners" value={style?.corners ?? ''} onChange={(e) => set('corners', e.target.value)}>
          {corners.map(([id, words]) => (
            <option key={id} value={id}>
              {words}
            </option>
          ))}
        </Select>
      </SettingLine>
      <SettingLine words="Its texts are">
        <Select aria-label="Size of texts" value={style?.text ?? ''} onChange={(e) => set('text', e.target.value)}>
          {sizes.map(([id, words]) => (
            <option key={id} value={id}>
              {words}
            </option>
          ))}
        </Select>
      </SettingLine>
      <SettingLine words="At the top stands" tall>
        <Box>
          <Select aria-label="Logo" value={style?.logo ?? ''} onChange={(e) => set('logo', e.target.value)}>
            <option value="">no logo</option>
            {picturesOf(entities).map((p) => (
              <option key={p.id} value={p.id}>
                {p.name}
              </option>
            ))}
          </Select>
          <KeptFile sort="picture" label="Logo file" onFile={(f) => void take(f)} />
          {problem && (
            <Flex role="alert" color="brick" fontSize="note">
              {problem}
            </Flex>
          )}
        </Box>
      </SettingLine>
    </Box>
  );
}
