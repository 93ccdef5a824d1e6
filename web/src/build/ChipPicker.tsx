import { Box } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import type { Chunk, WayOut } from '../api/client';
import { BindPicker, CarryPicker } from './BindPicker';
import { ConditionEditor } from './condition/ConditionEditor';
import { shareOf } from './condition/share';
import { useBuild } from './context';
import { text } from './document';
import { EffectPicker } from './EffectPicker';
import { Pop } from './Pop';
import { OtherwisePicker, RolesPicker, SimplePicker, WordsPicker } from './SmallPickers';
import { TargetPicker } from './TargetPicker';
import { caseId, gate, putGate } from './wiring';

export interface ChipProps {
  chunk: Chunk;
  way: WayOut;
  onClose: () => void;
}

/** What a chip can be changed to, by its part of the sentence. */
export function ChipPicker(p: ChipProps) {
  const build = useBuild();
  const { edit, project, screen } = build;
  const ref = { project, entities: build.entities, screen, element: p.way.element, trigger: p.way.trigger };
  const id = p.chunk.case ?? caseId(ref);
  const done = (ops: Parameters<typeof edit>[0]) => {
    p.onClose();
    return edit(ops);
  };
  switch (p.chunk.part) {
    case 'roles':
      return <RolesPicker {...p} wayRef={ref} />;
    case 'while':
      return (
        <Pop onClose={p.onClose} label="Condition">
          <ConditionEditor
            spot={{ project, as: build.as, screen, element: p.way.element }}
            stored={text(gate(ref, 'while'))}
            none="No condition"
            share={shareOf(build, p.way.element)}
            onClose={p.onClose}
            onSave={(stored) => void done(putGate(ref, ['while'], stored))}
          />
        </Pop>
      );
    case 'target':
      return <TargetPicker {...p} wayRef={ref} />;
    case 'record':
      return <BindPicker {...p} wayRef={ref} />;
    case 'carry':
      return <CarryPicker {...p} wayRef={ref} />;
    case 'do':
      return <EffectPicker {...p} wayRef={ref} />;
    case 'otherwise':
      return <OtherwisePicker {...p} wayRef={ref} />;
    case 'confirm':
      return (
        <WordsPicker
          {...p}
          label="What is asked before"
          value={text(gate(ref, 'confirm'))}
          none="do not ask"
          onSave={(v) => void done(putGate(ref, ['confirm'], v))}
        />
      );
    case 'mode':
      return (
        <SimplePicker
          {...p}
          label="Opened to"
          choices={[
            ['view', 'view'],
            ['edit', 'edit'],
          ]}
          onSave={(v) => void done(putGate(ref, ['cases', id, 'move', 'mode'], v === 'view' ? undefined : v))}
        />
      );
    case 'as':
      return (
        <SimplePicker
          {...p}
          label="Opened how"
          choices={[
            ['full', 'in full'],
            ['dialog', 'as a dialog'],
            ['drawer', 'as a drawer'],
            ['replace', 'in place of this'],
            ['tab', 'in a new tab'],
          ]}
          onSave={(v) => void done(putGate(ref, ['cases', id, 'move', 'as'], v === 'full' ? undefined : v))}
        />
      );
    case 'arrive':
      return (
        <SimplePicker
          {...p}
          label="Narrowed at first"
          choices={[['none', 'not narrowed']]}
          onSave={() => void done(putGate(ref, ['cases', id, 'move', 'arrive'], undefined))}
        />
      );
    case 'trigger':
      if (p.way.trigger !== 'release' && p.way.trigger !== 'press')
        return <Said onClose={p.onClose}>A list’s rows and a chart’s bars have this one trigger.</Said>;
      return (
        <SimplePicker
          {...p}
          label="Set off when"
          choices={[
            ['release', 'released: sliding off cancels'],
            ['press', 'pressed: at once'],
          ]}
          onSave={(v) => void done(putTrigger(ref, v))}
        />
      );
  }
  return <Said onClose={p.onClose}>This part is changed as text.</Said>;

  function putTrigger(w: typeof ref, v: string) {
    const path = `/${screen}/elements/${w.element}/trigger`;
    const had = build.work.view?.elements.find((e) => e.id === w.element)?.button?.trigger === 'press';
    if (v === 'press') return had ? [] : [{ op: 'add', path, value: 'press' }];
    return had ? [{ op: 'remove', path }] : [];
  }
}

function Said({ onClose, children }: { onClose: () => void; children: ReactNode }) {
  return (
    <Pop label="Note" onClose={onClose}>
      <Box p="12px" maxW="320px">
        {children}
      </Box>
    </Pop>
  );
}
