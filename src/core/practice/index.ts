/**
 * A technician who does what the engine asks of a simulated unit.
 *
 * @example
 * const family = familyOf('electric-storage-two-element');
 * const unit = { family: 'electric-storage-two-element', plate: { rated: { volt: 240 }, elements: { upper: { watt: 4500 }, lower: { watt: 4500 } } } };
 * const job = { format: 'ohmmeter-job', version: 1, job: { id: '018f0000-0000-7000-8000-000000000001' }, unit, complaint: { kind: 'no-hot-water', answers: {} }, entries: [] };
 * const simulated = simulateUnit(simulatedFamilyOf(family.id), family.plateOf(job), seededRandom(7), { faults: ['lower-element.open'] });
 * const clock = { newId: () => crypto.randomUUID(), after: () => '2026-01-05T08:00:00Z' };
 * practiseJob({ ...job, complaint: simulated.complaint }, simulated, clock).answer.decided // true
 */

export * from './run-job';
export * from './watch-unit';
