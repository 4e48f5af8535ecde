import type { ReactNode } from 'react';
import { useMessagePlace } from './undo.tsx';

/** Room for one message, where one taps again and again; a line stands in it until there is one, and nothing moves. */
export const MessageRoom = ({ className = '', children }: { className?: string; children: ReactNode }) => (
  <div className={`flex min-h-17 items-center ${className}`}>
    <div ref={useMessagePlace()} className="message-place" />
    {children}
  </div>
);
