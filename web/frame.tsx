import { useEffect, useRef, useState } from 'react';
import { NavLink, Outlet, ScrollRestoration, useLocation, useNavigate } from 'react-router';
import { Shortcuts } from './ui/shortcuts.tsx';

/** The bench in the order a tester works, drawn as one ribbon. */
const PLACES = [
  { to: '/', label: 'Today', key: 't' },
  { to: '/shelf', label: 'Shelf', key: 's' },
  { to: '/heads', label: 'Heads', key: 'h' },
  { to: '/weather', label: 'Weather', key: 'w' },
  { to: '/screen', label: 'Screen', key: 'c' },
  { to: '/routines', label: 'Routines', key: 'r' },
  { to: '/trials', label: 'Trials', key: 'l' },
  { to: '/data', label: 'Data', key: 'd' },
] as const;

const typing = (target: EventTarget | null) =>
  target instanceof HTMLElement &&
  (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName));

function useShortcuts(openHelp: () => void) {
  const navigate = useNavigate();
  const waiting = useRef(0);
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      if (typing(event.target) || event.ctrlKey || event.metaKey || event.altKey) return;
      if (event.key === '?') return openHelp();
      if (event.key === 'b') {
        waiting.current = Date.now();
        return;
      }
      const place = PLACES.find(({ key }) => key === event.key);
      if (place && Date.now() - waiting.current < 1500) void navigate(place.to);
    };
    addEventListener('keydown', listen);
    return () => removeEventListener('keydown', listen);
  }, [navigate, openHelp]);
}

function Ribbon({ className }: { className: string }) {
  return (
    <nav aria-label="Bench" className={className}>
      <ul className="grid w-full grid-cols-4 sm:flex">
        {PLACES.map(({ to, label }) => (
          <li key={to}>
            <NavLink
              to={to}
              end={to === '/'}
              className={({ isActive }) =>
                `ribbon-piece block py-2.5 text-center text-[0.8rem] font-semibold sm:px-6 sm:py-2 sm:text-[0.95rem] ${
                  isActive ? 'bg-ink text-paper' : 'bg-leaf-pale text-ink hover:bg-rule'
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

export function Frame() {
  const { pathname } = useLocation();
  const [help, setHelp] = useState(false);
  useShortcuts(() => setHelp(true));
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
      <header className="frame-part border-b border-rule">
        <div className="mx-auto flex max-w-[1240px] items-center gap-8 px-4 py-3 sm:px-8">
          <NavLink
            to="/"
            className="flex items-center gap-2 font-display text-2xl font-bold tracking-tight"
            aria-label="Sabor, to Today"
          >
            <Coil />
            sabor
          </NavLink>
          <Ribbon className="hidden sm:block" />
          <button
            type="button"
            className="ml-auto min-h-10 min-w-10 rounded-full border border-rule font-semibold"
            aria-label="Shortcuts"
            onClick={() => setHelp(true)}
          >
            ?
          </button>
        </div>
      </header>
      <main id="bench" className="mx-auto max-w-[1240px] px-4 pt-6 pb-28 sm:px-8 sm:pb-16">
        <Outlet />
      </main>
      <Ribbon className="frame-part fixed inset-x-0 bottom-0 z-30 border-t border-rule bg-paper sm:hidden" />
      <Shortcuts open={help} onOpenChange={setHelp} places={PLACES} />
      <ScrollRestoration />
    </>
  );
}

function Coil() {
  return (
    <svg viewBox="0 0 20 28" className="h-7 w-5" aria-hidden="true">
      <path
        d="M6 2c7 0 11 3 11 6s-4 5-8 5-6-2-6-4 3-4 7-4 8 3 8 7-4 6-9 6-6-2-6-4 3-4 7-4 8 3 8 6-3 6-8 6"
        fill="none"
        stroke="currentColor"
        strokeWidth="2"
        strokeLinecap="round"
      />
    </svg>
  );
}
