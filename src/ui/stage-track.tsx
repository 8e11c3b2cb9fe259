/** How far a job has come: one base line with ticks, a pen mark where it stands, the stage in words below it. */
export function StageTrack({ steps, at, label }: { steps: number; at: number; label: string }) {
  const x = (step: number) => 8 + (step / (steps - 1)) * 176;
  return (
    <svg viewBox="0 0 192 32" className="block h-8 w-48" role="img" aria-label={label}>
      <path d="M8 20H184" stroke="var(--ink)" strokeWidth="1.2" />
      <path d={`M8 20H${x(at)}`} stroke="var(--ink)" strokeWidth="4" />
      <path
        d={Array.from(
          { length: steps },
          (_, k) => `M${x(k)} 20v${k === 0 || k === steps - 1 ? 11 : 7}`,
        ).join('')}
        stroke="var(--ink)"
        strokeWidth="1.2"
      />
      <path d={`M${x(at) - 7} 2h14l-7 12z`} fill="var(--act)" />
      <path d={`M${x(at)} 12V27`} stroke="var(--act)" strokeWidth="3" />
    </svg>
  );
}
