import { Box, Flex } from '@chakra-ui/react';
import { useId } from 'react';
import type { ElementView, FieldView } from '../api/client';
import { useScreen } from './context';
import { FieldEditor } from './FieldEditor';

/** One field of the record: its label and value on a line, or its editor. */
export function FieldElement({ element, field }: { element: ElementView; field: FieldView }) {
  const { values, errors, onPress, base, builder } = useScreen();
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
        <FieldEditor id={id} field={field} invalid={!!error} />
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
              onPress(element);
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
