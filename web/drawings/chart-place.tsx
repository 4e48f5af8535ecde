import type { ReactNode } from 'react';

/**
 * Where a chart stands: the place gives the size and the canvas follows. A canvas lies over its place, so
 * that one still as wide as the last window never holds the page open.
 */
export const ChartPlace = ({ height, children }: { height: 'h-72' | 'h-80'; children: ReactNode }) => (
  <div className={`relative overflow-clip *:absolute *:inset-0 ${height}`}>{children}</div>
);
