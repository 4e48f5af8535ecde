import { useEffect, useState } from 'react';
import { home } from '../../http/place.ts';

interface Check {
  key: string;
  label: string;
  works: 'yes' | 'no' | 'coming';
  /** What is missed where it does not. */
  without: string;
}

const within = <T>(asked: Promise<T>, ms: number, otherwise: T): Promise<T> =>
  Promise.race([asked, new Promise<T>((resolve) => setTimeout(() => resolve(otherwise), ms))]);

/** Whether this browser keeps what is told until it is sent. */
const keeps = (): Promise<boolean> =>
  new Promise((resolve) => {
    try {
      const asked = indexedDB.open('sabor check', 1);
      asked.onerror = () => resolve(false);
      asked.onsuccess = () => {
        asked.result.close();
        indexedDB.deleteDatabase('sabor check');
        resolve(true);
      };
    } catch {
      resolve(false);
    }
  });

/** Whether the application is kept here for times without the laptop, or on its way here. */
async function opensOffline(): Promise<Check['works']> {
  if (!('serviceWorker' in navigator)) return 'no';
  const ready = navigator.serviceWorker.ready.then(() => true);
  if (await within(ready, 4000, false)) {
    // An answer that was led elsewhere cannot stand for a page.
    const page = await caches.match('/sign-in').catch(() => undefined);
    return page && !page.redirected ? 'yes' : 'no';
  }
  const registered = await navigator.serviceWorker.getRegistration().catch(() => undefined);
  return registered ? 'coming' : 'no';
}

/** What this device can do here, tried once; null while it is being tried. */
export function useChecks(): readonly Check[] | null {
  const [checks, setChecks] = useState<readonly Check[] | null>(null);
  useEffect(() => {
    let gone = false;
    const tryAll = async () => {
      const [kept, offline] = await Promise.all([within(keeps(), 3000, false), opensOffline()]);
      const all: Check[] = [
        {
          key: 'kept',
          label: 'Keeping what you tap until it is sent',
          works: kept ? 'yes' : 'no',
          without:
            'What you tap is sent at once, and is gone with the page where it cannot be. Not in a private window?',
        },
        {
          key: 'offline',
          label: `Opening without ${home()}`,
          works: offline,
          without:
            'A page that is open goes on without the network; one that is closed does not open again until it is back.',
        },
        {
          key: 'camera',
          label: 'The camera in the page',
          works: navigator.mediaDevices?.getUserMedia === undefined ? 'no' : 'yes',
          without:
            'Photographs are taken with the phone’s own camera and chosen as files; there is no guide and no ghost.',
        },
        {
          key: 'awake',
          label: 'Keeping the screen on while the hair is wet',
          works: 'wakeLock' in navigator ? 'yes' : 'no',
          without: 'Set the phone to stay on longer, or touch it with a dry knuckle now and then.',
        },
      ];
      if (gone) return;
      setChecks(all);
      // It may take its time on a slow network, and works from then on.
      if (offline !== 'yes')
        void navigator.serviceWorker?.ready.then(() => {
          if (!gone)
            setChecks(all.map((one) => (one.key === 'offline' ? { ...one, works: 'yes' as const } : one)));
        });
    };
    void tryAll();
    return () => {
      gone = true;
    };
  }, []);
  return checks;
}
