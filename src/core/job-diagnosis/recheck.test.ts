import { describe, expect, it } from 'vitest';
import { emptyJob, provedDead, stamp } from '../../../tests/plates';
import { electricStorageTwoElement as family } from '../appliances/electric-storage-two-element';
import type { Entry } from '../job-file';
import { openDiagnosis } from '.';
import { recheckOf } from './recheck';

const made = (rest: object): Entry => ({ ...stamp(), ...rest }) as Entry;
const reset = () => made({ kind: 'action', action: 'replace', repair: 'reset-limit' });
const dead = () => made(provedDead(family));
const seen = (check: string, value: string) => made({ kind: 'observation', check, value });
const recheck = (...entries: Entry[]) => recheckOf(openDiagnosis(emptyJob({ entries })));

describe('a limit that was reset with no cause found', () => {
  it('asks for another look in days, and says which checks would have told', () => {
    expect(recheck(reset())).toMatchObject({ repair: 'reset-limit', days: 7 });
    expect(recheck(reset())!.unseen).toHaveLength(2);
  });

  it('asks for none once both thermostats were shown to open', () => {
    expect(
      recheck(
        dead(),
        seen('upper-thermostat-warm-test', 'opens'),
        seen('lower-thermostat-click', 'clicks'),
        reset(),
      ),
    ).toBeUndefined();
  });

  it('still asks where one of them was not, or was seen to stay closed', () => {
    const one = recheck(dead(), seen('upper-thermostat-warm-test', 'opens'), reset());
    expect(one!.unseen).toHaveLength(1);
    const closed = recheck(
      dead(),
      seen('upper-thermostat-warm-test', 'opens'),
      seen('lower-thermostat-click', 'stays-closed'),
      reset(),
    );
    expect(closed!.unseen).toHaveLength(1);
  });

  it('is forgotten once a part was fitted after it', () => {
    const first = reset();
    const fitted = made({ kind: 'action', action: 'replace', repair: 'replace-upper-thermostat' });
    expect(recheck(first, fitted)).toBeUndefined();
  });
});
