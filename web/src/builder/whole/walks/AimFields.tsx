import { Flex } from '@chakra-ui/react';
import type { WalkStep } from '../../../document/document.gen';
import { Line, Select } from '../../../ui/controls';
import { useWhole } from '../context';
import { NamedField } from './NamedField';
import { aimsOn, has, kindOf } from './stepKinds';

interface AimProps {
  step: WalkStep;
  onChange: (more: Partial<WalkStep>) => void;
}

/** Which element of the screen or of a rail a step is about, which of its ways, and of which row. */
export function AimFields({ step, onChange }: AimProps) {
  const { draft } = useWhole();
  const kind = kindOf(step);
  const all = aimsOn(draft.entities, step.screen ?? '').filter((a) =>
    kind === 'choose' || kind === 'claim.rows' ? a.table : true,
  );
  const aim = all.find((a) => a.id === step.element);
  const group = (label: string, rail: boolean) => {
    const of = all.filter((a) => a.rail === rail);
    return of.length === 0 ? null : (
      <optgroup label={label}>
        {of.map((a) => (
          <option key={a.id} value={a.id}>
            {a.words}
          </option>
        ))}
      </optgroup>
    );
  };
  return (
    <Flex gap="6px" wrap="wrap" align="center">
      <Select
        aria-label="What it is about"
        fontSize="note"
        maxW="300px"
        value={step.element ?? ''}
        onChange={(e) => {
          const to = all.find((a) => a.id === e.target.value);
          onChange({
            element: e.target.value || undefined,
            trigger: to?.triggers[0]?.[0] || undefined,
            row: undefined,
            point: undefined,
          });
        }}
      >
        <option value="">choose what …</option>
        {step.element && !aim && <option value={step.element}>what is gone</option>}
        {group('on the screen', false)}
        {group('on a rail', true)}
      </Select>
      {kind === 'press' && aim && aim.triggers.length > 1 && (
        <Select
          aria-label="Which of its ways"
          fontSize="note"
          value={step.trigger ?? ''}
          onChange={(e) => onChange({ trigger: e.target.value || undefined })}
        >
          {aim.triggers.map(([id, words]) => (
            <option key={id} value={id}>
              {words}
            </option>
          ))}
        </Select>
      )}
      {has(kind, 'row') && aim?.table && (
        <NamedField label="Which row" table={aim.table} value={step.row} onNamed={(row) => onChange({ row })} />
      )}
      {kind === 'press' && aim && !aim.table && aim.triggers.some(([, words]) => words === 'a point') && (
        <Line
          w="200px"
          fontSize="note"
          aria-label="Which point"
          placeholder="value of the point"
          value={step.point ?? ''}
          onChange={(e) => onChange({ point: e.target.value || undefined })}
        />
      )}
    </Flex>
  );
}
