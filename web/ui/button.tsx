import type { AnchorHTMLAttributes, ButtonHTMLAttributes } from 'react';
import { Link, type LinkProps } from 'react-router';

const base =
  'inline-flex min-h-10 items-center justify-center gap-2 rounded-tag px-4 py-2 text-[0.95rem] font-semibold transition-colors disabled:cursor-not-allowed disabled:opacity-50';
const looks = {
  main: `${base} bg-hibiscus text-paper hover:bg-hibiscus-deep`,
  plain: `${base} border border-ink/30 bg-sheet text-ink hover:border-ink`,
  quiet: `${base} px-2 text-ink underline decoration-rule decoration-2 underline-offset-4 hover:decoration-hibiscus`,
  stop: `${base} border border-brick/50 bg-sheet text-brick hover:bg-brick-pale`,
} as const;
export type ButtonLook = keyof typeof looks;

/** One `main` button a screen: the one action that matters. */
export function Button({
  look = 'plain',
  className = '',
  ...rest
}: ButtonHTMLAttributes<HTMLButtonElement> & { look?: ButtonLook }) {
  return <button type="button" className={`${looks[look]} ${className}`} {...rest} />;
}

/** A file to be saved, as a button. */
export function SaveLink({ className = '', children, ...rest }: AnchorHTMLAttributes<HTMLAnchorElement>) {
  return (
    <a className={`${looks.plain} ${className}`} download {...rest}>
      {children}
    </a>
  );
}

export function ButtonLink({ look = 'plain', className = '', ...rest }: LinkProps & { look?: ButtonLook }) {
  return <Link className={`${looks[look]} ${className}`} {...rest} />;
}
