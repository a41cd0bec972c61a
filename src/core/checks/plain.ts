/** What a finding says that is about no dose and no record, and has no fix. */
export const PLAIN = { doseIndexes: [] as number[], about: '', assumed: false, fix: null };
