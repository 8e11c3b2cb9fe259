import { validate as isUuid } from 'uuid';
import type { Entry } from '../core/job-file';
import { NotFound } from './errors';

/** The same id in other letters is the same id: the database says so, and a comparison of texts would not. */
const plain = (id: string): string => (isUuid(id) ? id.toLowerCase() : id);

/** @throws NotFound for what can be no id of a job. */
export function plainJobId(id: string): string {
  if (!isUuid(id)) throw new NotFound('This firm has no such job.');
  return id.toLowerCase();
}

/** The entry with its own id, and every id in it that names another, in small letters. */
export function withPlainIds<E extends Entry>(entry: E): E {
  const own = { ...entry, id: plain(entry.id), ...(entry.by ? { by: plain(entry.by) } : {}) };
  switch (own.kind) {
    case 'correction':
      return {
        ...own,
        replaces: plain(own.replaces),
        entry: own.entry && withPlainIds(own.entry),
      };
    case 'countersign':
      return { ...own, of: plain(own.of) };
    default:
      return own;
  }
}
