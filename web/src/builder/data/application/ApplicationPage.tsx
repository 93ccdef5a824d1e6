import { Box, Flex } from '@chakra-ui/react';
import type { Settings } from '../../../document/document.gen';
import { put } from '../../../document/edit';
import { rolesOf } from '../../../document/project';
import { inputsOf, screensOf } from '../../../document/screens';
import { fieldsOf, tablesOf } from '../../../document/tables';
import { Select } from '../../../ui/controls';
import { written } from '../../../ui/language';
import { Typed } from '../../../ui/Typed';
import { useRights } from '../context';
import { ViewHead } from '../ViewHead';
import { languages } from './languages';
import { Offers } from './Offers';
import { SettingLine } from './SettingLine';
import { StyleLines } from './StyleLines';

/** What belongs to the application as a whole: what it is called, its zone, who its users are. */
export function ApplicationPage() {
  const { project, entities, edit } = useRights();
  const settings = entities.project as Settings;
  const set = (member: 'title' | 'zone', value: string) =>
    void edit([{ op: 'replace', path: `/project/${member}`, value }]);
  const table = tablesOf(entities).find((t) => t.id === settings.userTable);
  const texts = fieldsOf(table).filter((f) => f.type === 'text');
  const users = (userTable: string, userField: string) =>
    void edit(
      userTable
        ? [
            { op: settings.userTable ? 'replace' : 'add', path: '/project/userTable', value: userTable },
            { op: settings.userField ? 'replace' : 'add', path: '/project/userField', value: userField },
          ]
        : [
            { op: 'remove', path: '/project/userTable' },
            { op: 'remove', path: '/project/userField' },
          ],
    );
  return (
    <>
      <ViewHead title="Application">
        What belongs to it as a whole. Each change is one step, which undo takes back.
      </ViewHead>
      <Box overflowY="auto" flex="1" minH={0}>
        <SettingLine words="It is called">
          <Typed
            label="What the application is called"
            width="280px"
            value={settings.title}
            onSave={(v) => v && set('title', v)}
          />
        </SettingLine>
        <SettingLine words="Its address is">
          <Box as="span" fontFamily="mono" fontSize="note">
            /use/{project}
          </Box>
        </SettingLine>
        <SettingLine words="Today is told in the zone">
          <Select aria-label="Zone" value={settings.zone} onChange={(e) => set('zone', e.target.value)}>
            {[...new Set([settings.zone, 'UTC', ...Intl.supportedValuesOf('timeZone')])].map((z) => (
              <option key={z} value={z}>
                {z.replaceAll('_', ' ')}
              </option>
            ))}
          </Select>
        </SettingLine>
        <SettingLine words="Numbers and dates are written in">
          <Select
            aria-label="Language of numbers and dates"
            value={settings.language ?? 'en'}
            onChange={(e) =>
              void edit(put(entities, ['project', 'language'], e.target.value === 'en' ? undefined : e.target.value))
            }
          >
            {languages.map(([tag, name]) => (
              <option key={tag} value={tag}>
                {name}
              </option>
            ))}
          </Select>
          <Box as="span" color="muted" fontSize="note">
            {sample(settings.language ?? 'en')}
          </Box>
        </SettingLine>
        <SettingLine words="Users have a record of their own in">
          <Select
            aria-label="Table of users"
            value={settings.userTable ?? ''}
            onChange={(e) => {
              const next = tablesOf(entities).find((t) => t.id === e.target.value);
              const texts = fieldsOf(next).filter((f) => f.type === 'text');
              const first = texts.find((f) => /mail|login|user/.test(f.alias)) ?? texts[0];
              if (!next || first) users(next?.id ?? '', first?.id ?? '');
            }}
          >
            <option value="">no table</option>
            {tablesOf(entities)
              .filter((t) => t.id === settings.userTable || fieldsOf(t).some((f) => f.type === 'text'))
              .map((t) => (
                <option key={t.id} value={t.id}>
                  {t.label}
                </option>
              ))}
          </Select>
          {table && (
            <>
              <span>, known by</span>
              <Select
                aria-label="Field of the name to sign in by"
                value={settings.userField ?? ''}
                onChange={(e) => users(table.id, e.target.value)}
              >
                {texts.map((f) => (
                  <option key={f.id} value={f.id}>
                    {f.label}
                  </option>
                ))}
              </Select>
              <Box as="span" color="muted" fontSize="note">
                as they sign in
              </Box>
            </>
          )}
        </SettingLine>
        <SettingLine words="Who comes in begins at" tall>
          <Box as="ul" listStyleType="none" display="grid" gap="6px" aria-label="Where each role begins">
            {rolesOf(entities).map((r) => (
              <Flex as="li" key={r.id} align="center" gap="8px">
                <Box minW="110px" fontWeight="700">
                  {r.name}
                </Box>
                <Select
                  aria-label={`Where ${r.name} begin`}
                  value={r.start}
                  onChange={(e) => void edit(put(entities, [r.id, 'start'], e.target.value))}
                >
                  {screensOf(entities)
                    .filter((s) => s.id === r.start || inputsOf(s).every((i) => !i.required))
                    .map((s) => (
                      <option key={s.id} value={s.id}>
                        {s.title}
                      </option>
                    ))}
                </Select>
              </Flex>
            ))}
            <Box as="li" color="muted" fontSize="note">
              The first of these roles that somebody has decides.
            </Box>
          </Box>
        </SettingLine>
        <Offers />
        <StyleLines settings={settings} />
      </Box>
    </>
  );
}

/** A number and a day as users will see them. */
function sample(language: string) {
  const { count, day } = written(language);
  return `${count(14200)} on ${day(new Date(2026, 10, 3), { dateStyle: 'medium' })}`;
}
