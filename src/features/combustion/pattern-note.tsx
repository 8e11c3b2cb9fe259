import type { Pattern } from '@/core/combustion';

/** What a pattern of figures points to, the likeliest first, with its odds against all being right. */
export function PatternNote({ pattern }: { pattern: Pattern }) {
  return (
    <section aria-label="What the figures point to" className="mt-4 border-l-4 border-rule pl-3">
      <p className="text-lead font-semibold">{pattern.words}</p>
      <ul className="mt-1">
        {pattern.suspects.map(({ words, odds }) => (
          <li key={words}>
            {words} <span className="text-small text-ink-2">{odds} to 1</span>
          </li>
        ))}
      </ul>
      <p className="text-small text-ink-2">
        Common practice, by figures alone; the suspects on the bench weigh all that was seen.
      </p>
    </section>
  );
}
