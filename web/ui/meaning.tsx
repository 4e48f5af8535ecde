import { GLOSSARY, type GlossaryKey } from '@sabor/words/glossary';
import { Link } from 'react-router';

/** What a word means, under it; part of the text, so that it is read where it stands and covers nothing. */
export function Meaning({ of, close }: { of: GlossaryKey; close: () => void }) {
  const { term, says } = GLOSSARY[of];
  return (
    <span
      role="note"
      aria-label={`What “${term}” means`}
      className="my-1 block border-l-4 border-leaf/60 bg-leaf-pale px-3 py-2 font-sans text-[0.95rem] font-normal leading-snug tracking-normal text-ink"
    >
      {says}{' '}
      <Link className="underline underline-offset-4" to={`/help#${of}`}>
        All words
      </Link>{' '}
      <button type="button" className="underline underline-offset-4" onClick={close}>
        Close
      </button>
    </span>
  );
}
