import { Box } from '@chakra-ui/react';

/** Lets a row be changed where it stands. */
export function RowChange({ title, onEdit }: { title: string; onEdit: () => void }) {
  return (
    <Box
      as="button"
      float="right"
      aria-label={`Change ${title}`}
      fontSize="note"
      color="pine"
      fontWeight="700"
      textDecoration="underline"
      cursor="pointer"
      pl="12px"
      onClick={(e: React.MouseEvent) => {
        e.preventDefault();
        onEdit();
      }}
    >
      change
    </Box>
  );
}
