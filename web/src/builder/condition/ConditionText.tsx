import { Box } from '@chakra-ui/react';
import { useId, useRef, useState } from 'react';
import { flushSync } from 'react-dom';
import type { ConditionRead, Offer } from '../../api/client';
import { Action } from '../../ui/controls';
import { Calling } from './Calling';
import { Offers } from './Offers';
import type { Spot } from './spot';
import { Underlined } from './Underlined';
import { useCompletion } from './useCompletion';

interface TextProps {
  spot: Spot;
  text: string;
  problem: ConditionRead['problem'];
  onText: (t: string) => void;
}

/** How many offers are shown at once. */
const shownOffers = 8;

/** A condition as text: completed while it is typed, what is wrong underlined and, where there is one, a proposal. */
export function ConditionText({ spot, text, problem, onText }: TextProps) {
  const field = useRef<HTMLTextAreaElement>(null);
  const id = useId();
  const [cursor, setCursor] = useState<number>(); // undefined: no offers wanted
  const [lit, setLit] = useState(0);
  const found = useCompletion(spot, text, cursor);
  const offers = cursor === undefined ? [] : (found?.offers ?? []).slice(0, shownOffers);
  const chars = Array.from(text);
  const put = (from: number, to: number, what: string) => {
    const at = from + Array.from(what).length;
    flushSync(() => {
      onText([...chars.slice(0, from), what, ...chars.slice(to)].join(''));
      setCursor(/[.("]$/.test(what) ? at : undefined);
    });
    // At once: by the next drawing somebody may have typed on.
    const place = Array.from(field.current?.value ?? '')
      .slice(0, at)
      .join('').length;
    field.current?.focus();
    field.current?.setSelectionRange(place, place);
  };
  const take = (o: Offer | undefined) => o && found && put(found.from, found.to, o.text);
  const look = () => {
    const place = field.current?.selectionStart ?? 0;
    setCursor(Array.from((field.current?.value ?? '').slice(0, place)).length);
    setLit(0);
  };
  const onKey = (e: React.KeyboardEvent) => {
    if (e.key === ' ' && e.ctrlKey) look();
    else if (offers.length === 0) return;
    else if (e.key === 'ArrowDown') setLit((lit + 1) % offers.length);
    else if (e.key === 'ArrowUp') setLit((lit + offers.length - 1) % offers.length);
    else if (e.key === 'Enter' || e.key === 'Tab') take(offers[lit]);
    else if (e.key === 'Escape') setCursor(undefined);
    else return;
    e.preventDefault();
    e.stopPropagation();
  };
  return (
    <Box>
      <Box position="relative" fontFamily="mono" fontSize="14px" lineHeight="1.5">
        <Underlined chars={chars} problem={problem} />
        <Box
          asChild
          w="full"
          p="8px 10px"
          bg="paper"
          borderWidth="1px"
          borderColor={problem && text ? 'brick' : 'rule'}
          borderRadius="4px"
          fontFamily="mono"
          fontSize="14px"
          lineHeight="1.5"
          resize="vertical"
        >
          <textarea
            ref={field}
            role="combobox"
            aria-label="Condition as text"
            aria-expanded={offers.length > 0}
            aria-controls={id}
            aria-autocomplete="list"
            aria-activedescendant={offers.length > 0 ? `${id}.${lit}` : undefined}
            aria-invalid={(!!problem && text !== '') || undefined}
            rows={3}
            spellCheck={false}
            value={text}
            onChange={(e) => {
              onText(e.target.value);
              look();
            }}
            onKeyDown={onKey}
            onBlur={() => setCursor(undefined)}
          />
        </Box>
      </Box>
      {cursor !== undefined && found?.calling && <Calling of={found.calling} />}
      {offers.length > 0 && <Offers id={id} offers={offers} lit={lit} onTake={take} onLight={setLit} />}
      {problem && text && (
        <Box color="brick" fontSize="note" fontWeight="600" mt="4px" role="alert">
          {problem.message}{' '}
          {problem.proposal && (
            <Action
              tone="bad"
              minH="26px"
              onClick={() => put(problem.at, problem.at + problem.length, problem.proposal ?? '')}
            >
              {problem.proposal}
            </Action>
          )}
        </Box>
      )}
    </Box>
  );
}
