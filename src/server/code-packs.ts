import { families, familyOf } from '../core/appliances/all';
import { readCodePack as readPack, readCodePackText, type CodePack } from '../core/codes';
import type { FirmTransaction } from '../database/client';
import {
  deleteCodePack,
  listCodePacks,
  readCodePack,
  writeCodePack,
  type KeptCodePack,
} from '../database/code-packs';
import { NotFound, Refused } from './errors';

const sightsOf = (family: string) => familyOf(family)?.codes;

const shippedIds = new Set(families.flatMap(({ codes }) => (codes ? [codes.pack.id] : [])));

/**
 * A pack of the firm, to be handed out.
 * @throws NotFound
 */
export async function findCodePack(transaction: FirmTransaction, id: string): Promise<CodePack> {
  const kept = await readCodePack(transaction, id);
  if (kept) return kept.pack;
  throw new NotFound('The firm has no pack of codes by this id.');
}

/** Every pack with the title of its family: those that came with the program first. */
export async function listedPacks(
  transaction: FirmTransaction,
): Promise<{ pack: CodePack; family: string; revision?: number }[]> {
  const shipped = families.flatMap(({ codes, title }) =>
    codes ? [{ pack: codes.pack, family: title }] : [],
  );
  const own = (await listCodePacks(transaction)).map((each) => ({
    ...each,
    family: familyOf(each.pack.family)?.title ?? each.pack.family,
  }));
  return [...shipped, ...own];
}

/** A pack of the firm as it is changed, or a new one after the pattern of another; `none` where there is none. */
export async function packToChange(
  transaction: FirmTransaction,
  id: string,
  from: string | undefined,
) {
  const kept = id === 'new' ? undefined : await readCodePack(transaction, id);
  const pattern = families.find(({ codes }) => codes !== undefined && codes.pack.id === from)?.codes
    ?.pack;
  const given =
    kept?.pack ?? (id === 'new' && pattern ? { ...pattern, title: '', makes: [] } : undefined);
  const family = given && familyOf(given.family);
  if (!given || !family?.codes) return 'none';
  const { sights } = family.codes;
  return {
    given,
    revision: kept?.revision,
    codes: { family: family.id, sights },
    familyTitle: family.title,
  };
}

/**
 * Brings in a pack from its text. One with the same id takes its place: it is the newer one.
 * @throws Refused with a pointer for everything that is wrong with it.
 */
export async function bringInCodePack(
  transaction: FirmTransaction,
  organisationId: string,
  text: string,
): Promise<KeptCodePack> {
  const read = readCodePackText(text, sightsOf);
  if (!read.ok) throw new Refused(read.problems);
  const { pack } = read;
  refuseShipped(pack.id);
  const kept = await readCodePack(transaction, pack.id);
  const revision = await writeCodePack(transaction, organisationId, pack, kept?.revision);
  if (revision === undefined) throw changedMeanwhile();
  return { pack, revision };
}

/**
 * Changes a pack, or makes a new one where no revision was seen.
 * @throws Refused where it is wrong, or where somebody else changed it meanwhile.
 */
export async function changeCodePack(
  transaction: FirmTransaction,
  organisationId: string,
  id: string,
  sent: unknown,
): Promise<KeptCodePack> {
  const { pack: value, revision: seen } = (sent ?? {}) as { pack?: unknown; revision?: unknown };
  const read = readPack(value, sightsOf);
  if (!read.ok) throw new Refused(read.problems);
  const { pack } = read;
  if (pack.id !== id) {
    throw new Refused([{ pointer: '/id', message: 'The id of a pack does not change.' }]);
  }
  refuseShipped(id);
  const isSeen = typeof seen === 'number' && Number.isInteger(seen);
  const revision = await writeCodePack(
    transaction,
    organisationId,
    pack,
    isSeen ? seen : undefined,
  );
  if (revision === undefined) throw changedMeanwhile();
  return { pack, revision };
}

export async function removeCodePack(transaction: FirmTransaction, id: string): Promise<object> {
  if (!(await deleteCodePack(transaction, id))) {
    throw new NotFound('The firm has no pack of codes by this id.');
  }
  return {};
}

/** What came with the program stays as it is: a firm changes a copy under a name of its own. */
function refuseShipped(id: string): void {
  // The page of a new list has this name.
  if (id === 'new' || shippedIds.has(id)) {
    throw new Refused([
      { pointer: '/id', message: 'Ohmmeter has this id for itself: choose another.' },
    ]);
  }
}

const changedMeanwhile = () =>
  new Refused([
    {
      pointer: '',
      message:
        'Somebody changed this pack meanwhile, or one with its id is there already. Open it again, then change it.',
    },
  ]);
