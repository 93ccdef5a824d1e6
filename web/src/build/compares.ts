/** The comparisons that fit a type, in words. */
export function comparesFor(type: string, choices: boolean): [string, string][] {
  const empty: [string, string][] = [
    ['empty', 'is empty'],
    ['notEmpty', 'is not empty'],
  ];
  if (type === 'record') return empty;
  if (type === 'yesno') return [['is', 'is']];
  if (type === 'text' && !choices) return [['is', 'is'], ['isNot', 'is not'], ...empty];
  const order: [string, string][] =
    type === 'date' || type === 'moment'
      ? [
          ['less', 'is before'],
          ['atMost', 'is by'],
          ['more', 'is after'],
          ['atLeast', 'is from'],
        ]
      : [
          ['less', 'is less than'],
          ['atMost', 'is at most'],
          ['more', 'is more than'],
          ['atLeast', 'is at least'],
        ];
  return [['is', 'is'], ['isNot', 'is not'], ...order, ...empty];
}
