/** Makes the JSON Schema, the types and the compiled validators of the job file from schemas/job.schema.ts. */
import { readFile, writeFile, mkdir } from 'node:fs/promises';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import Ajv from 'ajv';
import standaloneCode from 'ajv/dist/standalone/index.js';
import addFormats from 'ajv-formats';
import { build } from 'esbuild';
import { compile } from 'json-schema-to-typescript';
import { format, resolveConfig } from 'prettier';
import { jobSchema } from '../schemas/job.schema';

const root = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '..');
const generated = path.join(root, 'src/core/job-file/generated');
const note = 'Made by `npm run generate:job-file` from schemas/job.schema.ts. Do not edit.';

/** Every generated file, by its path from the root of the repository. */
export async function generateJobFile(): Promise<Map<string, string>> {
  const schemaFile = path.join(root, 'schemas/job.schema.json');
  const options = await resolveConfig(schemaFile);
  const schemaText = await format(JSON.stringify(jobSchema), { ...options, parser: 'json' });
  const types = await compile(structuredClone(jobSchema), 'JobFile', {
    bannerComment: `/* eslint-disable -- generated */\n/* ${note} */`,
    additionalProperties: false,
    ignoreMinAndMaxItems: true,
    style: { singleQuote: true },
  });
  return new Map([
    ['schemas/job.schema.json', schemaText],
    ['src/core/job-file/generated/job-types.ts', types],
    ['src/core/job-file/generated/validators.js', await validators()],
    ['src/core/job-file/generated/validators.d.ts', validatorTypes],
  ]);
}

/** Ajv's standalone code, bundled with the little runtime it needs, so that nothing is compiled in the browser. */
async function validators(): Promise<string> {
  const ajv = new Ajv({
    allErrors: true,
    discriminator: true,
    strict: true,
    strictRequired: false,
    strictTypes: false,
    inlineRefs: false,
    code: { source: true, esm: true },
    schemas: [jobSchema],
  });
  addFormats(ajv);
  const code = standaloneCode(ajv, {
    validateJobFile: 'ohmmeter-job-1',
    validateEntry: 'ohmmeter-job-1#/definitions/entry',
    validatePlate: 'ohmmeter-job-1#/definitions/plate',
    validateServices: 'ohmmeter-job-1#/definitions/services',
    validateConstraints: 'ohmmeter-job-1#/definitions/constraints',
  });
  const bundled = await build({
    stdin: { contents: code, resolveDir: root, loader: 'js' },
    bundle: true,
    write: false,
    format: 'esm',
    platform: 'neutral',
    mainFields: ['main'],
    target: 'es2022',
    minifySyntax: true,
    minifyWhitespace: true,
  });
  return `/* eslint-disable -- generated */\n/* ${note} */\n${bundled.outputFiles[0]!.text}`;
}

const validatorTypes = `/* ${note} */
import type { Services } from '../services';
import type { Constraints, Entry, JobFile, Plate } from './job-types';

export interface SchemaProblem {
  instancePath: string;
  keyword: string;
  message?: string;
  params: Record<string, unknown>;
}
interface Validator<T> {
  (data: unknown): data is T;
  errors?: SchemaProblem[] | null;
}
export const validateJobFile: Validator<JobFile>;
export const validateEntry: Validator<Entry>;
export const validatePlate: Validator<Plate>;
export const validateServices: Validator<Services>;
export const validateConstraints: Validator<Constraints>;
`;

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  await mkdir(generated, { recursive: true });
  const stale: string[] = [];
  for (const [file, content] of await generateJobFile()) {
    const target = path.join(root, file);
    const present = await readFile(target, 'utf8').catch(() => '');
    if (present === content) continue;
    stale.push(file);
    if (!process.argv.includes('--check')) await writeFile(target, content);
  }
  if (process.argv.includes('--check') && stale.length > 0) {
    console.error(`stale: ${stale.join(', ')}. Run: npm run generate:job-file`);
    process.exitCode = 1;
  }
}
