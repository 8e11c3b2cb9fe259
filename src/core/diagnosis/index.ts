/**
 * The engine: what is believed after evidence, and which check is worth its minutes. It knows no appliance.
 *
 * @example
 * const family = familyOf('electric-storage-two-element');
 * const unit = { family: 'electric-storage-two-element', plate: { rated: { volt: 240 }, elements: { upper: { watt: 4500 }, lower: { watt: 4500 } } } };
 * const job = { format: 'ohmmeter-job', version: 1, job: { id: '018f0000-0000-7000-8000-000000000001' }, unit, complaint: { kind: 'no-hot-water', answers: {} }, entries: [] };
 * const compiled = compileFamily(family.model(family.plateOf(job), family.parameters));
 * const chances = setProbabilities(compiled, updateBelief(compiled, []));
 * chances.reduce((sum, each) => sum + each, 0).toFixed(6) // '1.000000'
 */

export * from './access';
export * from './belief';
export * from './compile';
export * from './consistency';
export * from './courses';
export * from './danger';
export * from './expected-bands';
export * from './model';
export type { PackedTable } from './packed-table';
export * from './plan';
export type { Outlook } from './rollout';
export * from './suspects';
export { weightsForHeld } from './weight-of-evidence';
