import { armStyle } from './arm-style.ts';

/** An arm by its marker and name. */
export function ArmName({ arm, name }: { arm: number; name: string }) {
  return (
    <span className="whitespace-nowrap font-semibold">
      <span aria-hidden="true" style={{ color: armStyle(arm).hue }}>
        {armStyle(arm).marker}
      </span>{' '}
      {name}
    </span>
  );
}
