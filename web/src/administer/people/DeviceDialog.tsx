import { Box, Flex } from '@chakra-ui/react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, type DeviceApplication, type DeviceChange, type DeviceInfo } from '../../api/client';
import { Action, Select } from '../../ui/controls';
import { Frame } from '../../ui/Frame';
import { Tick } from '../../ui/Tick';
import { Asked } from '../Asked';
import { wordsOf, wrongFields } from '../problems';
import { Told } from '../Told';
import { Ticks } from './RoleTicks';

const allowed = [
  ['addresses', 'typed addresses, and ways out of the application'],
  ['files', 'lists as files, and choosing pictures'],
  ['printing', 'printing'],
] as const;

interface DeviceDialogProps {
  device?: DeviceInfo; // none: a new one
  applications: DeviceApplication[];
  onClose: () => void;
}

/** One display: what it shows, as which role, what it may; its code is told once. */
export function DeviceDialog({ device, applications, onClose }: DeviceDialogProps) {
  const queries = useQueryClient();
  const first = applications[0];
  const [d, setD] = useState<DeviceChange>(
    device ?? {
      name: '',
      project: first?.id ?? '',
      role: first?.roles[0]?.id ?? '',
      start: first?.screens[0]?.id ?? '',
      allows: [],
    },
  );
  const app = applications.find((a) => a.id === d.project);
  const params = { path: { device: device?.id ?? '' } };
  const onSuccess = () => queries.invalidateQueries({ queryKey: ['devices'] });
  const body: DeviceChange = { name: d.name, project: d.project, role: d.role, start: d.start, allows: d.allows };
  const add = useMutation({ mutationFn: () => ask(api.POST('/api/devices', { body })), onSuccess });
  const keep = useMutation({
    mutationFn: () => ask(api.PUT('/api/devices/{device}', { params, body })),
    onSuccess: () => onSuccess().then(onClose),
  });
  const code = useMutation({ mutationFn: () => ask(api.POST('/api/devices/{device}/code', { params })), onSuccess });
  const remove = useMutation({
    mutationFn: () => ask(api.DELETE('/api/devices/{device}', { params })),
    onSuccess: () => onSuccess().then(onClose),
  });
  const told = add.data ?? code.data;
  if (told) return <CodeTold name={d.name} code={told.code} onClose={onClose} />;
  const wrong = wrongFields(add.error ?? keep.error);
  const choose = (project: string) => {
    const next = applications.find((a) => a.id === project);
    setD({ ...d, project, role: next?.roles[0]?.id ?? '', start: next?.screens[0]?.id ?? '' });
  };
  const turn = (what: DeviceChange['allows'][number]) =>
    setD({ ...d, allows: d.allows.includes(what) ? d.allows.filter((a) => a !== what) : [...d.allows, what] });
  const ready = d.name.trim() !== '' && d.role !== '' && d.start !== '';
  return (
    <Frame
      title={device ? device.name : 'Add a display'}
      told
      stays
      width="560px"
      onClose={onClose}
      foot={
        <>
          <Action onClick={onClose}>Cancel</Action>
          <Action
            tone="main"
            disabled={!ready || add.isPending || keep.isPending}
            onClick={() => (device ? keep.mutate() : add.mutate())}
          >
            {device ? 'Save' : 'Add, and show its code'}
          </Action>
        </>
      }
    >
      <Asked
        label="What it is called: where it stands"
        value={d.name}
        hint="Valley station, hall"
        onChange={(name) => setD({ ...d, name })}
        wrong={wrong.name}
        first={!device}
      />
      <Flex gap="14px" wrap="wrap" mb="14px">
        {!device && <Chosen label="Application" value={d.project} of={applications.map(titled)} onChoose={choose} />}
        <Chosen label="As" value={d.role} of={app?.roles ?? []} onChoose={(role) => setD({ ...d, role })} />
        <Chosen
          label="Starts at"
          value={d.start}
          of={app?.screens ?? []}
          onChoose={(start) => setD({ ...d, start })}
          wrong={wrong.start}
        />
      </Flex>
      <Ticks head="Allowed there">
        {allowed.map(([what, words]) => (
          <Tick key={what} words={words} on={d.allows.includes(what)} onTick={() => turn(what)} />
        ))}
      </Ticks>
      {device && (
        <Flex gap="8px" wrap="wrap" mt="14px">
          <Action onClick={() => code.mutate()} disabled={code.isPending}>
            New code: what came in by the last one is out
          </Action>
          <Action tone="bad" onClick={() => remove.mutate()} disabled={remove.isPending}>
            Remove it
          </Action>
        </Flex>
      )}
      <Told words={wordsOf(add.error) ?? wordsOf(keep.error) ?? wordsOf(code.error) ?? wordsOf(remove.error)} />
    </Frame>
  );
}

const titled = (a: DeviceApplication) => ({ id: a.id, name: a.title });

interface ChosenProps {
  label: string;
  value: string;
  of: { id: string; name: string }[];
  onChoose: (id: string) => void;
  wrong?: string;
}

function Chosen({ label, value, of, onChoose, wrong }: ChosenProps) {
  return (
    <Box as="label" flex="1" minW="150px">
      <Box fontSize="note" color="muted" mb="3px">
        {label}
      </Box>
      <Select w="full" value={value} onChange={(e) => onChoose(e.target.value)}>
        {!of.some((o) => o.id === value) && <option value={value}>choose …</option>}
        {of.map((o) => (
          <option key={o.id} value={o.id}>
            {o.name}
          </option>
        ))}
      </Select>
      {wrong && (
        <Box color="brick" fontSize="note" fontWeight="600" mt="3px" role="alert">
          {wrong}
        </Box>
      )}
    </Box>
  );
}

function CodeTold({ name, code, onClose }: { name: string; code: string; onClose: () => void }) {
  return (
    <Frame
      title={`The code for ${name}`}
      told
      stays
      width="480px"
      onClose={onClose}
      foot={
        <Action tone="main" onClick={onClose}>
          Close
        </Action>
      }
    >
      <Box mb="10px">
        Open <b>{window.location.origin}/display</b> in the browser of the display, and type:
      </Box>
      <Box as="output" aria-label="Code" display="block" fontFamily="mono" fontSize="30px" fontWeight="700" mb="10px">
        {code}
      </Box>
      <Box color="muted">It holds once, for an hour, and is not shown again.</Box>
    </Frame>
  );
}
