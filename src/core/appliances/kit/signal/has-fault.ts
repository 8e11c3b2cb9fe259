/** Whether a unit with these faults has one of those asked for; a unit without any has `no-fault`. */
export const hasFault =
  (faults: readonly string[]) =>
  (...wanted: readonly string[]): boolean =>
    wanted.some((each) => (faults.length === 0 ? each === 'no-fault' : faults.includes(each)));
