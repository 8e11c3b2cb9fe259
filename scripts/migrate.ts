/** Brings the database up to date and prints the application role's address. */
import { randomBytes } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { applicationUrl, migrateDatabase } from '../src/database/migrate';

const root = path.resolve(import.meta.dirname, '..');
const ownerUrl = process.env.OHMMETER_OWNER_DATABASE_URL;
if (!ownerUrl) throw new Error('OHMMETER_OWNER_DATABASE_URL is not set; run this by ./ohmmeter');

const passwordFile = path.join(root, '.ohmmeter/application-password');
if (!existsSync(passwordFile)) {
  mkdirSync(path.dirname(passwordFile), { recursive: true });
  writeFileSync(passwordFile, randomBytes(24).toString('hex'), { mode: 0o600 });
}
const password = readFileSync(passwordFile, 'utf8');

try {
  await migrateDatabase(ownerUrl, password, path.join(root, 'src/database/migrations'));
  console.log(applicationUrl(ownerUrl, password));
} catch (error) {
  console.error(`ohmmeter: ${(error as Error).message}`);
  process.exitCode = 1;
}
