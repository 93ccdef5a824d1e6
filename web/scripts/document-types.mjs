// Writes the types of the project document from its JSON Schema: node scripts/document-types.mjs [file]
import { readFile, writeFile } from 'node:fs/promises';
import { compile } from 'json-schema-to-typescript';

const file = process.argv[2] ?? 'src/document/document.gen.d.ts';
const schema = JSON.parse(await readFile(new URL('../../schema/document.schema.json', import.meta.url), 'utf8'));

// A description beside a reference would make a second type of what is referred to.
function plainReferences(part) {
  if (Array.isArray(part)) return part.map(plainReferences);
  if (part === null || typeof part !== 'object') return part;
  if (part.$ref) return { $ref: part.$ref };
  return Object.fromEntries(Object.entries(part).map(([name, value]) => [name, plainReferences(value)]));
}

const types = await compile(plainReferences(schema), 'Document', {
  additionalProperties: false,
  bannerComment: '// Made from schema/document.schema.json, by npm run types.',
  style: { singleQuote: true, printWidth: 120 },
  unreachableDefinitions: true,
});
await writeFile(
  file,
  types.replace(/( \*\n)? \* This interface was referenced by .*\n \* via the `definition` .*\n/g, ''),
);
