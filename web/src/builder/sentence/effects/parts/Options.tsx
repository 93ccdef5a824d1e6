import { Flex } from '@chakra-ui/react';
import { Action } from '../../../../ui/controls';
import { Typed } from '../../../../ui/Typed';

/** One of the values to choose from, as it is typed. */
export interface TypedOption {
  id: string;
  value: string;
  words: string;
}

interface OptionsProps {
  options: TypedOption[];
  onOptions: (options: TypedOption[]) => void;
  onAdd: () => void;
}

/** The values that a tag can be given, each with its words. */
export function Options({ options, onOptions, onAdd }: OptionsProps) {
  const set = (id: string, part: Partial<TypedOption>) =>
    onOptions(options.map((o) => (o.id === id ? { ...o, ...part } : o)));
  return (
    <Flex direction="column" gap="6px" w="full">
      {options.map((o, i) => (
        <Flex key={o.id} gap="6px" align="center">
          <Typed
            label={`Words of value ${i + 1}`}
            hint="words"
            width="170px"
            value={o.words}
            onSave={(words) => set(o.id, { words })}
          />
          writes
          <Typed
            label={`Value ${i + 1}`}
            hint="value"
            width="90px"
            value={o.value}
            onSave={(value) => set(o.id, { value: value.replace(',', '.') })}
          />
          <Action
            tone="quiet"
            aria-label={`Remove value ${i + 1}`}
            disabled={options.length <= 2}
            onClick={() => onOptions(options.filter((x) => x.id !== o.id))}
          >
            ×
          </Action>
        </Flex>
      ))}
      <div>
        <Action onClick={onAdd} disabled={options.length >= 12}>
          + value
        </Action>
      </div>
    </Flex>
  );
}
