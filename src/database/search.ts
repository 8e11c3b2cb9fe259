import { and, exists, gte, lt, sql, type Column, type SQL } from 'drizzle-orm';
import { QueryBuilder } from 'drizzle-orm/pg-core';
import type { FirmTransaction } from './client';
import { searchWords } from './schema';

type Kind = (typeof searchWords.$inferInsert)['kind'];

/** That each of the words begins one of those that the row is found by; nothing where no word is asked for. */
export function hasWords(
  kind: Kind,
  { organisationId, id }: { readonly organisationId: Column; readonly id: Column },
  words: readonly string[],
): SQL | undefined {
  return and(
    ...words.map((word) =>
      exists(
        new QueryBuilder()
          .select({ one: sql`1` })
          .from(searchWords)
          .where(
            and(
              sql`${searchWords.organisationId} = ${organisationId}`,
              sql`${searchWords.kind} = ${kind}`,
              sql`${searchWords.subjectId} = ${id}`,
              gte(searchWords.word, word),
              lt(searchWords.word, word + lastCharacter),
            ),
          ),
      ),
    ),
  );
}

/** Above every letter and digit, so that a range of words ends after all that begin alike. */
const lastCharacter = '\u{10FFFF}';

/** Stores the words that a row is found by. */
export async function insertWords(
  transaction: FirmTransaction,
  organisationId: string,
  kind: Kind,
  subjectId: string,
  words: readonly string[],
): Promise<void> {
  if (words.length === 0) return;
  await transaction
    .insert(searchWords)
    .values(words.map((word) => ({ organisationId, kind, subjectId, word })))
    .onConflictDoNothing();
}
