/** Text that is an expression rather than words: it begins with a name the language knows, or a quote. */
export function looksWorkedOut(words: string) {
  return /^(record|row|inputs|user|vars)\.|^"|\(\)$/.test(words);
}

/** Whether what is typed is a value of the type, rather than an expression. */
export function isConstant(words: string, type: string) {
  if (type === 'text') return !looksWorkedOut(words);
  if (type === 'date') return /^\d{4}-\d\d-\d\d$/.test(words);
  if (type === 'whole') return /^-?\d+$/.test(words);
  return /^(number|decimal)$/.test(type) && /^-?\d+(\.\d+)?$/.test(words);
}
