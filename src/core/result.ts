/** What a computation answers when failing is an ordinary outcome: the value, or the reason as data. */
export type Result<Data, Failure> = { success: true; data: Data } | { success: false; error: Failure };

export function ok<Data>(data: Data): { success: true; data: Data } {
  return { success: true, data };
}

export function fail<Failure>(error: Failure): { success: false; error: Failure } {
  return { success: false, error };
}
