import { readFile } from 'node:fs/promises';
import { expect, it } from 'vitest';
import { generateSchemas } from '../../../scripts/generate-schemas';

it('the generated schema, types and validators are those of the source', async () => {
  for (const [file, content] of await generateSchemas()) {
    expect(await readFile(file, 'utf8'), `${file}: run npm run generate:schemas`).toBe(content);
  }
});
