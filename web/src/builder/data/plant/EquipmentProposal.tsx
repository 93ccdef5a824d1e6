import { Box, Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { wordsOf } from '../../../administer/problems';
import { Told } from '../../../administer/Told';
import { api, ask, type EquipmentFit, type EquipmentValue } from '../../../api/client';
import { entityOf } from '../../../document/parts';
import { fieldsOf, tablesOf } from '../../../document/tables';
import { Action, Select } from '../../../ui/controls';
import { Waiting } from '../../../ui/Message';
import { useRights } from '../context';

interface ProposalProps {
  connection: string;
  path: string;
  onOther: () => void;
  onDone: () => void;
}

/** What would be made of the folders: whose they are, which values each has; corrected before it is kept. */
export function EquipmentProposal({ connection, path, onOther, onDone }: ProposalProps) {
  const { project, as, draft, entities, edit, openScreen } = useRights();
  const [of, setOf] = useState<{ table: string; field: string }>();
  const [leaveOut, setLeaveOut] = useState<string[]>([]);
  const [screen, setScreen] = useState(true);
  const wish = { connection, path, ...of, leaveOut, screen };
  const found = useQuery({
    queryKey: ['equipment-proposal', project, as, draft.seq, wish],
    queryFn: () =>
      ask(api.POST('/api/build/{project}/equipment', { params: { path: { project } }, body: { wish, as } })),
    placeholderData: (old) => old,
    retry: false,
  });
  const way = path.slice(1).replaceAll('/', ' › ');
  if (found.isPending) return <Waiting what={`Looking into ${way} …`} />;
  if (!found.data)
    return (
      <>
        <Told words={wordsOf(found.error)} />
        <Action onClick={onOther}>Another folder</Action>
      </>
    );
  const p = found.data;
  const taken = p.values.filter((v) => !v.out).length;
  const take = async () => {
    const made = p.screen;
    await edit(p.patch);
    onDone();
    if (made && screen) openScreen(made);
  };
  const out = (way: string, left: boolean) =>
    setLeaveOut(left ? [...leaveOut, way] : leaveOut.filter((other) => other !== way));
  return (
    <Box aria-busy={found.isFetching}>
      <Flex align="center" gap="10px" mb="8px" wrap="wrap">
        <Box>
          <b>
            {p.folders.length} {p.folders.length === 1 ? 'folder' : 'folders'}
          </b>{' '}
          in {way}: {some(p.folders)}
        </Box>
        <Action tone="quiet" onClick={onOther}>
          another folder
        </Action>
      </Flex>
      {p.folders.length > 0 && <Whose fits={p.fits} chosen={p.chosen} onChoose={setOf} />}
      {p.chosen && (
        <>
          <Matches fit={p.chosen} folders={p.folders.length} />
          <Box as="h3" fontWeight="700" mt="12px" mb="2px">
            Values
          </Box>
          <Box as="ul" listStyleType="none" aria-label="Values">
            {p.values.map((v) => (
              <OneValue key={v.way} value={v} onOut={(left) => out(v.way, left)} />
            ))}
          </Box>
          <Flex as="label" gap="8px" align="center" my="10px">
            <input type="checkbox" checked={screen} onChange={(e) => setScreen(e.target.checked)} />
            <span>
              with an operator screen for one {entityOf(entities, p.chosen.table, 'table')?.one}, which shows them all
            </span>
          </Flex>
        </>
      )}
      {p.notes.map((n) => (
        <Box key={n} color="amberText" fontWeight="600" my="4px">
          {n}
        </Box>
      ))}
      <Action tone="main" mt="6px" disabled={p.patch.length === 0 || found.isFetching} onClick={() => void take()}>
        Take in {taken} {taken === 1 ? 'value' : 'values'}
        {p.chosen ? ` of ${p.chosen.pairs.length}` : ''}
      </Action>
    </Box>
  );
}

/** Which records the folders belong to, and by which field. */
function Whose({
  fits,
  chosen,
  onChoose,
}: {
  fits: EquipmentFit[];
  chosen: EquipmentFit | undefined;
  onChoose: (of: { table: string; field: string }) => void;
}) {
  const { entities } = useRights();
  const matching = new Map(fits.map((f) => [`${f.table}.${f.field}`, f]));
  return (
    <Flex align="center" gap="8px" wrap="wrap" mb="6px">
      <span>One for each record whose</span>
      <Select
        aria-label="Field that names the folder"
        value={chosen ? `${chosen.table}.${chosen.field}` : ''}
        onChange={(e) => {
          const [table = '', field = ''] = e.target.value.split('.');
          onChoose({ table, field });
        }}
      >
        {!chosen && <option value="">which field?</option>}
        {tablesOf(entities).map((t) => (
          <optgroup key={t.id} label={t.label}>
            {fieldsOf(t)
              .filter((f) => f.type === 'text' || (f.type === 'whole' && !f.references))
              .map((f) => {
                const fit = matching.get(`${t.id}.${f.id}`);
                return (
                  <option key={f.id} value={`${t.id}.${f.id}`}>
                    {`${t.label}: ${f.label}${fit ? ` (${fit.pairs.length} match)` : ''}`}
                  </option>
                );
              })}
          </optgroup>
        ))}
      </Select>
      <span>
        is the folder’s name
        {chosen?.before ? `, after “${chosen.before}”` : ''}
        {chosen?.after ? `, before “${chosen.after}”` : ''}
      </span>
    </Flex>
  );
}

/** What matches, and what does not. */
function Matches({ fit, folders }: { fit: EquipmentFit; folders: number }) {
  const rest = fit.records - fit.pairs.length;
  return (
    <Box fontSize="note">
      <Box color={fit.pairs.length === folders ? 'pine' : 'ink'} fontWeight="700">
        {fit.pairs.length} of {folders} folders belong to a record
        {fit.pairs.length > 0 ? `: ${some(fit.pairs.map((p) => `${p.folder} to ${p.record}`))}` : ''}
      </Box>
      {fit.lonely.length > 0 && <Box color="amberText">Without a record: {some(fit.lonely)}</Box>}
      {rest > 0 && (
        <Box color="muted">
          {rest} {rest === 1 ? 'record has' : 'records have'} no folder: {some(fit.without, rest)}
        </Box>
      )}
    </Box>
  );
}

function OneValue({ value: v, onOut }: { value: EquipmentValue; onOut: (out: boolean) => void }) {
  const range = v.low !== undefined && v.high !== undefined ? `, ${v.low} to ${v.high}` : '';
  return (
    <Flex as="li" gap="8px" borderBottomWidth="1px" borderColor="rule" py="3px" align="baseline">
      <Flex as="label" gap="8px" flex="1" align="baseline">
        <input type="checkbox" checked={!v.out} onChange={(e) => onOut(!e.target.checked)} />
        <Box minW="200px" fontWeight="600">
          {v.part}: {v.label}
        </Box>
        <Box fontSize="note" color="muted">
          {typeWords[v.type] ?? v.type}
          {v.unit ? ` in ${v.unit}` : ''}
          {range}
          {v.writable ? ', can be written' : ''}
        </Box>
      </Flex>
      {v.missing && v.missing.length > 0 && (
        <Box fontSize="note" color="amberText">
          not in {some(v.missing)}
        </Box>
      )}
    </Flex>
  );
}

const typeWords: Record<string, string> = {
  yesno: 'yes or no',
  whole: 'a whole number',
  number: 'a number',
  text: 'a text',
};

const few = 6;

/** The first few of a list, and how many more there are. */
function some(list: string[], of = list.length): string {
  const rest = of - Math.min(few, list.length);
  return list.slice(0, few).join(', ') + (rest > 0 ? ` and ${rest} more` : '');
}
