import { create } from 'qrcode';

/** Blank squares around a code. Source: ISO/IEC 18004, from memory. */
const QUIET = 4;

/** Text as a code for a camera, black on white whatever the colours around it. */
export function Qr({ text, label }: { text: string; label: string }) {
  const { modules } = create(text, { errorCorrectionLevel: 'M' });
  const side = modules.size + 2 * QUIET;
  const dark = Array.from(modules.data, (on, i) =>
    on ? `M${(i % modules.size) + QUIET} ${Math.floor(i / modules.size) + QUIET}h1v1h-1z` : '',
  ).join('');
  return (
    <svg
      viewBox={`0 0 ${side} ${side}`}
      role="img"
      aria-label={label}
      className="w-full max-w-64 rounded-tag"
      shapeRendering="crispEdges"
      style={{ forcedColorAdjust: 'none' }}
    >
      <rect width={side} height={side} fill="#fff" />
      <path d={dark} fill="#000" />
    </svg>
  );
}
