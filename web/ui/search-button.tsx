import { MagnifyingGlassIcon } from '@radix-ui/react-icons';

/** The way to the search in the frame. */
export function SearchButton({ onClick }: { onClick: () => void }) {
  return (
    <button
      type="button"
      className="flex min-h-10 min-w-10 items-center justify-center gap-2 rounded-full border border-rule px-3 font-semibold"
      aria-label="Search"
      aria-keyshortcuts="/"
      onClick={onClick}
    >
      <MagnifyingGlassIcon className="size-4" aria-hidden="true" />
      <kbd className="hidden font-sans text-sm font-normal text-soft sm:inline" aria-hidden="true">
        /
      </kbd>
    </button>
  );
}
