import { Box, Flex } from '@chakra-ui/react';
import { put } from '../../../document/edit';
import { screensOf } from '../../../document/screens';
import { Action, Select } from '../../../ui/controls';
import { useRights } from '../context';

/** The screens that other applications may lead to. */
export function Offers() {
  const { entities, edit, openScreen } = useRights();
  const all = screensOf(entities);
  const offered = all.filter((s) => s.offered);
  const offer = (screen: string, yes: boolean) => void edit(put(entities, [screen, 'offered'], yes || undefined));
  return (
    <Flex align="flex-start" gap="8px" borderTopWidth="1px" borderColor="rule" maxW="860px" py="9px" wrap="wrap">
      <Box minW="250px">Other applications may lead to</Box>
      <Box flex="1" minW="280px">
        <Box as="ul" listStyleType="none" aria-label="Screens that other applications may lead to">
          {offered.length === 0 && (
            <Box as="li" color="muted">
              no screen of this one
            </Box>
          )}
          {offered.map((s) => (
            <Flex as="li" key={s.id} gap="8px" align="center">
              <Action tone="quiet" onClick={() => openScreen(s.id)}>
                {s.title}
              </Action>
              <Action tone="quiet" aria-label={`Offer ${s.title} no more`} onClick={() => offer(s.id, false)}>
                Remove
              </Action>
            </Flex>
          ))}
        </Box>
        <Select
          aria-label="Offer a screen"
          value=""
          mt="4px"
          onChange={(e) => e.target.value && offer(e.target.value, true)}
        >
          <option value="">+ offer a screen</option>
          {all
            .filter((s) => !s.offered)
            .map((s) => (
              <option key={s.id} value={s.id}>
                {s.title}
              </option>
            ))}
        </Select>
      </Box>
    </Flex>
  );
}
