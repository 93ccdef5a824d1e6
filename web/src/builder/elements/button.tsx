import { put } from '../../document/edit';
import { Select } from '../../ui/controls';
import { buttonIcons } from '../../ui/Glyph';
import { Labelled } from '../../ui/Labelled';
import { Typed } from '../../ui/Typed';
import { useBuild } from '../context';
import { ColourChip } from '../sentence/look/ColourChip';
import { FacesChip } from '../sentence/look/FacesChip';
import { KeptChip } from '../sentence/look/KeptChip';
import { tones } from '../sentence/look/tones';
import { WordsField } from '../sentence/look/WordsField';
import type { BuiltElement, LookProps } from './element';
import { ChosenPart } from './parts/ChosenPart';

export const button: BuiltElement<'button'> = {
  words: (e) => e.words,
  starts: [{ trigger: 'down', at: 'down', words: 'when it goes down, apart from when it is let go' }],
  Look: ButtonLook,
};

const folds = [
  ['', 'as usual'],
  ['narrow', 'on a telephone'],
  ['middle', 'on a tablet, too'],
  ['never', 'never'],
] as const;

/** The words, tone, icon, faces and shortcut of a button. */
function ButtonLook({ path, element }: LookProps<'button'>) {
  const { entities, edit } = useBuild();
  const set = (name: string, value: string) => void edit(put(entities, [...path, name], value || undefined));
  return (
    <>
      <WordsField path={path} name="words" label="Words" />
      <Labelled label="Looks">
        <Select
          aria-label="Looks"
          value={element.tone || 'plain'}
          onChange={(e) => void edit(put(entities, [...path, 'tone'], e.target.value))}
        >
          {tones.map((t) => (
            <option key={t}>{t}</option>
          ))}
        </Select>
      </Labelled>
      <Labelled label="Icon">
        <Select aria-label="Icon" value={element.icon ?? ''} onChange={(e) => set('icon', e.target.value)}>
          <option value="">none</option>
          {buttonIcons.map((i) => (
            <option key={i}>{i}</option>
          ))}
        </Select>
      </Labelled>
      <Labelled label="Shortcut">
        <Typed label="Shortcut" value={element.keys ?? ''} hint="Alt+E" onSave={(v) => set('keys', v)} />
      </Labelled>
      <ChosenPart path={path} name="fold" label="Behind “more”" value={element.fold} among={folds} />
      <WordsField path={path} name="tip" label="Tooltip" />
      <KeptChip path={[...path, 'picture']} />
      <ColourChip path={[...path, 'colour']} />
      <FacesChip path={path} faces={element.faces} />
      {element.tone === 'sign' && <WordsField path={path} name="note" label="Line below" />}
    </>
  );
}
