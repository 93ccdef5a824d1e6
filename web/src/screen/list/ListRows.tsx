import type { ReactNode } from 'react';
import type { ListView, RowView } from '../../api/client';
import { GroupHead } from './GroupHead';
import type { DrawnRow } from './useRows';

interface RowsProps {
  list: ListView;
  rows: RowView[];
  drawn: DrawnRow[];
  above: number; // px that are not drawn
  below: number;
  measure: ((row: Element | null) => void) | undefined;
  rowAt: (index: number, measure?: (row: Element | null) => void) => ReactNode;
  fresh: ReactNode; // a row that is being added
}

/** The rows of a list that are drawn; under headings, each with that which it is the first of. */
export function ListRows({ list, rows, drawn, above, below, measure, rowAt, fresh }: RowsProps) {
  const span = 40; // columns, and more than there are
  if (!list.groups)
    return (
      <tbody>
        {above > 0 && <Gap height={above} span={span} />}
        {drawn.map(({ index }) => rowAt(index, measure))}
        {fresh}
        {below > 0 && <Gap height={below} span={span} />}
      </tbody>
    );
  const heads = (index: number) => index === 0 || rows[index]?.group !== rows[index - 1]?.group;
  return (
    <>
      <tbody>{above > 0 && <Gap height={above} span={span} />}</tbody>
      {drawn.map(({ index }) => (
        <tbody key={rows[index]?.key || index} ref={measure} data-index={index}>
          {heads(index) && <GroupHead list={list} words={rows[index]?.group ?? ''} span={span} />}
          {rowAt(index)}
        </tbody>
      ))}
      <tbody>
        {fresh}
        {below > 0 && <Gap height={below} span={span} />}
      </tbody>
    </>
  );
}

function Gap({ height, span }: { height: number; span: number }) {
  return (
    <tr aria-hidden>
      <td colSpan={span} style={{ height, padding: 0 }} />
    </tr>
  );
}
