import { and, asc, eq, sql } from 'drizzle-orm';
import type { CodePack } from '../core/codes';
import type { FirmTransaction } from './client';
import { codePacks } from './schema';

/** A pack as it is kept, with the count of its changes. */
export interface KeptCodePack {
  readonly pack: CodePack;
  readonly revision: number;
}

export async function listCodePacks(transaction: FirmTransaction): Promise<KeptCodePack[]> {
  return transaction
    .select({ pack: codePacks.content, revision: codePacks.revision })
    .from(codePacks)
    .orderBy(asc(codePacks.family), asc(codePacks.packId));
}

export async function readCodePack(
  transaction: FirmTransaction,
  id: string,
): Promise<KeptCodePack | undefined> {
  const found = await transaction
    .select({ pack: codePacks.content, revision: codePacks.revision })
    .from(codePacks)
    .where(eq(codePacks.packId, id));
  return found[0];
}

/**
 * Writes a pack: a new one, or over the change that was seen.
 * @param seen undefined for a pack that is not there yet.
 * @returns its new revision; undefined where it stands otherwise than was seen.
 */
export async function writeCodePack(
  transaction: FirmTransaction,
  organisationId: string,
  pack: CodePack,
  seen: number | undefined,
): Promise<number | undefined> {
  const written =
    seen === undefined
      ? await transaction
          .insert(codePacks)
          .values({ organisationId, packId: pack.id, family: pack.family, content: pack })
          .onConflictDoNothing()
          .returning({ revision: codePacks.revision })
      : await transaction
          .update(codePacks)
          .set({
            family: pack.family,
            content: pack,
            revision: sql`${codePacks.revision} + 1`,
            updatedAt: new Date(),
          })
          .where(and(eq(codePacks.packId, pack.id), eq(codePacks.revision, seen)))
          .returning({ revision: codePacks.revision });
  return written[0]?.revision;
}

export async function deleteCodePack(transaction: FirmTransaction, id: string): Promise<boolean> {
  const gone = await transaction
    .delete(codePacks)
    .where(eq(codePacks.packId, id))
    .returning({ id: codePacks.packId });
  return gone.length > 0;
}
