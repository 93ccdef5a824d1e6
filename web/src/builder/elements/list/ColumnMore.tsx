import { Flex } from '@chakra-ui/react';
import { useState } from 'react';
import type { Column, ListColumn } from '../../../document/document.gen';
import type { Kept } from '../../../document/parts';
import { Action } from '../../../ui/controls';
import { Pop } from '../../Pop';
import { ChosenPart } from '../parts/ChosenPart';
import { FormatPart } from '../parts/FormatPart';

interface MoreProps {
  at: string[]; // of the columns
  column: Kept<ListColumn>;
  words: string;
  number: boolean;
  field: Column | undefined;
}

/** What else can be said of a column: where its values stand, how they are drawn, and what is told of all at the foot. */
export function ColumnMore({ at, column: c, words, number, field }: MoreProps) {
  const [open, setOpen] = useState(false);
  const path = [...at, c.id];
  return (
    <>
      <Action
        tone="quiet"
        minH="24px"
        px="6px"
        aria-haspopup="dialog"
        aria-expanded={open}
        aria-label={`More of the column ${words}`}
        onClick={() => setOpen(!open)}
      >
        ⋯
      </Action>
      {open && (
        <Pop label={`The column ${words}`} onClose={() => setOpen(false)}>
          <Flex p="12px" gap="12px">
            <ChosenPart path={path} name="align" label="Its values stand" value={c.align} among={sides} />
            {number && <ChosenPart path={path} name="look" label="Drawn as" value={c.look} among={drawn} />}
            <FormatPart path={path} field={field} value={c.format} />
            <ChosenPart
              path={path}
              name="total"
              label="At the foot"
              value={c.total}
              among={number ? totals : totals.slice(0, 2)}
            />
          </Flex>
        </Pop>
      )}
    </>
  );
}

const sides = [
  ['', 'as usual'],
  ['left', 'at the left'],
  ['middle', 'in the middle'],
  ['right', 'at the right'],
] as const;

const drawn = [
  ['', 'a number'],
  ['bar', 'a number with a bar'],
] as const;

const totals = [
  ['', 'nothing'],
  ['count', 'how many'],
  ['sum', 'the sum'],
  ['mean', 'the average'],
  ['most', 'the most'],
  ['least', 'the least'],
] as const;
