/** How wrong the clock of a device is beside the server's; undefined where it is not. */
export function clockWords(aheadMilliseconds: number | undefined): string | undefined {
  if (aheadMilliseconds === undefined) return undefined;
  const minutes = Math.round(Math.abs(aheadMilliseconds) / 60_000);
  const hours = Math.floor(minutes / 60);
  const span =
    hours >= 48
      ? `${Math.round(hours / 24)} days`
      : [hours > 0 && `${hours} h`, minutes % 60 > 0 && `${minutes % 60} min`]
          .filter(Boolean)
          .join(' ');
  return `Clock ${span} ${aheadMilliseconds > 0 ? 'ahead' : 'behind'}`;
}
