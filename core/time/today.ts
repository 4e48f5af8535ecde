const pad = (n: number) => String(n).padStart(2, '0');

/** Today's date, yyyy-mm-dd, on this machine's calendar. */
export function localToday(now = new Date()): string {
  return `${now.getFullYear()}-${pad(now.getMonth() + 1)}-${pad(now.getDate())}`;
}
