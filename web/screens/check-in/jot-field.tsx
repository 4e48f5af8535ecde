import { useState } from 'react';
import { TextField } from '../../ui/inputs.tsx';

/** Words that are saved when the field is left. */
export function JotField({
  label,
  rows,
  words,
  save,
}: {
  label: string;
  rows?: number;
  words: string;
  save: (words: string) => Promise<unknown>;
}) {
  const [text, setText] = useState(words);
  return (
    <TextField
      label={label}
      {...(rows ? { rows } : {})}
      value={text}
      onChange={setText}
      onBlur={() => text !== words && void save(text).catch(() => {})}
      hint="Saved when you leave the field."
    />
  );
}
