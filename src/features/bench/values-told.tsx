'use client';

import { Link } from '@/ui/link';
import { judgedAsAnalysis } from '@/core/flue-sheet';
import type { JobFile, Value } from '@/core/job-file';
import { numberOf, valueText, type UnitSystem } from '@/core/quantities';
import { expectedOhm, judgeSensor, sensorType } from '@/core/sensors';
import { AnalysisFigures } from '@/features/combustion/analysis-figures';
import { useFamily } from '@/features/record/family-context';
import { verdictWords } from '@/features/sensors/sensor-words';

/** What the values that are typed so far say, before they are entered: an analysis, or a sensor by its ohms. */
export function ValuesTold({
  jobId,
  check,
  plate,
  values,
  system,
}: {
  jobId: string;
  check: string;
  plate: JobFile['unit']['plate'];
  values: Readonly<Record<string, Value>>;
  system: UnitSystem;
}) {
  const family = useFamily();
  const { sensors } = family;
  const judged = judgedAsAnalysis(family, plate, { check, values });
  if (judged) {
    return (
      <div className="col-span-2">
        {Object.keys(values).length > 0 && <AnalysisFigures judged={judged} system={system} />}
        <Link href={`/jobs/${jobId}/combustion`} className="link inline-flex min-h-11 items-center">
          All analyses, or a printout from its file
        </Link>
      </div>
    );
  }
  if (sensors?.checks.includes(check)) {
    return <SensorTold type={sensors.typeOf(plate)} values={values} system={system} />;
  }
  return null;
}

function SensorTold({
  type: id,
  values,
  system,
}: {
  type: string;
  values: Readonly<Record<string, Value>>;
  system: UnitSystem;
}) {
  const type = sensorType(id);
  const celsius = values.at && numberOf(values.at, 'temperature');
  const ohm = values.sensor?.overRange
    ? Infinity
    : values.sensor && numberOf(values.sensor, 'resistance');
  const isIn = celsius !== undefined && celsius >= type.range[0] && celsius <= type.range[1];
  const expected = isIn ? expectedOhm(type.curve, celsius) : undefined;
  const shown = (each: number) => valueText(each, 'resistance', system);
  return (
    <div className="col-span-2">
      <p role="status" className="min-h-6">
        {expected && (
          <>
            Right would be <strong className="font-semibold">{shown(expected.ohm)}</strong>, within{' '}
            {shown(expected.from)} to {shown(expected.to)}.{' '}
            {ohm !== undefined &&
              ohm >= 0 &&
              verdictWords(judgeSensor(type, ohm, celsius!), system)}
          </>
        )}
      </p>
      <Link href={`/sensors?type=${id}`} className="link inline-flex min-h-11 items-center">
        {type.words}: curve and table
      </Link>
    </div>
  );
}
