import { Menu } from '@chakra-ui/react';
import type { ReactNode } from 'react';

/** Words in a menu that has nothing to choose: an item all the same, as nothing else in a menu is read out. */
export function MenuWords({ children }: { children: ReactNode }) {
  return (
    <Menu.Item value="" disabled color="muted" _disabled={{ opacity: 1, cursor: 'default' }} fontSize="text">
      {children}
    </Menu.Item>
  );
}
