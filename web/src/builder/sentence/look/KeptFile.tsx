import { Box, Flex } from '@chakra-ui/react';
import { DropFile } from '../../../ui/files/DropFile';
import type { Sort } from '../../keep';
import { sorts } from './keptSorts';

interface FileProps {
  sort: Sort;
  label: string;
  onFile: (file: File) => void;
}

/** A file: chosen, or dropped here. */
export function KeptFile({ sort, label, onFile }: FileProps) {
  return (
    <Box mt="8px">
      <DropFile onFile={onFile}>
        <Flex align="center" gap="8px" wrap="wrap">
          <input
            type="file"
            aria-label={label}
            style={{ maxWidth: 220 }}
            accept={sorts[sort].accept}
            onChange={(e) => e.target.files?.[0] && onFile(e.target.files[0])}
          />
          <span className="drop-words">or drop one here</span>
        </Flex>
      </DropFile>
    </Box>
  );
}
