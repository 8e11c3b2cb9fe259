import type { UnitSystem } from '@/core/quantities';
import type { Explanation } from '@/core/temperatures';
import { kelvinWords } from '@/features/record/kelvin-words';

/** How far off the log a suspect is: pressed, its course is drawn behind the log. */
export function DrawBehindLog({
  log,
  name,
  isDrawn,
  onDraw,
  system,
}: {
  log: Explanation['log'];
  name: string;
  isDrawn: boolean;
  onDraw(isDrawn: boolean): void;
  system: UnitSystem;
}) {
  if (!log) return null;
  const off = kelvinWords(log.offKelvin, system);
  return (
    <button
      type="button"
      aria-pressed={isDrawn}
      className="button aria-pressed:border-2 aria-pressed:border-act aria-pressed:font-semibold aria-pressed:text-act"
      onClick={() => onDraw(!isDrawn)}
      aria-label={`Draw ${name} behind the log, off by ${off}`}
    >
      {off}
    </button>
  );
}
