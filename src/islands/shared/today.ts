/** The day here, ISO 8601. */
export function today(): string {
  const now = new Date();
  const two = (value: number) => String(value).padStart(2, '0');
  return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
}

/** The workshop's own clock so many hours on, to the minute: 2026-05-02T09:30. */
export function localNow(hoursOn = 0): string {
  const now = new Date(Date.now() + hoursOn * 3_600_000);
  return new Date(now.getTime() - now.getTimezoneOffset() * 60_000).toISOString().slice(0, 16);
}
