import { Box, Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, type TagNow } from '../../../api/client';
import { type EntityOf, entityOf, inOrder, type Kept } from '../../../document/parts';
import { Action } from '../../../ui/controls';
import { Typed } from '../../../ui/Typed';
import { RecordChip } from '../../RecordChip';
import { useRecords } from '../../useRecords';
import { useRights } from '../context';
import { readEvery } from './readEvery';
import { TagLine } from './TagLine';

/** The equipment of a table: what each value is called, and what it is now at one record. */
export function EquipmentTags({ equipment: e }: { equipment: Kept<EntityOf<'equipment'>> }) {
  const { project, as, entities, edit, openData } = useRights();
  const [chosen, setChosen] = useState<{ key: string; title: string }>();
  const table = entityOf(entities, e.table, 'table');
  const first = useRecords({ project, as, table: e.table, enabled: table !== undefined });
  const record = chosen ?? first.data?.[0];
  const now = useQuery({
    queryKey: ['equipment', project, e.id, record?.key, as],
    queryFn: () =>
      ask(
        api.GET('/api/build/{project}/equipment/{table}', {
          params: { path: { project, table: e.table }, query: { record: record?.key ?? '', as } },
        }),
      ),
    enabled: record !== undefined,
    refetchInterval: readEvery,
    retry: false,
  });
  const values = new Map<string, TagNow>((now.data ?? []).map((v) => [`${v.part}.${v.tag}`, v]));
  const remove = (path: string) => void edit([{ op: 'remove', path }]);
  const parts = inOrder(e.parts);
  return (
    <Box as="section" aria-label={table?.label} mb="26px">
      <Flex align="center" gap="12px" mb="6px" wrap="wrap">
        <Box as="h2" fontWeight="800">
          {table?.label ?? 'A table that is gone'}
        </Box>
        <Box color="muted" fontSize="note">
          in {entityOf(entities, e.source, 'source')?.name ?? 'a plant that is gone'}
        </Box>
        {table && (
          <RecordChip
            project={project}
            as={as}
            table={e.table}
            one={table.one}
            record={record}
            label="Record whose values are shown"
            onRecord={(key, title) => setChosen({ key, title })}
          />
        )}
        {table && (
          <Action tone="quiet" onClick={() => openData(e.table)}>
            its table
          </Action>
        )}
        <Box flex="1" />
        <Action tone="bad" onClick={() => remove(`/${e.id}`)}>
          Remove the equipment
        </Action>
      </Flex>
      {first.isError && (
        <Box color="muted" fontSize="note" mb="4px">
          Whom you walk as may not see these records: their values are not shown.
        </Box>
      )}
      {parts.map((p) => (
        <Box key={p.id} mb="10px">
          <Flex align="center" gap="8px" mb="2px">
            <Typed
              label={`What the part ${p.alias} is called`}
              width="180px"
              value={p.label}
              onSave={(v) => v && void edit([{ op: 'replace', path: `/${e.id}/parts/${p.id}/label`, value: v }])}
            />
            <Box fontFamily="mono" fontSize="12px" color="muted">
              {p.alias}
            </Box>
          </Flex>
          <Box as="table" w="full" fontSize="note" css={{ borderCollapse: 'collapse', tableLayout: 'fixed' }}>
            <tbody>
              {inOrder(p.tags).map((t) => (
                <TagLine
                  key={t.id}
                  tag={t}
                  table={e.table}
                  now={values.get(`${p.id}.${t.id}`)}
                  path={`/${e.id}/parts/${p.id}/tags/${t.id}`}
                />
              ))}
            </tbody>
          </Box>
        </Box>
      ))}
    </Box>
  );
}
