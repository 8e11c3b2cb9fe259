import { askedFields, plateSaid, textOf, type ApplianceFamily } from '../src/core/appliances/all';
import type { JobFile } from '../src/core/job-file';

/** A unit of a family with its site, as a call would make it: usual where something is, else the middle of what may be. */
export function sampleUnit(
  family: ApplianceFamily,
  typed: Readonly<Record<string, string>> = {},
): Pick<JobFile, 'unit' | 'site'> {
  const filled: Record<string, string> = { ...typed };
  for (const field of askedFields(family.plateFields, typed)) {
    if (field.kind !== 'number' || field.isOptional) continue;
    const [least, most] = field.range;
    filled[field.key] =
      textOf(family.plateFields, filled, field.key) || String(Math.sqrt(least * most));
  }
  const { plate, services } = plateSaid(family.plateFields, filled, (text) =>
    text === '' ? undefined : Number(text),
  );
  return {
    unit: { family: family.id, plate: plate as JobFile['unit']['plate'] },
    site: services,
  };
}
