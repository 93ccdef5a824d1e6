import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import type { WalkStep } from '../../../document/document.gen';
import { screensOf } from '../../../document/screens';
import { Action, Line, Select } from '../../../ui/controls';
import { Tick } from '../../../ui/Tick';
import { useWhole } from '../context';
import { AimFields } from './AimFields';
import { BuildFields } from './BuildFields';
import { InputFields } from './InputFields';
import { LookFields } from './LookFields';
import { PlantSays } from './PlantSays';
import { has, kindOf, missing, stepKinds, stepOf } from './stepKinds';
import { TypeFields } from './TypeFields';

interface FormProps {
  step: WalkStep;
  label: string;
  onKeep: (step: WalkStep) => void;
  onClose: () => void;
}

/** A step as it can be put otherwise: what is done or claimed, where, of what. */
export function StepForm({ step, label, onKeep, onClose }: FormProps) {
  const { draft } = useWhole();
  const [of, setOf] = useState(step);
  const kind = kindOf(of);
  const wants = missing(of);
  // No form of its own: what is chosen in it, a condition, has one.
  const keep = () => {
    if (!wants) onKeep(bare(of));
  };
  const change = (more: Partial<WalkStep>) => setOf({ ...of, ...more });
  return (
    <Flex
      role="form"
      aria-label={label}
      direction="column"
      gap="8px"
      p="10px 12px"
      my="4px"
      bg="plate"
      borderWidth="1px"
      borderColor="amber"
      borderRadius="4px"
      onKeyDown={(e) => {
        if (e.target instanceof Element && e.target.closest('[role=dialog]')) return; // of what is chosen in it
        if (e.key === 'Escape') onClose();
        if (e.key === 'Enter' && e.target instanceof HTMLInputElement) keep();
      }}
    >
      <Flex gap="6px" wrap="wrap" align="center">
        <Select
          autoFocus
          aria-label="What happens"
          fontSize="note"
          value={kind}
          onChange={(e) => setOf(stepOf(e.target.value, of.screen ?? '', of.pos))}
        >
          {stepKinds.map(([id, words]) => (
            <option key={id} value={id}>
              {words}
            </option>
          ))}
        </Select>
        {has(kind, 'screen') && (
          <Select
            aria-label="Which screen"
            fontSize="note"
            maxW="220px"
            value={of.screen ?? ''}
            onChange={(e) =>
              change({ screen: e.target.value, element: undefined, inputs: undefined, values: undefined })
            }
          >
            <option value="">choose the screen …</option>
            {screensOf(draft.entities).map((s) => (
              <option key={s.id} value={s.id}>
                {s.title}
              </option>
            ))}
          </Select>
        )}
        {kind === 'go' && (
          <Select
            aria-label="Where to"
            fontSize="note"
            value={of.to}
            onChange={(e) => change({ to: e.target.value as WalkStep['to'] })}
          >
            {['back', 'forward', 'home', 'up', 'close'].map((to) => (
              <option key={to} value={to}>
                {to === 'close' ? 'closes what lies over' : to}
              </option>
            ))}
          </Select>
        )}
        {kind === 'wait' && <Counted label="Seconds" value={of.seconds} onValue={(seconds) => change({ seconds })} />}
        {kind === 'claim.rows' && (
          <Counted label="How many rows" value={of.count} onValue={(count) => change({ count })} />
        )}
      </Flex>
      {has(kind, 'inputs') && <InputFields step={of} onChange={change} />}
      {has(kind, 'element') && <AimFields step={of} onChange={change} />}
      {has(kind, 'values') && <TypeFields step={of} onChange={change} />}
      {kind === 'build' && <BuildFields step={of} onChange={change} />}
      {kind === 'look' && <LookFields step={of} onChange={change} />}
      {kind === 'plant' && <PlantSays plant={of.plant ?? {}} onPlant={(plant) => change({ plant })} />}
      {has(kind, 'words') && (
        <Line
          aria-label="Words"
          placeholder={wordsFor[kind] ?? 'words'}
          value={of.words ?? ''}
          maxLength={1000}
          onChange={(e) => change({ words: e.target.value || undefined })}
        />
      )}
      {kind === 'press' && (
        <Tick
          words="what is asked before is answered with yes"
          on={of.yes ?? false}
          onTick={() => change({ yes: of.yes ? undefined : true })}
        />
      )}
      <Flex gap="6px" align="center">
        <Action tone="main" disabled={Boolean(wants)} onClick={keep}>
          Keep the step
        </Action>
        <Action type="button" tone="quiet" onClick={onClose}>
          Cancel
        </Action>
        {wants && (
          <Box fontSize="note" color="muted">
            {wants}
          </Box>
        )}
      </Flex>
    </Flex>
  );
}

const wordsFor: Record<string, string> = {
  'claim.at': 'its heading, where that is claimed too',
  'claim.greyed': 'part of the reason, where that is claimed too',
  'claim.hidden': 'part of the reason, where that is claimed too',
  'claim.reads': 'what it shows',
  'claim.left': 'part of the address',
  'claim.finds': 'part of what is said of it',
  'open.refused': 'part of the reason, where that is claimed too',
};

interface CountedProps {
  label: string;
  value: number | undefined;
  onValue: (n: number | undefined) => void;
}

function Counted({ label, value, onValue }: CountedProps) {
  return (
    <Line
      type="number"
      w="110px"
      aria-label={label}
      placeholder={label.toLowerCase()}
      min={0}
      value={value ?? ''}
      onChange={(e) => onValue(e.target.value === '' ? undefined : Number(e.target.value))}
    />
  );
}

/** Without what is not there: a document has no empty parts. */
function bare(step: WalkStep): WalkStep {
  return Object.fromEntries(Object.entries(step).filter(([, v]) => v !== undefined && v !== '')) as WalkStep;
}
