/** The pages of the Data view that are about the application as a whole. */
export const wholePages: [id: string, words: string][] = [
  ['application', 'Application'],
  ['database', 'Read again'],
  ['plant', 'Plant'],
  ['callups', 'Call-ups'],
  ['commands', 'Commands'],
];

/** The pages of the Data view about rights. */
export const dataPages: [id: string, words: string][] = [
  ['tables', 'Roles and tables'],
  ['screens', 'Roles and screens'],
  ['roles', 'Roles and people'],
  ['conditions', 'Shared conditions'],
  ['variables', 'Variables'],
  ['log', 'Log'],
];
