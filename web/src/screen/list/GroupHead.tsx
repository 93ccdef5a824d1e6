import type { ListView } from '../../api/client';
import { useLanguage } from '../context';

interface HeadProps {
  list: ListView;
  words: string;
  span: number; // columns
}

/** The heading that rows stand under, with how many there are of all. */
export function GroupHead({ list, words, span }: HeadProps) {
  const { count } = useLanguage();
  const n = list.groups?.[words];
  return (
    <tr className="row-group">
      <th colSpan={span} scope="rowgroup">
        {words} {n !== undefined && <span className="row-total-of">{count(n)}</span>}
      </th>
    </tr>
  );
}
