import { elementOhm, type ApplianceFamily } from '@/core/appliances';
import { valueText, type UnitSystem } from '@/core/quantities';
import { plateWords } from '@/features/record/words';
import type { KnownUnitChoice } from '@/server/known-units';
import { numberOf, supplyOf, voltText, wattText, type CallDraft } from './call-draft';

/** What the plate means: expected ohms and amps, as it is typed. */
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
  const volt =
    known?.unit.plate.rated.volt ?? numberOf(voltText(family, draft), 'voltage-ac', system);
  const watts = family.elements.map(
    ({ id }) =>
      known?.unit.plate.elements[id]?.watt ??
      numberOf(wattText(family, draft, id), 'power', system),
  );
  if (!volt || watts.some((each) => !each)) {
    return (
      <p className="my-3 border-t border-hair pt-2 text-small text-ink-2">
        Volts and watts from the plate give the ohms and amps to expect.
      </p>
    );
  }
  const nominalVolt = known?.site.supply?.nominal?.volt ?? supplyOf(family, draft).nominalVolt;
  const elements = Object.fromEntries(
    family.elements.map(({ id }, k) => [id, { watt: watts[k]! }]),
  );
  return (
    <div className="my-3 border-t-2 border-rule pt-2" role="status">
      <p className="text-small text-ink-2">
        Expect, from the plate{' '}
        {plateWords({ unit: { family: family.id, plate: { rated: { volt }, elements } } })}
        {nominalVolt !== volt && `, on ${nominalVolt} V`}
      </p>
      <table className="w-full">
        <tbody>
          {family.elements.map(({ id, label }, k) => {
            const ohm = elementOhm(volt, watts[k]!);
            return (
              <tr key={id} className="border-b border-hair">
                <th scope="row" className="py-1 text-left font-normal">
                  {label}
                </th>
                <td className="text-right text-value font-semibold">
                  {valueText(ohm, 'resistance', system)}
                </td>
                <td className="text-right text-value font-semibold">
                  {valueText(nominalVolt / ohm, 'current-ac', system)}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}
