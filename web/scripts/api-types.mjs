// Writes the types of the API from its document: node scripts/api-types.mjs [file]
// What the document calls an x-document is a part of the project document, and has its type from there.
import { writeFile } from 'node:fs/promises';
import openapiTS, { astToString } from 'openapi-typescript';
import ts from 'typescript';

const file = process.argv[2] ?? 'src/api/schema.gen.d.ts';
const parts = new Set();
const types = await openapiTS(new URL('../../api/openapi.yaml', import.meta.url), {
  transform(schema) {
    const part = schema['x-document'];
    if (!part) return undefined;
    parts.add(part);
    return ts.factory.createTypeReferenceNode(part);
  },
});
const imports = `import type { ${[...parts].sort().join(', ')} } from '../document/document.gen';\n\n`;
await writeFile(file, `// Made from api/openapi.yaml, by npm run types.\n${imports}${astToString(types)}`);
