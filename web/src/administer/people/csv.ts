import type { ApplicationRoles, NewPerson } from '../../api/client';

/** One line of a list of people, as it would be added, or what is wrong with it. */
export interface ReadPerson {
  line: number;
  person?: NewPerson;
  words: string; // roles in words, or what is wrong
}

/** The fields of a text of comma- or semicolon-separated values (RFC 4180), line by line. */
export function fieldsOf(text: string): string[][] {
  const head = text.slice(0, text.indexOf('\n') < 0 ? text.length : text.indexOf('\n'));
  const by = (head.match(/;/g)?.length ?? 0) > (head.match(/,/g)?.length ?? 0) ? ';' : ',';
  const rows: string[][] = [];
  let row: string[] = [];
  let field = '';
  let quoted = false;
  const endField = () => {
    row.push(field.trim());
    field = '';
  };
  const endRow = () => {
    endField();
    if (row.some((f) => f !== '')) rows.push(row);
    row = [];
  };
  for (let i = 0; i < text.length; i++) {
    const c = text[i];
    if (quoted) {
      if (c === '"' && text[i + 1] === '"') field += text[i++];
      else if (c === '"') quoted = false;
      else field += c;
    } else if (c === '"' && field.trim() === '') {
      quoted = true;
      field = '';
    } else if (c === by) endField();
    else if (c === '\n') endRow();
    else if (c !== '\r') field += c;
  }
  endRow();
  return rows;
}

const heads: Record<string, string[]> = {
  name: ['name', 'full name', 'person'],
  login: ['login', 'signs in as', 'sign in', 'user', 'username', 'mail', 'e-mail', 'email'],
  roles: ['roles', 'role'],
};

/**
 * Reads a list of people: a first line that names the columns name, login and roles; without it, these in
 * that order. Roles are names, between “/”; one application's alone need no application before them.
 */
export function readPeople(text: string, applications: ApplicationRoles[], taken: string[]): ReadPerson[] {
  const rows = fieldsOf(text.replace(/^\uFEFF/, ''));
  const named = rows[0]?.map((f) => Object.keys(heads).find((k) => heads[k]?.includes(f.toLowerCase())));
  const hasHead = named?.includes('name') || named?.includes('login');
  const columns = hasHead ? (named ?? []) : ['name', 'login', 'roles'];
  const seen = new Set(taken.map((l) => l.toLowerCase()));
  return rows.slice(hasHead ? 1 : 0).map((row, i) => {
    const line = i + (hasHead ? 2 : 1);
    const value = (k: string) => row[columns.indexOf(k)] ?? '';
    const login = value('login').toLowerCase();
    const wrong = (words: string) => ({ line, words });
    if (!value('name')) return wrong('a name is missing');
    if (!login) return wrong('what to sign in by is missing');
    if (/[\s"'<>,;]/.test(login)) return wrong(`“${login}” cannot be signed in by: it has spaces, quotes or commas`);
    if (seen.has(login)) return wrong(`somebody signs in as “${login}” already`);
    const roles: Record<string, string[]> = {};
    for (const word of value('roles')
      .split('/')
      .map((w) => w.trim())) {
      if (!word) continue;
      const found = applications.flatMap((a) =>
        a.roles
          .filter((r) => [r.name, `${a.title}: ${r.name}`].some((n) => n.toLowerCase() === word.toLowerCase()))
          .map((r) => ({ application: a.id, role: r.id })),
      );
      if (found.length === 0) return wrong(`there is no role “${word}”`);
      if (found.length > 1) return wrong(`several applications have a role “${word}”: write “application: role”`);
      for (const f of found) roles[f.application] = [...(roles[f.application] ?? []), f.role];
    }
    seen.add(login);
    return { line, person: { name: value('name'), login, roles }, words: value('roles') || 'no role yet' };
  });
}
