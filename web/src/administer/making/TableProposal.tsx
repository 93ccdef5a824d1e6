import { Box, Flex } from '@chakra-ui/react';
import type { ProposedField, ProposedTable } from '../../api/client';
import { Select } from '../../ui/controls';
import { Typed } from '../../ui/Typed';
import type { Wishes } from './useWishes';

/** A table as it will be called and shown, with the reasons; each of it can be corrected. */
export function TableProposal({ table: t, wishes }: { table: ProposedTable; wishes: Wishes }) {
  const set = (part: Parameters<Wishes['table']>[2]) => wishes.table(t.schema, t.name, part);
  const taken = t.fields.filter((f) => f.id);
  const login = wishes.wish.people;
  const isLogin = login?.schema === t.schema && login.table === t.name;
  return (
    <section aria-label={t.label}>
      <Flex align="baseline" gap="10px" mb="8px" wrap="wrap">
        <Box as="h2" fontSize="head" fontWeight="800">
          {t.label}
        </Box>
        <Box color="muted">
          {t.schema}.{t.name}, as it will be called and shown
        </Box>
      </Flex>
      <Flex align="center" gap="6px" wrap="wrap" mb="6px">
        <span>They are called</span>
        <Typed label="What its records are called" value={t.label} width="170px" onSave={(label) => set({ label })} />
        <span>and one of them a</span>
        <Typed label="What one record is called" value={t.one} width="150px" onSave={(one) => set({ one })} />
        <Box as="span" ml="-4px">
          , told by
        </Box>
        <Choice label="Told by" value={t.title} fields={taken} none="its key" onChoose={(title) => set({ title })} />
        <Box as="span" ml="-4px">
          , listed in order of
        </Box>
        <Choice
          label="In order of"
          value={t.order ?? ''}
          fields={taken}
          none="its key"
          onChoose={(order) => set({ order })}
        />
      </Flex>
      {t.login && (
        <Flex as="label" align="center" gap="8px" mb="6px">
          <input
            type="checkbox"
            checked={isLogin}
            onChange={() =>
              wishes.set({ people: isLogin ? undefined : { schema: t.schema, table: t.name, column: t.login ?? '' } })
            }
          />
          These are people who sign in here, by “{t.login}”: each meets their own record
        </Flex>
      )}
      {t.notes.map((n) => (
        <Box key={n} color="muted" fontSize="note">
          {n}
        </Box>
      ))}
      <Box asChild w="full" borderCollapse="collapse" textAlign="left" mt="8px">
        <table aria-label={`Fields of ${t.label}`}>
          <thead>
            <tr>
              {['Field', 'In the database', 'What it is', 'Why', 'In the list', 'Taken in'].map((h) => (
                <Box asChild key={h} fontSize="note" color="muted" fontWeight="700" py="4px" pr="12px">
                  <th scope="col">{h}</th>
                </Box>
              ))}
            </tr>
          </thead>
          <tbody>
            {t.fields.map((f) => (
              <FieldRow key={f.column} table={t} field={f} wishes={wishes} />
            ))}
          </tbody>
        </table>
      </Box>
    </section>
  );
}

function FieldRow({ table: t, field: f, wishes }: { table: ProposedTable; field: ProposedField; wishes: Wishes }) {
  const set = (part: Parameters<Wishes['field']>[3]) => wishes.field(t.schema, t.name, f.column, part);
  const shut = !f.id && f.why !== 'left out';
  return (
    <Box asChild borderTopWidth="1px" borderColor="rule" color={f.id ? 'ink' : 'muted'}>
      <tr>
        <Cell>
          {f.id ? (
            <Typed label={`Name of ${f.column}`} value={f.label} width="170px" onSave={(label) => set({ label })} />
          ) : (
            f.label
          )}
        </Cell>
        <Cell>
          <Box as="span" fontFamily="mono" fontSize="note">
            {f.column}
          </Box>
        </Cell>
        <Cell>{f.what}</Cell>
        <Cell>
          <Box as="span" color={f.ask ? 'ink' : 'muted'} fontWeight={f.ask ? '700' : undefined} fontSize="note">
            {f.why}
          </Box>
        </Cell>
        <Cell>
          <input
            type="checkbox"
            aria-label={`${f.label} in the list`}
            checked={f.inList ?? false}
            disabled={!f.id}
            onChange={() => set({ inList: !f.inList })}
          />
        </Cell>
        <Cell>
          <input
            type="checkbox"
            aria-label={`${f.label} taken in`}
            checked={Boolean(f.id)}
            disabled={shut}
            onChange={() => set({ out: Boolean(f.id) })}
          />
        </Cell>
      </tr>
    </Box>
  );
}

function Cell({ children }: { children: React.ReactNode }) {
  return (
    <Box asChild py="3px" pr="12px">
      <td>{children}</td>
    </Box>
  );
}

interface ChoiceProps {
  label: string;
  value: string;
  fields: ProposedField[];
  none: string;
  onChoose: (column: string) => void;
}

function Choice({ label, value, fields, none, onChoose }: ChoiceProps) {
  return (
    <Select aria-label={label} value={value} onChange={(e) => onChoose(e.target.value)}>
      {!value && <option value="">{none}</option>}
      {fields.map((f) => (
        <option key={f.column} value={f.column}>
          {f.label}
        </option>
      ))}
    </Select>
  );
}
