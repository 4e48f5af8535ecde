import { lazy, Suspense, useCallback, useEffect, useRef, useState } from 'react';
import { NavLink, Outlet, ScrollRestoration, useLocation, useNavigate } from 'react-router';
import { wantsNotices } from './devices/notify.ts';
import { Coil } from './drawings/coil.tsx';
import { SearchButton } from './ui/search-button.tsx';
import { KeptLine, SignedOutLine } from './ui/signed-out-line.tsx';

const Shortcuts = lazy(async () => ({ default: (await import('./ui/shortcuts.tsx')).Shortcuts }));
const MemoDialog = lazy(async () => ({ default: (await import('./screens/memos/dialog.tsx')).MemoDialog }));
const SearchDialog = lazy(async () => ({ default: (await import('./ui/search.tsx')).SearchDialog }));

/** The bench in the order a tester works, drawn as one ribbon. */
const PLACES = [
  { to: '/', label: 'Today', key: 't' },
  { to: '/shelf', label: 'Shelf', key: 's' },
  { to: '/heads', label: 'Heads', key: 'h' },
  { to: '/weather', label: 'Weather', key: 'w' },
  { to: '/screen', label: 'Screen', key: 'c' },
  { to: '/routines', label: 'Routines', key: 'r' },
  { to: '/trials', label: 'Trials', key: 'l' },
  { to: '/board', label: 'Board', key: 'o' },
  { to: '/data', label: 'Data', key: 'd' },
] as const;

const typing = (target: EventTarget | null) =>
  target instanceof HTMLElement &&
  (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName));

function useShortcuts(openHelp: () => void, openSearch: () => void, openMemo: () => void) {
  const navigate = useNavigate();
  const waiting = useRef(0);
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      if (typing(event.target) || event.ctrlKey || event.metaKey || event.altKey) return;
      if (event.key === '?') return openHelp();
      if (event.key === 'n') {
        event.preventDefault();
        return openMemo();
      }
      if (event.key === '/') {
        event.preventDefault();
        return openSearch();
      }
      if (event.key === 'b') {
        waiting.current = Date.now();
        return;
      }
      const place = PLACES.find(({ key }) => key === event.key);
      if (place && Date.now() - waiting.current < 1500) void navigate(place.to);
    };
    addEventListener('keydown', listen);
    return () => removeEventListener('keydown', listen);
  }, [navigate, openHelp, openSearch, openMemo]);
}

/** The bench as a ribbon: one row beside the name on a wide screen, a row below it, or two rows at a phone's foot. */
function Ribbon({ className }: { className: string }) {
  const { pathname } = useLocation();
  // A wash day, its check-ins and comparisons belong to the trials.
  const home = /^\/(wash-days|panels|side-by-side)/.test(pathname) ? '/trials' : null;
  return (
    <nav aria-label="Bench" className={className}>
      <ul className="ribbon grid w-full grid-cols-5">
        {PLACES.map(({ to, label }) => (
          <li key={to}>
            <NavLink
              to={to}
              end={to === '/'}
              aria-current={home === to ? 'page' : undefined}
              className={({ isActive }) =>
                `ribbon-piece block py-2.5 text-center text-[0.8rem] font-semibold sm:py-2 sm:text-[0.95rem] ${
                  isActive || home === to ? 'bg-ink text-paper' : 'bg-leaf-pale text-ink hover:bg-rule'
                }`
              }
            >
              {label}
            </NavLink>
          </li>
        ))}
      </ul>
    </nav>
  );
}

/**
 * Tells of a new page and takes focus to its heading, where a link within the page had it; a page that is still fetching
 * is waited for. Source: WAI, "Single page apps: focus management", common practice.
 */
function useArrival(pathname: string): string {
  const [told, setTold] = useState('');
  const first = useRef(true);
  useEffect(() => {
    if (first.current) {
      first.current = false;
      return;
    }
    const main = document.getElementById('bench');
    if (!main) return;
    const arrive = () => {
      const heading = main.querySelector('h1');
      if (!heading) return false;
      setTold(heading.textContent ?? '');
      // Whoever is typing, or was taken somewhere on purpose, stays there.
      const { activeElement } = document;
      if (
        activeElement === document.body ||
        activeElement?.closest('nav, header') ||
        !activeElement?.isConnected
      ) {
        heading.tabIndex = -1;
        heading.focus({ preventScroll: true });
      }
      return true;
    };
    if (arrive()) return;
    const watch = new MutationObserver(() => arrive() && watch.disconnect());
    watch.observe(main, { childList: true, subtree: true });
    return () => watch.disconnect();
  }, [pathname]);
  return told;
}

