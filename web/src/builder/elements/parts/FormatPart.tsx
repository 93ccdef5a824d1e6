import type { Column } from '../../../document/document.gen';
import { ChosenPart } from './ChosenPart';

const digits = [
  ['bare', 'nothing between thousands'],
  ['0', 'no digits behind the point'],
  ['1', 'one digit behind the point'],
  ['2', 'two digits behind the point'],
  ['3', 'three digits behind the point'],
] as const;

/** How values can be written otherwise than usual, by the type of their field. */
const formats: Record<string, readonly (readonly [id: string, words: string])[]> = {
  whole: digits.slice(0, 1),
  number: digits,
  decimal: digits,
  date: [
    ['long', 'with the name of the day'],
    ['short', 'in figures'],
    ['month', 'the month alone'],
  ],
  moment: [
    ['day', 'the day alone'],
    ['time', 'the time alone'],
    ['long', 'with the name of the day'],
  ],
  yesno: [['mark', '✓ and –']],
};

interface FormatProps {
  path: string[]; // of what it is a part of
  field: Column | undefined;
  value: string | undefined;
}

/** How the values of a field are written here; nothing where there is but one way. */
export function FormatPart({ path, field, value }: FormatProps) {
  const among = formats[field?.references ? '' : (field?.type ?? '')];
  if (!among) return null;
  return <ChosenPart path={path} name="format" label="Written" value={value} among={[['', 'as usual'], ...among]} />;
}
