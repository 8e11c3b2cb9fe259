import { readFile } from 'node:fs/promises';
import { expect, it } from 'vitest';
import { generateJobFile } from '../../../scripts/generate-job-file';

it('the generated schema, types and validators are those of the source', async () => {
  for (const [file, content] of await generateJobFile()) {
    expect(await readFile(file, 'utf8'), `${file}: run npm run generate:job-file`).toBe(content);
  }
});
