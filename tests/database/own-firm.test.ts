import { afterAll, beforeAll, expect, it } from 'vitest';
import { connect, installationOrganisation } from '../../src/database/client';
import { demoFirm } from '../../src/server/demo/firm';
import { NotTheDemo, refuseOwnFirm, throwDemoAway } from '../../src/server/demo/own-firm';
import { setUpFirm } from '../../src/server/set-up-firm';
import { makeTestDatabase, type TestDatabase } from './test-database';

/** The demo is made anew over the demo alone. */

let test: TestDatabase;
let owner: ReturnType<typeof connect>;
beforeAll(async () => {
  test = await makeTestDatabase();
  owner = connect(test.ownerUrl);
});
afterAll(async () => {
  await owner.pool.end();
  await test.drop();
});

const setUp = (name: string) =>
  setUpFirm(test.database, {
    ...demoFirm,
    name,
    technician: 'Somebody',
    liveWork: true,
    gasWork: true,
  });
const throwAway = () => throwDemoAway(owner.database, test.database);

it('throws away the demo, and what is empty', async () => {
  await throwAway();
  await refuseOwnFirm(test.database);
  await setUp(demoFirm.name);
  await refuseOwnFirm(test.database);
  await throwAway();
  expect(await installationOrganisation(test.database)).toBeUndefined();
});

it('leaves a firm its data, and says whose it is', async () => {
  const firm = await setUp('A firm of its own');
  await expect(throwAway()).rejects.toThrow(NotTheDemo);
  await expect(throwAway()).rejects.toThrow(/A firm of its own.*Nothing was changed/);
  // Nor is it started with the demo's simulated unit.
  await expect(refuseOwnFirm(test.database)).rejects.toThrow(NotTheDemo);
  expect(await installationOrganisation(test.database)).toBe(firm);
});
