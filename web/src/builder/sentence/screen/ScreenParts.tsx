import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { newId, put } from '../../../document/edit';
import { copyOf, leadersTo } from '../../../document/leads';
import { type ScreenDoc, screensOf } from '../../../document/screens';
import { Action } from '../../../ui/controls';
import { Labelled } from '../../../ui/Labelled';
import { Typed } from '../../../ui/Typed';
import { useBuild } from '../../context';
import { ChosenPart } from '../../elements/parts/ChosenPart';
import { TypedPart } from '../../elements/parts/TypedPart';
import { Pop } from '../../Pop';
import { WordsField } from '../look/WordsField';
import { ScreenInputs } from './ScreenInputs';

/** What a screen is called, where it belongs, what “up” means on it; copying it, and removing it. */
export function ScreenParts({ screen: doc }: { screen: ScreenDoc }) {
  const { entities, edit, open } = useBuild();
  const others = screensOf(entities).filter((s) => s.id !== doc.id);
  const copy = async () => {
    const id = newId('s');
    await edit((d) => {
      const newest = screensOf(d).find((s) => s.id === doc.id);
      return newest ? [{ op: 'add', path: `/${id}`, value: copyOf(d, newest, id) }] : [];
    });
    open(id);
  };
  const slug = (typed: string) => {
    const wanted = typed
      .toLowerCase()
      .replaceAll(/[^a-z0-9]+/g, '-')
      .replaceAll(/^-|-$/g, '');
    if (!wanted || wanted === doc.slug || others.some((s) => s.slug === wanted)) return doc.slug;
    void edit([...put(entities, [doc.id, 'slug'], wanted), ...put(entities, [doc.id, 'oldSlugs', doc.slug], true)]);
    return wanted;
  };
  return (
    <Flex gap="12px" wrap="wrap" align="flex-end" fontSize="note">
      <TypedPart path={[doc.id]} name="title" label="Title" value={doc.title} needed />
      <WordsField path={[doc.id]} name="heading" label="Heading" />
      <TypedPart path={[doc.id]} name="area" label="Area" hint="none" width="120px" value={doc.area} />
      <Labelled label="Address ends in">
        <Typed label="Address ends in" width="130px" value={doc.slug} onSave={slug} />
      </Labelled>
      <ChosenPart
        path={[doc.id]}
        name="up"
        label="Up is"
        value={doc.up}
        among={[['', 'home'], ...others.map((s) => [s.id, s.title] as const)]}
      />
      <ScreenInputs screen={doc} />
      <Action onClick={() => void copy()}>Copy this screen</Action>
      <RemoveScreen screen={doc} onRemoved={() => others[0] && open(others[0].id)} />
    </Flex>
  );
}

/** Removes a screen: what leads to it is told first. */
function RemoveScreen({ screen: doc, onRemoved }: { screen: ScreenDoc; onRemoved: () => void }) {
  const { entities, edit } = useBuild();
  const [asked, setAsked] = useState(false);
  const leaders = asked ? leadersTo(entities, doc.id) : [];
  const remove = async () => {
    setAsked(false);
    onRemoved();
    await edit([{ op: 'remove', path: `/${doc.id}` }]);
  };
  return (
    <>
      <Action tone="bad" aria-haspopup="dialog" onClick={() => setAsked(true)}>
        Remove this screen
      </Action>
      {asked && (
        <Pop label="Remove this screen" onClose={() => setAsked(false)}>
          <Box p="14px" w="400px">
            <Box fontWeight="700" mb="6px">
              {leaders.length === 0
                ? `Nothing leads to “${doc.title}”.`
                : `What leads to “${doc.title}” will lead nowhere:`}
            </Box>
            <Box as="ul" listStyleType="none" maxH="160px" overflowY="auto" mb="6px">
              {leaders.map((l) => (
                <li key={l}>{l}</li>
              ))}
            </Box>
            <Box color="muted" fontSize="note" mb="10px">
              Each of them is a finding then. One undo brings it back.
            </Box>
            <Flex gap="8px">
              <Action tone="bad" autoFocus onClick={() => void remove()}>
                Remove it
              </Action>
              <Action onClick={() => setAsked(false)}>Cancel</Action>
            </Flex>
          </Box>
        </Pop>
      )}
    </>
  );
}
