const WANTED = 'sabor reminds here';

/** Whether this browser can show a notice outside its page. */
export const canNotify = (): boolean => 'Notification' in globalThis;

/** Whether the tester wants notices here, and the browser lets them be shown. */
export function wantsNotices(): boolean {
  try {
    return canNotify() && Notification.permission === 'granted' && localStorage.getItem(WANTED) === 'yes';
  } catch {
    return false;
  }
}

/** Asks the browser for notices and keeps what was chosen; gives whether they are shown from here on. */
export async function setNotices(on: boolean): Promise<boolean> {
  if (!canNotify()) return false;
  const granted = on && (await Notification.requestPermission()) === 'granted';
  try {
    localStorage.setItem(WANTED, granted ? 'yes' : 'no');
  } catch {
    // Not kept: the next page asks again.
  }
  return granted;
}

/** Shows a notice outside the page, where those are wanted; `to` is the page it leads to. One of the same `key` takes its place. */
export async function notify(key: string, title: string, body: string, to: string): Promise<void> {
  if (!wantsNotices()) return;
  const options = { body, tag: key, icon: '/icon-192.png', data: { to } };
  const worker = await navigator.serviceWorker?.getRegistration().catch(() => undefined);
  try {
    // Phones show none but their worker's.
    if (worker) return await worker.showNotification(title, options);
    const shown = new Notification(title, options);
    shown.onclick = () => {
      window.focus();
      location.assign(to);
    };
  } catch {
    // It stands on the page all the same.
  }
}
