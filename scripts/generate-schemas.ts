/** Makes the JSON Schemas, the types and the compiled validators of the project's files from schemas/*.schema.ts. */
import { readFile, writeFile, mkdir } from 'node:fs/promises';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import Ajv from 'ajv';
import standaloneCode from 'ajv/dist/standalone/index.js';
import addFormats from 'ajv-formats';
import { build } from 'esbuild';
import { compile } from 'json-schema-to-typescript';
import { format, resolveConfig } from 'prettier';
import { codePackSchema } from '../schemas/code-pack.schema';
import { jobSchema } from '../schemas/job.schema';
import { procedureSchema } from '../schemas/procedure.schema';

const root = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '..');

/** A kind of file: where its schema stands, what is made of it and where that goes. */
interface FileKind {
  readonly schema: Record<string, unknown>;
  readonly source: string;
  readonly type: string;
  readonly folder: string;
  readonly typesFile: string;
  /** Validators by name, each with the definition that it checks. */
  readonly validators: Readonly<Record<string, string>>;
  readonly validatorTypes: string;
}

const kinds: readonly FileKind[] = [
  {
    schema: jobSchema,
    source: 'schemas/job.schema',
    type: 'JobFile',
    folder: 'src/core/job-file/generated',
    typesFile: 'job-types',
    validators: {
      validateJobFile: 'ohmmeter-job-1',
      validateEntry: 'ohmmeter-job-1#/definitions/entry',
      validatePlate: 'ohmmeter-job-1#/definitions/plate',
      validateServices: 'ohmmeter-job-1#/definitions/services',
      validateConstraints: 'ohmmeter-job-1#/definitions/constraints',
    },
    validatorTypes: `import type { Services } from '../services';
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
`,
  },
  {
    schema: codePackSchema,
    source: 'schemas/code-pack.schema',
    type: 'CodePack',
    folder: 'src/core/codes/generated',
    typesFile: 'code-pack-types',
    validators: { validateCodePack: 'ohmmeter-code-pack-1' },
    validatorTypes: `import type { SchemaProblem } from '../../job-file/generated/validators';
import type { CodePack } from './code-pack-types';

export const validateCodePack: {
  (data: unknown): data is CodePack;
  errors?: SchemaProblem[] | null;
};
`,
  },
  {
    schema: procedureSchema,
    source: 'schemas/procedure.schema',
    type: 'Procedure',
    folder: 'src/core/procedures/generated',
    typesFile: 'procedure-types',
    validators: { validateProcedure: 'ohmmeter-procedure-1' },
    validatorTypes: `import type { SchemaProblem } from '../../job-file/generated/validators';
import type { Procedure } from './procedure-types';

export const validateProcedure: {
  (data: unknown): data is Procedure;
  errors?: SchemaProblem[] | null;
};
`,
  },
];

const noteOf = ({ source }: FileKind) =>
  `Made by \`npm run generate:schemas\` from ${source}.ts. Do not edit.`;

/** Every generated file, by its path from the root of the repository. */
export async function generateSchemas(): Promise<Map<string, string>> {
  const files = new Map<string, string>();
  for (const kind of kinds) {
    const { schema, source, folder, typesFile } = kind;
    const note = noteOf(kind);
    const schemaFile = `${source}.json`;
    const options = await resolveConfig(path.join(root, schemaFile));
    files.set(schemaFile, await format(JSON.stringify(schema), { ...options, parser: 'json' }));
    files.set(
      `${folder}/${typesFile}.ts`,
      await compile(structuredClone(schema), kind.type, {
        bannerComment: `/* eslint-disable -- generated */\n/* ${note} */`,
        additionalProperties: false,
        ignoreMinAndMaxItems: true,
        style: { singleQuote: true },
      }),
    );
    files.set(`${folder}/validators.js`, await validators(kind));
    files.set(`${folder}/validators.d.ts`, `/* ${note} */\n${kind.validatorTypes}`);
  }
  return files;
}

/** Ajv's standalone code, bundled with the little runtime it needs, so that nothing is compiled in the browser. */
async function validators(kind: FileKind): Promise<string> {
  const ajv = new Ajv({
    allErrors: true,
    discriminator: true,
    strict: true,
    strictRequired: false,
    strictTypes: false,
    inlineRefs: false,
    code: { source: true, esm: true },
    schemas: [kind.schema],
  });
  addFormats(ajv);
  const code = standaloneCode(ajv, { ...kind.validators });
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
  return `/* eslint-disable -- generated */\n/* ${noteOf(kind)} */\n${bundled.outputFiles[0]!.text}`;
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  const stale: string[] = [];
  for (const [file, content] of await generateSchemas()) {
    const target = path.join(root, file);
    const present = await readFile(target, 'utf8').catch(() => '');
    if (present === content) continue;
    stale.push(file);
    if (process.argv.includes('--check')) continue;
    await mkdir(path.dirname(target), { recursive: true });
    await writeFile(target, content);
  }
  if (process.argv.includes('--check') && stale.length > 0) {
    console.error(`stale: ${stale.join(', ')}. Run: npm run generate:schemas`);
    process.exitCode = 1;
  }
}
