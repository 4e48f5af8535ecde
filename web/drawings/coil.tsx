/** Sabor’s own sign. */
export function Coil() {
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
