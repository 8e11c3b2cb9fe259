import type { Entry } from '../core/job-file';

/** Entries as one text that the database takes them in from: made once, and passed between threads as it is. */
export interface PackedEntries {
  readonly count: number;
  /** A JSON list; the time of each stands in the one form that PostgreSQL and JavaScript agree on. */
  readonly text: string;
}

export const packEntries = (entries: readonly Entry[]): PackedEntries => ({
  count: entries.length,
  text: JSON.stringify(
    entries.map((body) => ({ id: body.id, at: new Date(body.at).toISOString(), body })),
  ),
});

/** The entries again, as the database gives them. */
export const unpackEntries = ({ text }: PackedEntries): Entry[] =>
  (JSON.parse(text) as { body: Entry }[]).map(({ body }) => body);
