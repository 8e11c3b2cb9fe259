'use client';

import { useState } from 'react';
import {
  fromKept,
  keyOfQuantity,
  shownUnit,
  toKept,
  valueText,
  type UnitSystem,
} from '@/core/quantities';
import {
  curveOfSheet,
  curveParameters,
  type CurveEnd,
  type HeatingCurve,
  type SettingsSheet,
  type SystemSheetContext,
} from '@/core/settings';
import type { JobRecord, NewEntry } from '@/features/record/use-job-record';
import { ReasonOptions, type Reason } from '../reasons';
import { CurveDrawing } from './curve-drawing';
import { bounds, type Ends, type Handle } from './curve-scale';

/** The heating curve, drawn as found and as left, with two ends that a finger or the arrow keys move. */
export function HeatingCurveEditor({
  record,
  sheet,
  emitter,
  unitLimit,
  system,
}: {
  record: JobRecord;
  sheet: SettingsSheet;
  emitter: SystemSheetContext['emitter'];
  /** Where the boiler itself cuts off, in °C. */
  unitLimit: number;
  system: UnitSystem;
}) {
  const found = curveOfSheet(sheet, 'found', emitter);
  const left = curveOfSheet(sheet, 'left', emitter);
  const [moved, setMoved] = useState<Partial<Ends>>({});
  const [why, setWhy] = useState<Reason>('matched-to-emitter');
  const curve: HeatingCurve & Ends = { ...left.curve, ...moved };
  const limit = Math.min(curve.supplyLimit ?? Infinity, unitLimit);
  const changed = (Object.entries(moved) as [CurveEnd, number][]).filter(
    ([end, value]) => Math.abs(value - left.curve[end]) > 0.01 || !left.told.includes(end),
  );
  const show = (celsius: number) => valueText(celsius, 'temperature', system);
  const place = (end: CurveEnd, celsius: number) => {
    const [least, most] = bounds[end];
    const unit = shownUnit('temperature', system);
    // Whole degrees of the scale that the dial has.
    const whole = toKept(Math.round(fromKept(celsius, unit)), unit);
    return Math.min(most, Math.max(least, whole));
  };
  const move = (handle: Handle, outdoor: number, supply: number) =>
    setMoved((before) => ({
      ...before,
      [handle.outdoor]: place(handle.outdoor, outdoor),
      [handle.supply]: place(handle.supply, supply),
    }));
  const enter = async () => {
    const isKept = await record.append(
      ...changed.map(([end, celsius]): NewEntry => ({
        kind: 'setting',
        setting: curveParameters[end],
        as: 'left',
        value: { [keyOfQuantity('temperature')]: Math.round(celsius * 100) / 100 },
        why,
      })),
    );
    if (isKept) setMoved({});
  };
  return (
    <section aria-labelledby="heating-curve">
      <h3 id="heating-curve" className="text-title font-semibold">
        Heating curve
      </h3>
      <CurveDrawing
        {...{ curve, limit, unitLimit, emitter, system, onMove: move }}
        found={found.told.length > 0 ? found.curve : undefined}
      />
      <p className="text-small">
        At {show(curve.outdoorDesign)} outdoors {show(curve.supplyAtDesign)}
        {curve.supplyAtDesign > limit && `, cut at ${show(limit)}`}; at {show(curve.outdoorMild)}{' '}
        {show(curve.supplyAtMild)}, and nothing above.
        {left.told.length < 4 && ' What is not on the sheet yet is drawn as is usual.'}
      </p>
      {changed.length > 0 && (
        <div className="mt-2 flex flex-wrap items-end gap-2">
          <label className="text-small">
            why
            <select
              className="field"
              aria-label="Why the curve was left so"
              value={why}
              onChange={(event) => setWhy(event.target.value as Reason)}
            >
              <ReasonOptions />
            </select>
          </label>
          <button type="button" className="button button-act" onClick={() => void enter()}>
            Write down as left
          </button>
          <button type="button" className="button" onClick={() => setMoved({})}>
            Back to the sheet
          </button>
        </div>
      )}
    </section>
  );
}
