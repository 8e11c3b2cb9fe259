import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { asInstallation, connectAhead } from '../../src/database/client';
import { readOrganisation } from '../../src/database/technicians';
import { Refused } from '../../src/server/errors';
import { setUpFirm, type NewFirm } from '../../src/server/set-up-firm';
import { makeTestDatabase, type TestDatabase } from './test-database';

const firm: NewFirm = {
  name: 'One',
  address: 'Somewhere',
  unitSystem: 'us',
  timeZone: 'Nowhere/Else',
  technician: 'A. First',
  liveWork: true,
  gasWork: true,
};

let test: TestDatabase;
beforeAll(async () => {
  test = await makeTestDatabase();
});
afterAll(() => test.drop());

describe('a firm', () => {
  it.each([
    [{ name: ' ' }, '/name'],
    [{ technician: '' }, '/technician'],
    [{ name: 'x'.repeat(201) }, '/name'],
    [{ address: 'x'.repeat(201) }, '/address'],
    [{ licence: 'x'.repeat(201) }, '/licence'],
  ])('is not set up with %j', async (wrong, pointer) => {
    const refused = await setUpFirm(test.database, { ...firm, ...wrong }).catch(
      (error: unknown) => error,
    );
    expect((refused as Refused).problems.map((each) => each.pointer)).toEqual([pointer]);
  });

  it('is set up once, though Start is tapped twice, in a time zone that there is', async () => {
    // Else the first is done before the second has a connection.
    await connectAhead(test.database);
    const both = await Promise.allSettled([
      setUpFirm(test.database, firm),
      setUpFirm(test.database, firm),
    ]);
    const taken = both.filter((each) => each.status === 'fulfilled');
    const refused = both.filter((each) => each.status === 'rejected');
    expect(taken).toHaveLength(1);
    expect(refused.map(({ reason }) => (reason as Refused).problems[0]!.message)).toEqual([
      'A firm is already set up here.',
    ]);
    expect(await asInstallation(test.database, readOrganisation)).toMatchObject({
      id: taken[0]!.value,
      timeZone: 'UTC',
    });
  });
});
