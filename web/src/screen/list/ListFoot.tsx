import { Box } from '@chakra-ui/react';
import type { ListView } from '../../api/client';
import { Action } from '../../ui/controls';
import { useLanguage, useScreen } from '../context';
import type { Stretch } from './useStretch';

interface FootProps {
  list: ListView;
  stretch: Stretch;
  onJump: (toEnd: boolean) => void;
}

/** Below a list: how many rows there are, and the ways to its ends. */
export function ListFoot({ list, stretch, onJump }: FootProps) {
  const { count } = useLanguage();
  const known = list.more ? `more than ${count(list.count)}` : count(list.count);
  if (stretch.rows.length === 0) return null;
  return (
    <div className="rows-foot">
      {(list.main || stretch.next) && list.count > 0 && (
        <span>
          {!list.main && stretch.rows.length < list.count ? `${stretch.rows.length} of ` : ''}
          {known} {list.count === 1 ? 'row' : 'rows'}
        </span>
      )}
      {!list.main && stretch.next && (
        <Action onClick={() => void stretch.grow(false)} disabled={stretch.waiting}>
          {stretch.waiting ? 'fetching …' : 'show more'}
        </Action>
      )}
      {list.main && stretch.before && (
        <Action tone="quiet" minH="26px" onClick={() => onJump(false)}>
          ⇤ to the first
        </Action>
      )}
      {list.main && stretch.next && (
        <Action tone="quiet" minH="26px" onClick={() => onJump(true)}>
          to the last ⇥
        </Action>
      )}
      {stretch.problem && (
        <Box color="brick" fontWeight="600" role="alert">
          {stretch.problem}
        </Box>
      )}
    </div>
  );
}

/** Stands where no row does. */
export function Empty() {
  const { view } = useScreen();
  const narrowed = (view.context ?? []).length > 0 || !!view.find;
  return (
    <Box py="22px" px="8px" color="muted">
      {narrowed ? 'Nothing here fits. Clear what narrows the list to see more.' : 'There is nothing here yet.'}
    </Box>
  );
}
