import { Box, Flex } from '@chakra-ui/react';
import { type Appearance, useAppearance } from '../../ui/theme/appearance';
import { Head } from './Head';

const choices: [Appearance, string][] = [
  ['system', 'as the system does'],
  ['light', 'light'],
  ['dark', 'dark'],
];

/** How the interface looks in this browser. */
export function Look() {
  const [chosen, choose] = useAppearance();
  return (
    <Box as="section" aria-label="Appearance" mt="26px" mb="26px">
      <Head>Appearance</Head>
      <Flex as="fieldset" direction="column" gap="6px">
        {choices.map(([id, words]) => (
          <Flex as="label" key={id} gap="8px" align="center">
            <input type="radio" name="appearance" checked={chosen === id} onChange={() => choose(id)} />
            {words}
          </Flex>
        ))}
      </Flex>
      <Box color="muted" fontSize="note" mt="6px">
        In this browser. An application can fix it for some of its screens, as control rooms do.
      </Box>
    </Box>
  );
}
