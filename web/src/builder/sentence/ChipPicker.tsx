import { Box } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import type { Chunk, WayOut } from '../../api/client';
import { ConditionEditor } from '../condition/ConditionEditor';
import { shareOf } from '../condition/share';
import { useBuild } from '../context';
import { text } from '../document';
import { put } from '../edit';
import { Pop } from '../Pop';
import { ArrivePicker } from './arrive/ArrivePicker';
import { BindPicker } from './BindPicker';
import { CarryPicker } from './CarryPicker';
import { addCase } from './cases';
import { EffectPicker } from './effects/EffectPicker';
import { NonePicker } from './NonePicker';
import { ResultPicker } from './ResultPicker';
import { RowSpotPicker } from './RowSpotPicker';
import { SharedPicker } from './SharedPicker';
import { OtherwisePicker, RolesPicker, SimplePicker, WordsPicker } from './SmallPickers';
import { SpotPicker } from './SpotPicker';
import { TargetPicker } from './TargetPicker';
import { ByPicker, WithPicker } from './ValuePicker';
import { caseId, gate, putGate, refOf, spotOf } from './wiring';

export interface ChipProps {
  chunk: Chunk;
  way: WayOut;
  onClose: () => void;
}

const presentations: [string, string][] = [
  ['full', 'in full'],
  ['dialog', 'as a dialog'],
  ['drawer', 'as a drawer'],
  ['replace', 'in place of this'],
  ['tab', 'in a new tab'],
];

/** What a chip can be changed to, by its part of the sentence. */
export function ChipPicker(p: ChipProps) {
  const build = useBuild();
  const { edit } = build;
  const ref = refOf(build, p.way);
  const id = p.chunk.case ?? caseId(ref);
  const done = (ops: Parameters<typeof edit>[0]) => {
    p.onClose();
    return edit(ops);
  };
  const condition = (label: string, stored: string, none: string, onSave: (stored: string | undefined) => void) => (
    <Pop onClose={p.onClose} label={label}>
      <ConditionEditor
        spot={spotOf(ref, build.as)}
        stored={stored}
        none={none}
        share={ref.shared ? undefined : shareOf(build, p.way.element)}
        onClose={p.onClose}
        onSave={onSave}
      />
    </Pop>
  );
  switch (p.chunk.part) {
    case 'roles':
      return <RolesPicker {...p} wayRef={ref} />;
    case 'while':
      return condition(
        'Condition',
        text(gate(ref, 'while')),
        'No condition',
        (stored) => void done(putGate(ref, ['while'], stored)),
      );
    case 'when':
      return condition(
        'This case',
        text(gate(ref, 'cases', id, 'when')),
        'In every other case',
        (stored) => void done(putGate(ref, ['cases', id, 'when'], stored)),
      );
    case '+case':
      return condition('Another case', '', 'Leave it', (stored) => void done(stored ? addCase(ref, stored) : []));
    case 'use':
    case '+share':
      return <SharedPicker {...p} wayRef={ref} />;
    case 'target':
      return <TargetPicker {...p} wayRef={ref} />;
    case 'record':
    case 'give':
      return <BindPicker {...p} wayRef={ref} />;
    case 'none':
      return <NonePicker {...p} wayRef={ref} />;
    case 'by':
      return <ByPicker {...p} wayRef={ref} />;
    case 'with':
      return <WithPicker {...p} wayRef={ref} />;
    case 'carry':
      return <CarryPicker {...p} wayRef={ref} />;
    case 'spot':
      return <SpotPicker {...p} wayRef={ref} />;
    case 'spotRow':
      return <RowSpotPicker {...p} wayRef={ref} />;
    case 'result':
      return <ResultPicker {...p} wayRef={ref} />;
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
          choices={presentations}
          onSave={(v) => void done(putGate(ref, ['cases', id, 'move', 'as'], v === 'full' ? undefined : v))}
        />
      );
    case 'arrive':
      return <ArrivePicker {...p} wayRef={ref} />;
    case 'trigger':
      return <TriggerPicker {...p} />;
  }
  return <Said onClose={p.onClose}>This part is changed as text.</Said>;
}

/** What sets a way off, where there is a choice. */
function TriggerPicker(p: ChipProps) {
  const { entities, edit } = useBuild();
  const { way } = p;
  const base = way.gate.split('/').slice(1, -1);
  const words = way.gate.endsWith('/gate') && /^(menu|several)\./.test(way.trigger);
  if (words) {
    return (
      <WordsPicker
        {...p}
        label="What the menu calls it"
        value={text(entities as never, ...base, 'words')}
        none="take it out"
        onSave={(v) => {
          p.onClose();
          void edit(v ? put(entities, [...base, 'words'], v) : put(entities, base, undefined));
        }}
      />
    );
  }
  if (way.trigger !== 'release' && way.trigger !== 'press')
    return <Said onClose={p.onClose}>There is nothing else that could set this way off here.</Said>;
  return (
    <SimplePicker
      {...p}
      label="Set off when"
      choices={[
        ['release', 'released: sliding off cancels'],
        ['press', 'pressed: at once'],
      ]}
      onSave={(v) => {
        p.onClose();
        void edit(put(entities, [...base, 'trigger'], v === 'press' ? v : undefined));
      }}
    />
  );
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
