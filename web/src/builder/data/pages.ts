/** The pages of the Data view besides those of single tables. */
export const dataPages: [id: string, words: string][] = [
  ['tables', 'Roles and tables'],
  ['screens', 'Roles and screens'],
  ['roles', 'Roles and people'],
  ['conditions', 'Shared conditions'],
  ['variables', 'Variables'],
  ['database', 'Read again'],
  ['log', 'Log'],
];
