/** A choice on one line with its label: among few options, one always chosen. */
export function InlineChoice<K extends string>({
  label,
  options,
  value,
  onChange,
  className = 'border-ink/30 bg-sheet',
}: {
  label: string;
  options: readonly (readonly [key: K, says: string])[];
  value: K;
  onChange: (to: K) => void;
  className?: string;
}) {
  return (
    <label className="flex items-center gap-2 text-sm">
      {label}
      <select
        className={`min-h-11 rounded-md border px-2 ${className}`}
        value={value}
        onChange={(event) => onChange(event.target.value as K)}
      >
        {options.map(([key, says]) => (
          <option key={key} value={key}>
            {says}
          </option>
        ))}
      </select>
    </label>
  );
}
