import { Box, Flex } from '@chakra-ui/react';
import { useId } from 'react';
import type { ElementView, FieldView } from '../../api/client';
import { useScreen } from '../context';
import { ValueInput } from './ValueInput';

/** One field of the record: its label and value on a line, or its editor. */
export function FieldElement({ element, field }: { element: ElementView; field: FieldView }) {
  const { values, errors, onType, onPress, base, builder, work } = useScreen();
  const id = useId();
  const error = errors[field.path];
  const dirty = field.path in values;
  if (field.editable) {
    return (
      <Box>
        <Flex as="label" {...{ htmlFor: id }} justify="space-between" fontSize="note" color="muted" mb="3px">
          <span>
            {field.label}
            {field.required && (
              <Box as="span" color="brick">
                {' '}
                *
              </Box>
            )}
            {field.unit && ` (${field.unit})`}
          </span>
          {dirty && (
            <Box as="span" color="amberText" fontWeight="700">
              changed
            </Box>
          )}
        </Flex>
        <ValueInput
          id={id}
          field={field}
          value={values[field.path] ?? field.value}
          invalid={!!error}
          given={work?.given[field.path]}
          onType={(v) => onType(field.path, v)}
          onAdd={field.add && work ? () => work.addParent(field.path) : undefined}
        />
        {error && (
          <Box id={`${id}-error`} color="brick" fontSize="note" fontWeight="600" mt="3px" role="alert">
            {error}
          </Box>
        )}
      </Box>
    );
  }
  const way = field.way && element.state === 'shown';
  return (
    <Flex
      borderBottomWidth="1px"
      borderBottomStyle="dotted"
      borderColor="rule"
      py="6px"
      gap="10px"
      align={field.long ? 'flex-start' : 'baseline'}
      minH="36px"
    >
      <Box color="muted" fontSize="note" flexShrink={0} w={field.long ? '86px' : '38%'} maxW="120px">
        {field.label}
      </Box>
      <Box
        minW={0}
        fontWeight={field.state === 'known' && !field.long ? '650' : '400'}
        color={field.state === 'known' ? 'ink' : 'muted'}
        whiteSpace={field.long ? 'pre-wrap' : undefined}
      >
        {way ? (
          <Box
            as="a"
            {...(field.href && !builder ? { href: base + field.href } : { role: 'link', tabIndex: 0 })}
            color="pine"
            textDecoration="underline"
            cursor="pointer"
            onClick={(e: React.MouseEvent) => {
              if (e.ctrlKey || e.metaKey) return;
              e.preventDefault();
              void onPress(element);
            }}
          >
            {field.words}
          </Box>
        ) : (
          <Value field={field} />
        )}
      </Box>
    </Flex>
  );
}

function Value({ field }: { field: FieldView }) {
  if (field.state === 'empty') return <>–</>;
  if (field.type === 'json') {
    return (
      <Box as="pre" fontFamily="mono" fontSize="note" fontWeight="400" whiteSpace="pre-wrap" overflowWrap="anywhere">
        {field.words}
      </Box>
    );
  }
  return (
    <>
      {field.words}
      {field.unit && field.state === 'known' && (
        <Box as="span" color="muted" fontWeight="400">
          {' '}
          {field.unit}
        </Box>
      )}
    </>
  );
}
