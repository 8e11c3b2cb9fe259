import type { SettingEntry } from '@/core/job-file';

/** Why a setting was left as it is. */
export type Reason = NonNullable<SettingEntry['why']>;

const reasons: Readonly<Record<Reason, string>> = {
  'customers-wish': 'customer’s wish',
  corrected: 'corrected',
  'matched-to-emitter': 'matched to emitter',
  'default-kept': 'maker’s default',
  restored: 'restored after work',
  'for-a-test': 'turned for a test',
  temporary: 'temporary',
};

/** The reasons, to choose one. */
export const ReasonOptions = () =>
  Object.entries(reasons).map(([id, words]) => (
    <option key={id} value={id}>
      {words}
    </option>
  ));
