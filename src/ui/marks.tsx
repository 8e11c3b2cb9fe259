/** Drawn marks: a tick for good, a crossed box for bad, unequal for what fits nothing. Never typed ones. */

export function Tick({ size = 16 }: { size?: number }) {
  return (
    <svg
      width={size}
      height={size}
      viewBox="0 0 16 16"
      aria-hidden="true"
      className="inline-block shrink-0"
    >
      <path d="M2 9l4 4 8-11" stroke="currentColor" strokeWidth="2.6" fill="none" />
    </svg>
  );
}

export function CrossedBox({ size = 16 }: { size?: number }) {
  return (
    <svg
      width={size}
      height={size}
      viewBox="0 0 16 16"
      aria-hidden="true"
      className="inline-block shrink-0"
    >
      <rect width="16" height="16" fill="var(--ink)" />
      <path d="M4 4l8 8M12 4l-8 8" stroke="var(--sheet)" strokeWidth="2.2" />
    </svg>
  );
}

export function Unequal({ size = 18 }: { size?: number }) {
  return (
    <svg
      width={size}
      height={size}
      viewBox="0 0 18 18"
      aria-hidden="true"
      className="inline-block shrink-0"
    >
      <path d="M2 6h14M2 12h14M13 1L5 17" stroke="currentColor" strokeWidth="2.2" fill="none" />
    </svg>
  );
}

/** A box to tick: filled with the mark where done, pen-edged where it is to be done. */
export function StepBox({ done }: { done: boolean }) {
  return (
    <svg width="18" height="18" viewBox="0 0 18 18" aria-hidden="true" className="shrink-0">
      <rect
        x="1.5"
        y="1.5"
        width="15"
        height="15"
        fill={done ? 'var(--ink)' : 'none'}
        stroke={done ? 'var(--ink)' : 'var(--act)'}
        strokeWidth="2.4"
      />
      {done && (
        <path d="M4.5 9.500l3 3 6-7.5" stroke="var(--sheet)" strokeWidth="2.2" fill="none" />
      )}
    </svg>
  );
}

/** The name with its ruler: the product's own mark. */
export function Wordmark() {
  return (
    <span className="inline-block leading-none">
      <span className="text-lead font-semibold">Ohmmeter</span>
      <svg width="84" height="12" viewBox="0 0 84 12" aria-hidden="true" className="mt-1 block">
        <path
          d={`M0 1H84${Array.from({ length: 15 }, (_, k) => `M${1 + k * 5.85} 1v${k % 7 === 0 ? 10 : 6}`).join('')}`}
          stroke="var(--ink)"
          strokeWidth="1.2"
        />
      </svg>
    </span>
  );
}
