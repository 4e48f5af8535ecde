import { useEffect, useState } from 'react';

interface Check {
  key: string;
  label: string;
  works: boolean;
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

/** What this device can do here, tried once; null while it is being tried. */
export function useChecks(): readonly Check[] | null {
  const [checks, setChecks] = useState<readonly Check[] | null>(null);
  useEffect(() => {
    let gone = false;
    const tryAll = async () => {
      const [kept, offline] = await Promise.all([
        within(keeps(), 3000, false),
        'serviceWorker' in navigator
          ? within(
              navigator.serviceWorker.ready.then(() => true),
              5000,
              false,
            )
          : false,
      ]);
      const all: Check[] = [
        {
          key: 'kept',
          label: 'Keeping what you tap until it is sent',
          works: kept,
          without:
            'What you tap is sent at once, and is gone with the page where it cannot be. Not in a private window?',
        },
        {
          key: 'offline',
          label: 'Opening without the laptop',
          works: offline,
          without:
            'A page that is open goes on without the network; one that is closed does not open again until it is back.',
        },
        {
          key: 'camera',
          label: 'The camera in the page',
          works: navigator.mediaDevices?.getUserMedia !== undefined,
          without:
            'Photographs are taken with the phone’s own camera and chosen as files; there is no guide and no ghost.',
        },
        {
          key: 'awake',
          label: 'Keeping the screen on while the hair is wet',
          works: 'wakeLock' in navigator,
          without: 'Set the phone to stay on longer, or touch it with a dry knuckle now and then.',
        },
      ];
      if (!gone) setChecks(all);
    };
    void tryAll();
    return () => {
      gone = true;
    };
  }, []);
  return checks;
}
