import { isPlateError, type ApplianceFamily } from '@/core/appliances';
import type { JobFile } from '@/core/job-file';
import { valueText, type UnitSystem } from '@/core/quantities';
import type { KnownUnitChoice } from '@/server/known-units';
import { saidOf, type CallDraft } from './call-draft';

/** What the plate means: what to expect of each part, as it is typed. */
export function PlateReadout({
  family,
  draft,
  known,
  system,
}: {
  family: ApplianceFamily;
  draft: CallDraft;
  known: KnownUnitChoice | undefined;
  system: UnitSystem;
}) {
  const said = saidOf(family, draft, system);
  const unit: JobFile['unit'] = known?.unit ?? {
    family: family.id,
    plate: said.plate as JobFile['unit']['plate'],
  };
  const plate = plateOf(family, { unit, site: known?.site ?? said.services });
  if (!plate) {
    return (
      <p className="my-3 border-t border-hair pt-2 text-small text-ink-2">
        The plate gives what to expect of each part.
      </p>
    );
  }
  return (
    <div className="my-3 border-t-2 border-rule pt-2" role="status">
      <p className="text-small text-ink-2">
        Expect, from the plate{' '}
        {[family.plateLine(unit), family.feedLine(plate)].filter(Boolean).join(', ')}
      </p>
      <table className="w-full">
        <tbody>
          {family.plateFacts(plate).map(({ label, values }) => (
            <tr key={label} className="border-b border-hair">
              <th scope="row" className="py-1 text-left font-normal">
                {label}
              </th>
              {values.map(({ value, quantity }) => (
                <td key={quantity} className="text-right text-value font-semibold">
                  {valueText(value, quantity, system)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** Undefined while the plate cannot be worked with yet. */
function plateOf(family: ApplianceFamily, job: Pick<JobFile, 'unit' | 'site'>) {
  try {
    return family.plateOf(job);
  } catch (error) {
    if (isPlateError(error)) return undefined;
    throw error;
  }
}
