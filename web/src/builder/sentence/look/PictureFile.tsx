import { Box, Flex } from '@chakra-ui/react';
import { DropFile } from '../../../ui/DropFile';

interface FileProps {
  label: string;
  onFile: (file: File) => void;
}

/** A picture file: chosen, or dropped here. */
export function PictureFile({ label, onFile }: FileProps) {
  return (
    <Box mt="8px">
      <DropFile onFile={onFile}>
        <Flex align="center">
          <input
            type="file"
            aria-label={label}
            accept="image/png,image/jpeg,image/webp,image/gif,image/avif,image/svg+xml"
            onChange={(e) => e.target.files?.[0] && onFile(e.target.files[0])}
          />
          <span className="drop-words">or drop one here</span>
        </Flex>
      </DropFile>
    </Box>
  );
}
