import { Box } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useLayoutEffect } from 'react';
import type { FieldView, Title } from '../../api/client';
import { Panel } from '../../ui/Panel';
import { useScreen } from '../context';

interface OptionsProps {
  id: string;
  field: FieldView;
  typed: string;
  at: number;
  offered: React.RefObject<Title[]>;
  onPoint: (at: number) => void;
  onChoose: (o: Title) => void;
  onAdd: (() => void) | undefined;
}

/** The records that fit what is typed so far. */
export function ParentOptions({ id, field, typed, at, offered, onPoint, onChoose, onAdd }: OptionsProps) {
  const { titles } = useScreen();
  const table = field.table ?? '';
  const found = useQuery({ queryKey: ['titles', table, typed], queryFn: () => titles(table, typed) });
  const options = [...(field.required ? [] : [{ key: '', title: '– none –' }]), ...(found.data ?? [])];
  useLayoutEffect(() => {
    offered.current = options;
  });
  return (
    <Panel
      position="absolute"
      zIndex="dropdown"
      top="100%"
      left="0"
      right="0"
      maxH="260px"
      overflowY="auto"
      borderTopRadius="0"
      boxShadow="none"
    >
      <Box id={id} role={options.length > 0 ? 'listbox' : undefined}>
        {options.map((o, i) => (
          <Box
            key={o.key}
            role="option"
            aria-selected={i === at}
            px="10px"
            py="6px"
            cursor="pointer"
            bg={i === at ? 'amberSoft' : undefined}
            onMouseEnter={() => onPoint(i)}
            onMouseDown={(e) => {
              e.preventDefault();
              onChoose(o);
            }}
          >
            {o.title}
          </Box>
        ))}
      </Box>
      {!found.data?.length && (
        <Box px="10px" py="6px" color="muted">
          {found.isError
            ? 'This could not be looked up. Type again.'
            : found.data
              ? 'Nothing found by that name.'
              : '…'}
        </Box>
      )}
      {onAdd && (
        <Box
          px="10px"
          py="8px"
          borderTopWidth="1px"
          borderColor="rule"
          color="pine"
          fontWeight="700"
          cursor="pointer"
          onMouseDown={(e) => {
            e.preventDefault();
            onAdd();
          }}
        >
          + Add one that is missing …
        </Box>
      )}
    </Panel>
  );
}