/** Seconds a page that still fetches is waited for, before its part is given up. */
const PART_WAIT = 10;

/** Brings the part of a page that an address names (`#events`) into view and focus, once it is there. */
function useNamedPart(hash: string, key: string): void {
  useEffect(() => {
    const id = decodeURIComponent(hash.slice(1));
    if (id === '' || id === 'bench') return;
    const come = () => {
      const part = document.getElementById(id);
      if (!part) return false;
      part.tabIndex = -1;
      part.scrollIntoView();
      part.focus({ preventScroll: true });
      return true;
    };
    if (come()) return;
    const watch = new MutationObserver(() => come() && watch.disconnect());
    watch.observe(document.body, { childList: true, subtree: true });
    const late = setTimeout(() => watch.disconnect(), PART_WAIT * 1000);
    return () => {
      watch.disconnect();
      clearTimeout(late);
    };
  }, [hash, key]);
}

/** When a page has what it needs, ms. */
const SETTLED_MS = 10_000;

export function Frame() {
  const { pathname, hash, key } = useLocation();
  const [help, setHelp] = useState(false);
  const [searching, setSearching] = useState(false);
  const [noting, setNoting] = useState(false);
  const openHelp = useCallback(() => setHelp(true), []);
  const openSearch = useCallback(() => setSearching(true), []);
  const openMemo = useCallback(() => setNoting(true), []);
  useShortcuts(openHelp, openSearch, openMemo);
  const told = useArrival(pathname);
  useNamedPart(hash, key);
  // Once the page has settled, and only where it is wanted.
  useEffect(() => {
    let stop = () => {};
    const later = setTimeout(() => {
      if (wantsNotices())
        void import('./screens/today/reminders.ts').then(({ beginReminding }) => {
          stop = beginReminding();
        });
    }, SETTLED_MS);
    return () => {
      clearTimeout(later);
      stop();
    };
  }, []);
  useEffect(() => {
    const name =
      PLACES.find(({ to }) => to !== '/' && pathname.startsWith(to))?.label ??
      (pathname === '/' ? 'Today' : 'Wash day');
    document.title = `${name} · Sabor`;
  }, [pathname]);
  return (
    <>
      <a
        href="#bench"
        className="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-paper focus:p-3"
      >
        To the content
      </a>
      <p role="status" className="sr-only">
        {told}
      </p>
      <header className="frame-part border-b border-rule">
        <div className="page flex flex-wrap items-center gap-x-8 gap-y-2 py-3">
          <NavLink
            to="/"
            className="flex items-center gap-2 font-display text-2xl font-bold tracking-tight"
            aria-label="Sabor, to Today"
          >
            <Coil />
            sabor
          </NavLink>
          <Ribbon className="order-last hidden w-full sm:block min-[1160px]:order-none min-[1160px]:w-auto" />
          <div className="ml-auto flex gap-2">
            <SearchButton onClick={openSearch} />
            <button
              type="button"
              className="min-h-10 rounded-full border border-rule px-4 text-[0.95rem] font-semibold"
              onClick={openMemo}
            >
              Note
            </button>
            <button
              type="button"
              className="min-h-10 min-w-10 rounded-full border border-rule font-semibold"
              aria-label="Keys and help"
              onClick={openHelp}
            >
              ?
            </button>
          </div>
        </div>
      </header>
      <SignedOutLine />
      <KeptLine />
      <main id="bench" tabIndex={-1} className="page pt-6 pb-32 outline-none sm:pb-20">
        <Outlet />
      </main>
      <Ribbon className="frame-part foot-ribbon fixed inset-x-0 bottom-0 z-30 border-t border-rule bg-paper sm:hidden" />
      <Suspense>
        {help && <Shortcuts open onOpenChange={setHelp} places={PLACES} />}
        {searching && <SearchDialog open onOpenChange={setSearching} />}
        {noting && <MemoDialog open onOpenChange={setNoting} />}
      </Suspense>
      <ScrollRestoration />
    </>
  );
}
