import { pointerPart } from '../core/job-file';
import { schools as all } from '../core/schools';
import type { FirmTransaction } from '../database/client';
import { updateSchools } from '../database/technicians';
import { Refused } from './errors';

/** The schools that there are, each with its ways. */
const known: ReadonlyMap<string, readonly string[]> = new Map(
  all.map(({ id, ways }) => [id, ways.map((each) => each.id)]),
);

/**
 * Sets which way the firm goes, by school.
 * @throws Refused for a school or a way that there is not.
 */
export async function setSchools(
  transaction: FirmTransaction,
  organisationId: string,
  sent: unknown,
): Promise<Readonly<Record<string, string>>> {
  if (sent === null || typeof sent !== 'object' || Array.isArray(sent)) {
    throw new Refused([{ pointer: '', message: 'Schools come as an object: school to way.' }]);
  }
  const problems = Object.entries(sent).flatMap(([school, way]) =>
    known.get(school)?.includes(way as string)
      ? []
      : [
          {
            pointer: `/${pointerPart(school)}`,
            message: 'There is no such school, or no such way.',
          },
        ],
  );
  if (problems.length > 0) throw new Refused(problems);
  const schools = sent as Record<string, string>;
  await updateSchools(transaction, organisationId, schools);
  return schools;
}
